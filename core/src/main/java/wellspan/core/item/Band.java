package wellspan.core.item;

/** The strata, from the top down. */
public enum Band {
  LINES_AND_POINTS("Lines and points"),
  FURNITURE("Furniture"),
  STRUCTURES("Structures"),
  DRAINAGE("Drainage"),
  EDGES("Edges"),
  PAVEMENT("Pavement"),
  EARTHWORKS("Earthworks"),
  GROUND("Ground"),
  DRAWINGS("Drawings");

  private final String title;

  Band(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
