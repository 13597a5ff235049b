package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Polyline;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;
import wellspan.core.shape.CarriedBody;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;

/**
 * Writes a parcel as IFC: project, site and the structure in it, and the items where they stand.
 */
public final class IfcWriter {
  private final Parcel parcel;
  private final Map<String, String> pictures;
  private final Schema schema;
  private final StepWriter step;
  private final LocalCoordinates local;
  private final Representations representations;
  private final LineRecords lines;
  private final FinishRecords finishes;
  private final ClassificationRecords classification;
  private final MeshRecords meshes;
  private final List<Integer> alignments = new ArrayList<>();
  private final RelationRecords relations;
  private final LikeShapes likes;
  private final TypeRecords types;
  private final StandsAlong stands;
  private final AlignmentLines alignmentLines;
  private final CarriedBodyRecords carried;
  private StructureRecords structure;
  private GroupRecords groups;

  private IfcWriter(Parcel parcel, Map<String, String> pictures, StepWriter step) {
    this.parcel = parcel;
    this.pictures = pictures;
    this.step = step;
    schema = Schema.forFile(parcel.schema().id()).orElseThrow();
    local = new LocalCoordinates(parcel);
    relations = new RelationRecords(step, parcel);
    types = new TypeRecords(step, parcel, schema);
    alignmentLines = new AlignmentLines(step, local);
    stands = new StandsAlong(step, parcel, local, alignmentLines);
    likes = new LikeShapes(parcel, local, stands::has);
    representations = new Representations(step);
    lines = new LineRecords(step, local, representations);
    finishes = new FinishRecords(step, parcel);
    classification = new ClassificationRecords(step, parcel);
    meshes = new MeshRecords(step, local, finishes, representations);
    carried = new CarriedBodyRecords(step, local, alignmentLines, finishes, representations);
  }

  /**
   * Writes the file without pictures over surfaces; one that is there is replaced.
   *
   * @param name of the file as it stands in its header
   * @throws SchemaViolation if a chosen class cannot be written in this schema
   */
  public static void write(Parcel parcel, Path file, String name, Clock clock, Progress progress)
      throws IOException {
    write(parcel, Map.of(), file, name, clock, progress);
  }

  /**
   * The same with pictures over surfaces.
   *
   * @param pictures names of the files beside the model that hold them, by the keys of the pieces
   *     they lie over; IFC2x3 carries none
   */
  public static void write(
      Parcel parcel,
      Map<String, String> pictures,
      Path file,
      String name,
      Clock clock,
      Progress progress)
      throws IOException {
    try (OutputStream out = Files.newOutputStream(file);
        StepWriter step =
            new StepWriter(out, Schema.forFile(parcel.schema().id()).orElseThrow(), progress)) {
      String time =
          DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss")
              .withZone(ZoneOffset.UTC)
              .format(clock.instant());
      step.header(
          parcel.schema().id(),
          "ViewDefinition [NotAssigned]",
          name,
          time,
          parcel.info(),
          "Wellspan");
      new IfcWriter(parcel, pictures, step).write(progress);
      step.end();
    }
  }

  private String id(String key, String role) {
    return parcel.ids().of(key, role);
  }

  private void write(Progress progress) throws IOException {
    PropertyRecords properties = new PropertyRecords(step, parcel);
    ProjectRecords project = new ProjectRecords(step, parcel, properties).write();
    structure =
        StructureRecords.write(
            step, parcel, project, properties, schema, room -> shapeOfLevel(room, project));
    NetworkRecords networks = new NetworkRecords(step, parcel, project, properties, local);
    groups = new GroupRecords(step, parcel, project, structure, properties, schema);
    int done = 0;
    for (Parcel.Piece piece : parcel.pieces()) {
      progress.advance((double) done++ / parcel.pieces().size(), "Writing " + piece.item().name());
      step.about(piece.item().name());
      try {
        whole(piece, project, properties, networks);
      } catch (SchemaViolation e) {
        throw e.of(piece.item().name());
      }
    }
    step.about("");
    representations.layers();
    finishes.materials();
    classification.write();
    types.write();
    networks.joints();
    groups.write();
    relations.write();
    structure(project);
  }

  /** Writes an item with all that is said of it. */
  private void whole(
      Parcel.Piece piece,
      ProjectRecords project,
      PropertyRecords properties,
      NetworkRecords networks)
      throws IOException {
    representations.on(piece.item().layer());
    int object = piece(piece, project, properties);
    piece
        .description()
        .finish()
        .ifPresent(f -> finishes.made(object, f, piece.description().materials()));
    relations.wrote(piece, object);
    classification.of(object, piece.description().classification());
    types.of(piece, object, likes.of(piece).map(p -> meshes.map(p.group())));
    networks.element(piece, object);
    groups.member(piece, object);
    properties.attach(piece.key(), object, piece.description().propertySets());
  }

  /**
   * Writes one item and notes where in the structure it belongs; its properties go to the result.
   */
  private int piece(Parcel.Piece piece, ProjectRecords project, PropertyRecords properties)
      throws IOException {
    return switch (piece.item().shape()) {
      case Shape.Faces f when structure.isLevel(piece) -> structure.level(piece);
      case Shape.Faces f -> contained(piece, body(piece, project, f));
      case Shape.Axis a when piece.description().entityClass().entity().equals("IfcAlignment") -> {
        AlignmentRecords records =
            new AlignmentRecords(
                step, parcel, project, properties, local, alignmentLines, representations);
        int alignment = records.write(piece, a);
        alignments.add(alignment);
        structure.along(piece.item().name(), alignment);
        yield alignment;
      }
      case Shape.Axis a -> lines(piece, project, List.of(a.line()));
      case Shape.Lines l -> lines(piece, project, l.lines());
      case Shape.Points p -> points(piece, project, p);
      case Shape.Picture g -> throw new IllegalStateException(piece.item().kind().title());
    };
  }

  private int body(Parcel.Piece piece, ProjectRecords project, Shape.Faces mesh)
      throws IOException {
    Optional<StandsAlong.Stand> stand =
        likes.of(piece).isPresent()
            ? stands.of(piece, local.level(piece.item().bounds().minH()))
            : Optional.empty();
    int shape = shape(piece, project, mesh, stand);
    return product(piece, stand.isPresent() ? stand.get().placement() : inSite(project), shape);
  }

  private int shape(
      Parcel.Piece piece,
      ProjectRecords project,
      Shape.Faces mesh,
      Optional<StandsAlong.Stand> stand)
      throws IOException {
    boolean closed = closed(piece);
    Optional<Finish> finish = piece.description().finish();
    Optional<CarriedBody> swept = parcel.format().carried(piece.item(), parcel.frame());
    if (swept.isPresent()) {
      return carried.shape(project, swept.get(), finish);
    }
    Optional<LikeShapes.Placed> like = likes.of(piece);
    if (like.isEmpty()) {
      return meshes.shape(project, mesh, closed, finish, picture(piece));
    }
    LikeShapes.Placed seen = stand.map(s -> s.seen(like.get())).orElse(like.get());
    return meshes.instance(project, seen, closed, finish);
  }

  /** The shape of a piece that is a level itself; levels lie where the site does. */
  private int shapeOfLevel(Parcel.Piece room, ProjectRecords project) throws IOException {
    representations.on(room.item().layer());
    return shape(room, project, (Shape.Faces) room.item().shape(), Optional.empty());
  }

  private int inSite(ProjectRecords project) throws IOException {
    return step.add("IfcLocalPlacement", ref(project.sitePlacement()), ref(project.identity()));
  }

  private static boolean closed(Parcel.Piece piece) {
    return piece.description().closed().orElse(false);
  }

  private Optional<PictureOver> picture(Parcel.Piece piece) {
    Optional<Texture> texture = piece.item().attributes().texture();
    return texture
        .filter(t -> parcel.format().carriesPictures() && pictures.containsKey(piece.key()))
        .map(t -> new PictureOver(t, pictures.get(piece.key())));
  }

  private int contained(Parcel.Piece piece, int product) throws IOException {
    if (relations.isPart(piece)) {
      return product;
    }
    structure.contain(piece, product);
    return product;
  }

  private int lines(Parcel.Piece piece, ProjectRecords project, List<Polyline> all)
      throws IOException {
    boolean annotation = piece.description().entityClass().entity().equals("IfcAnnotation");
    int shape = lines.lineShape(project, all, annotation);
    return contained(piece, product(piece, inSite(project), shape));
  }

  /** Each point an object with its name, all of them in a group that stands for the item. */
  private int points(Parcel.Piece piece, ProjectRecords project, Shape.Points group)
      throws IOException {
    List<Integer> members = new ArrayList<>();
    UniqueNames roles = new UniqueNames();
    for (NamedPoint p : group.points()) {
      int placement =
          step.add("IfcLocalPlacement", ref(project.sitePlacement()), ref(project.identity()));
      Map<String, StepValue> given = new HashMap<>();
      given.put("GlobalId", text(id(piece.key(), "point " + roles.of("point", p.name()))));
      given.put("Name", text(p.name()));
      given.put("ObjectPlacement", ref(placement));
      given.put("Representation", ref(lines.pointShape(project, p.position())));
      if (!p.code().isEmpty()) {
        given.put("Description", text(p.code()));
      }
      members.add(occurrence(piece.description().entityClass(), given));
    }
    for (int m : members) {
      structure.contain(piece, m);
    }
    int whole =
        step.root(
            "IfcGroup", piece.description().globalId(), text(piece.item().name()), UNSET, UNSET);
    step.root(
        "IfcRelAssignsToGroup",
        id(piece.key(), "members"),
        UNSET,
        UNSET,
        refs(members),
        UNSET,
        ref(whole));
    return whole;
  }

  private int product(Parcel.Piece piece, int placement, int shape) throws IOException {
    EntityClass c = piece.description().entityClass();
    Map<String, StepValue> given = new HashMap<>();
    Map<String, PropertyValue> own = piece.description().attributes();
    own.keySet().forEach(a -> given.put(a, EntityValues.of(a, own, parcel)));
    given.put("GlobalId", text(piece.description().globalId()));
    given.put("Name", text(piece.item().name()));
    given.put("ObjectPlacement", ref(placement));
    given.put("Representation", ref(shape));
    return occurrence(c, given);
  }

  /**
   * Writes any product class: attributes by name, the predefined type where the class has one, the
   * rest unset.
   */
  private int occurrence(EntityClass c, Map<String, StepValue> given) throws IOException {
    Entity entity =
        schema
            .entity(c.entity())
            .orElseThrow(
                () ->
                    new SchemaViolation(
                        c.entity()
                            + " is not an entity of "
                            + schema.id()
                            + ". Choose another class."));
    List<Attribute> attributes = entity.attributes();
    StepValue[] values = new StepValue[attributes.size()];
    boolean typed = c.predefinedType().isEmpty() || types.hold(c);
    for (int i = 0; i < values.length; i++) {
      String name = attributes.get(i).name();
      if (entity.isType(name) && !c.predefinedType().isEmpty()) {
        values[i] = literal(c.predefinedType());
        typed = true;
      } else if (name.equals("OwnerHistory")) {
        values[i] = step.owner();
      } else if (name.equals("ObjectType") && !c.objectType().isEmpty()) {
        values[i] = text(c.objectType());
      } else {
        values[i] = given.getOrDefault(name, UNSET);
      }
    }
    if (!typed) {
      throw new SchemaViolation(
          c.entity() + " has no predefined type " + c.predefinedType() + ". Choose another class.");
    }
    return step.add(c.entity(), values);
  }

  private void structure(ProjectRecords p) throws IOException {
    structure.assemblies();
    List<Integer> parts = new ArrayList<>(List.of(p.site()));
    parts.addAll(alignments);
    step.root(
        "IfcRelAggregates", id("project", "parts"), UNSET, UNSET, ref(p.project()), refs(parts));
    structure.relate();
  }
}
