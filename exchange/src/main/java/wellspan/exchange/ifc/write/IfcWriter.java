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
import java.util.List;
import java.util.Map;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.EntityClass;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.exchange.ifc.schema.Attribute;
import wellspan.exchange.ifc.schema.Schema;

/** Writes a parcel as IFC4X3_ADD2: project, site, road, road part, and the items in them. */
public final class IfcWriter {
  public static final String SCHEMA = "IFC4X3_ADD2";

  private final Parcel parcel;
  private final Schema schema = Schema.forFile(SCHEMA).orElseThrow();
  private final StepWriter step;
  private final List<Integer> inSite = new ArrayList<>();
  private final List<Integer> inRoad = new ArrayList<>();
  private final List<Integer> alignments = new ArrayList<>();

  private IfcWriter(Parcel parcel, StepWriter step) {
    this.parcel = parcel;
    this.step = step;
  }

  /**
   * Writes the file; one that is there is replaced.
   *
   * @param name of the file as it stands in its header
   * @throws SchemaViolation if a chosen class cannot be written in this schema
   */
  public static void write(Parcel parcel, Path file, String name, Clock clock, Progress progress)
      throws IOException {
    try (OutputStream out = Files.newOutputStream(file)) {
      StepWriter step = new StepWriter(out, Schema.forFile(SCHEMA).orElseThrow(), progress);
      String time =
          DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss")
              .withZone(ZoneOffset.UTC)
              .format(clock.instant());
      step.header(SCHEMA, "ViewDefinition [NotAssigned]", name, time, "", "", "Wellspan");
      new IfcWriter(parcel, step).write(progress);
      step.end();
    }
  }

  private String id(String key, String role) {
    return parcel.ids().of(key, role);
  }

  private void write(Progress progress) throws IOException {
    ProjectRecords project = new ProjectRecords(step, parcel).write();
    PropertyRecords properties = new PropertyRecords(step, parcel);
    int done = 0;
    for (Parcel.Piece piece : parcel.pieces()) {
      progress.step((double) done++ / parcel.pieces().size(), "Writing " + piece.item().name());
      int product =
          switch (piece.item()) {
            case Item.TerrainSurface s ->
                product(
                    piece, project, new MeshRecords(step, parcel).shape(project, s.mesh(), false));
            case Item.Body b ->
                product(
                    piece,
                    project,
                    new MeshRecords(step, parcel).shape(project, b.mesh(), b.mesh().isClosed()));
            case Item.AlignmentLine a ->
                new AlignmentRecords(step, parcel, project, properties).write(piece, a);
            case Item.PointGroup p ->
                throw new SchemaViolation("Points (" + p.name() + ") are not delivered as IFC.");
          };
      properties.attach(piece.key(), product, piece.description().propertySets());
      if (piece.item() instanceof Item.AlignmentLine) {
        alignments.add(product);
      } else if (piece.item().band() == Band.GROUND) {
        inSite.add(product);
      } else {
        inRoad.add(product);
      }
    }
    structure(project);
  }

  private int product(Parcel.Piece piece, ProjectRecords project, int shape) throws IOException {
    EntityClass c = piece.description().entityClass();
    int placement =
        step.add("IfcLocalPlacement", ref(project.sitePlacement()), ref(project.identity()));
    return occurrence(
        c,
        Map.of(
            "GlobalId", text(piece.description().globalId()),
            "Name", text(piece.item().name()),
            "ObjectPlacement", ref(placement),
            "Representation", ref(shape)));
  }

  /**
   * Writes any product class: attributes by name, the predefined type where the class has one, the
   * rest unset.
   */
  private int occurrence(EntityClass c, Map<String, StepValue> given) throws IOException {
    List<Attribute> attributes =
        schema
            .entity(c.entity())
            .orElseThrow(
                () ->
                    new SchemaViolation(
                        c.entity()
                            + " is not an entity of "
                            + schema.id()
                            + ". Choose another class."))
            .attributes();
    StepValue[] values = new StepValue[attributes.size()];
    boolean typed = c.predefinedType().isEmpty();
    for (int i = 0; i < values.length; i++) {
      String name = attributes.get(i).name();
      if (name.equals("PredefinedType") && !c.predefinedType().isEmpty()) {
        values[i] = literal(c.predefinedType());
        typed = true;
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
    List<Integer> parts = new ArrayList<>(List.of(p.site()));
    parts.addAll(alignments);
    step.add(
        "IfcRelAggregates",
        text(id("project", "parts")),
        UNSET,
        UNSET,
        UNSET,
        ref(p.project()),
        refs(parts));
    step.add(
        "IfcRelAggregates",
        text(id("site", "parts")),
        UNSET,
        UNSET,
        UNSET,
        ref(p.site()),
        refs(List.of(p.road())));
    step.add(
        "IfcRelAggregates",
        text(id("road", "parts")),
        UNSET,
        UNSET,
        UNSET,
        ref(p.road()),
        refs(List.of(p.roadPart())));
    if (!inSite.isEmpty()) {
      step.add(
          "IfcRelContainedInSpatialStructure",
          text(id("site", "content")),
          UNSET,
          UNSET,
          UNSET,
          refs(inSite),
          ref(p.site()));
    }
    if (!inRoad.isEmpty()) {
      step.add(
          "IfcRelContainedInSpatialStructure",
          text(id("road part", "content")),
          UNSET,
          UNSET,
          UNSET,
          refs(inRoad),
          ref(p.roadPart()));
    }
    if (!alignments.isEmpty()) {
      step.add(
          "IfcRelReferencedInSpatialStructure",
          text(id("road", "alignments")),
          UNSET,
          UNSET,
          UNSET,
          refs(alignments),
          ref(p.road()));
    }
  }
}
