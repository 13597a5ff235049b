package wellspan.core.deliver;

/** Kinds of content that a file may carry, each with the words for people. */
public enum Content {
  POSITIONS("positions"),
  TRIANGLES("triangles and the order of their corners"),
  CLOSED("whether a mesh is called a closed body"),
  NO_LEVELS("that a point has no level"),
  ELEMENTS("elements, profile and chainages of alignments"),
  NAMES("names"),
  POINT_CODES("codes of points"),
  CLASSES("classes and types"),
  IDS("GlobalIds"),
  PROPERTIES("properties and quantities"),
  CLASSIFICATION("codes of classifications"),
  PARENT_CODES("codes above a code of a classification"),
  MATERIALS("materials"),
  COLOURS("colours"),
  LAYERS("layers"),
  UNIT("the unit of lengths"),
  SYSTEM("the reference system"),
  PLACE("where the zero lies"),
  TEXTURES("pictures over surfaces"),
  BOUNDARIES("boundaries of surfaces"),
  INVISIBLE("faces marked invisible"),
  MATERIAL_AREAS("areas by material within one item"),
  FACE_COLOURS("colours of single faces"),
  RELATIONS("what belongs to, is connected to or follows what"),
  STRUCTURE("the part of the structure that things stand in"),
  TEXT_HEIGHTS("heights of the names of points"),
  DESIGN_LOOKS("line types, weights and transparency");

  private final String title;

  Content(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
