package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.describe.ClassRules;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/** What a schema cannot carry of an item; said before writing and in the receipt. */
public final class Losses {
  private Losses() {}

  /**
   * @param frame of the file
   * @return one note for each thing that is lost, empty if nothing is
   */
  public static List<Finding> of(Item item, DeliveryFormat format, Frame frame) {
    List<Finding> out =
        new ArrayList<>(
            switch (format) {
              case DeliveryFormat.Ifc f -> ofModel(item, f.schema(), frame);
              case DeliveryFormat.LandXml f -> ofLandXml(item);
              case DeliveryFormat.Dxf f -> ofDrawing(item);
              case DeliveryFormat.PointList f -> List.<Finding>of();
            });
    if (item.attributes().texture().isPresent() && !format.carriesPictures()) {
      out.add(note("deliver.texture", item, "the picture over it stays here."));
    }
    return out;
  }

  private static List<Finding> ofLandXml(Item item) {
    List<Finding> out = new ArrayList<>();
    out.add(
        note(
            "deliver.plain",
            item,
            "LandXML carries its name, geometry and received properties, no class and no properties of ours."));
    if (item.kind().is(Kind.COVER)) {
      out.add(note("deliver.material", item, "the material goes as the surface's description."));
    }
    if (item.shape() instanceof Shape.Axis a) {
      partProfile(item, a.alignment(), out);
    }
    return out;
  }

  private static List<Finding> ofDrawing(Item item) {
    List<Finding> out = new ArrayList<>();
    out.add(
        note(
            "deliver.plain",
            item,
            "a drawing carries it on a layer of its own, without class and properties."));
    if (item.kind().is(Kind.COVER)) {
      out.add(note("deliver.material", item, "a drawing has no materials; it stays here."));
    }
    switch (item.shape()) {
      case Shape.Faces s when s.invisibleCount() > 0 ->
          out.add(
              note(
                  "deliver.invisible",
                  item,
                  s.invisibleCount()
                      + " faces marked invisible are no part of the surface and stay here."));
      case Shape.Axis a ->
          out.add(
              note(
                  "deliver.chords",
                  item,
                  "it goes as a 3D line with a point every metre and at every element end; elements, profile and chainages stay here."));
      case Shape.Points p when p.points().stream().anyMatch(q -> !q.code().isEmpty()) ->
          out.add(note("deliver.codes", item, "codes of points stay here."));
      default -> {}
    }
    return out;
  }

  private static List<Finding> ofModel(Item item, IfcSchema schema, Frame frame) {
    List<Finding> out = new ArrayList<>();
    switch (item.shape()) {
      case Shape.Axis a when schema != IfcSchema.IFC4X3 || !ClassRules.hasLayout(a.alignment()) ->
          out.add(chords(item, a.alignment(), schema));
      case Shape.Axis a -> partProfile(item, a.alignment(), out);
      case Shape.Faces s -> {
        if (s.invisibleCount() > 0) {
          out.add(
              note(
                  "deliver.invisible",
                  item,
                  s.invisibleCount()
                      + " faces marked invisible are no part of the surface and stay here."));
        }
        if (schema == IfcSchema.IFC2X3 && item.kind().is(Kind.TERRAIN)) {
          out.add(
              note(
                  "deliver.class",
                  item,
                  "IFC2x3 has no class for ground; it goes as IfcBuildingElementProxy."));
        }
      }
      case Shape.Lines l -> {}
      case Shape.Points p -> {}
      case Shape.Picture g -> {}
    }
    if (frame.scale() != 1 && schema != IfcSchema.IFC4X3) {
      out.add(
          note(
              "deliver.scale",
              item,
              String.format(
                  Locale.ROOT,
                  "%s knows one scale for all axes: levels are written times %.6f, so that the conversion gives the true level back. A receiver that passes over the scale would read them wrong.",
                  schema.title(),
                  frame.scale())));
    }
    return out;
  }

  /** All notes of a parcel; the one on the scale once for the file. */
  public static List<Finding> of(Parcel parcel) {
    List<Finding> out = new ArrayList<>();
    boolean scaleSaid = false;
    for (Parcel.Piece p : parcel.pieces()) {
      for (Finding f : of(p.item(), parcel.format(), parcel.frame())) {
        boolean scale = f.code().equals("deliver.scale");
        if (!scale || !scaleSaid) {
          out.add(f);
        }
        scaleSaid |= scale;
      }
    }
    return out;
  }

  private static Finding note(String code, Item item, String what) {
    return Finding.note(DELIVER, code, item.name(), item.name() + ": " + what);
  }

  /** The chord of a metre departs from an arc of radius r by 1/(8 r). */
  private static Finding chords(Item item, Alignment a, IfcSchema schema) {
    double sharpest = a.elements().stream().mapToDouble(Losses::curvature).max().orElse(0);
    return note(
            "deliver.chords",
            item,
            String.format(
                Locale.ROOT,
                "%s has no alignments%s: it goes as a line with a point every metre and at every element end, up to %.2f mm beside its arcs; elements, profile and chainages stay here.",
                schema.title(),
                schema == IfcSchema.IFC4X3 ? " with transitions of these laws" : "",
                1000 * sharpest / 8))
        .withFigure(String.format(Locale.ROOT, "%.2f mm", 1000 * sharpest / 8));
  }

  private static double curvature(PlanElement e) {
    return Math.max(Math.abs(e.startCurvature()), Math.abs(e.endCurvature()));
  }

  private static void partProfile(Item item, Alignment a, List<Finding> out) {
    boolean part =
        a.profile().isPresent()
            && (a.profile().get().start() > 1e-6 || a.profile().get().end() < a.length() - 1e-6);
    if (part) {
      out.add(
          note(
              "deliver.profile",
              item,
              "the profile covers a part of it only; outside it has no level."));
    }
  }
}
