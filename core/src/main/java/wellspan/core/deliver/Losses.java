package wellspan.core.deliver;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.ClothoidPieces;
import wellspan.core.align.LayoutElements;
import wellspan.core.align.PlanElement;
import wellspan.core.attribute.RelationType;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/** What formats cannot carry of an item, in words; said before writing and in the receipt. */
public final class Losses {
  /** What is said of a model without a system. */
  public static final String LOCAL =
      "There is no reference system, so this is a local model: it does not say where on earth it lies. The position file beside it says where its zero is in the coordinates that were received.";

  private Losses() {}

  /**
   * @param frame of the file
   * @return one note for each thing that is lost, empty if nothing is
   */
  public static List<Finding> of(Item item, DeliveryFormat format, Frame frame) {
    return format.carriage(item, frame).losses();
  }

  /** All notes of a parcel; the one on the scale once for the file. */
  public static List<Finding> of(Parcel parcel) {
    List<Finding> out = new ArrayList<>();
    if (parcel.frame().crs().isEmpty() && parcel.format().schema().isPresent()) {
      out.add(Finding.note(DELIVER, "deliver.local", "", LOCAL));
    }
    follows(parcel).ifPresent(out::add);
    out.addAll(ReceivedLosses.of(parcel));
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

  /** What is made along a line knows it; most formats have no word for that. */
  private static Optional<Finding> follows(Parcel parcel) {
    long left = CarriedRelations.left(parcel, RelationType.FOLLOWS);
    return parcel.format().schema().isEmpty() || left == 0
        ? Optional.empty()
        : Optional.of(
            Finding.note(
                    DELIVER,
                    "deliver.follows",
                    "",
                    left
                        + (left == 1
                            ? " thing follows a line and goes"
                            : " things follow lines and go")
                        + " without a word of it: "
                        + parcel.format().title()
                        + " has none, or the line is not sent as an alignment.")
                .withFigure(Figure.count(left)));
  }

  static Finding note(String code, Item item, String what) {
    return Finding.note(DELIVER, code, item.name(), item.name() + ": " + what);
  }

  static void invisible(Item item, List<Finding> out) {
    if (item.shape() instanceof Shape.Faces f && f.invisibleCount() > 0) {
      out.add(
          note(
              "deliver.invisible",
              item,
              f.invisibleCount()
                  + " faces marked invisible are no part of the surface and stay here."));
    }
  }

  /** Where a format has one colour for a thing. */
  static void faceColours(Item item, List<Finding> out) {
    if (item.shape() instanceof Shape.Faces f && f.finishes().isPresent()) {
      int n = f.finishes().get().finishes().size();
      out.add(
          note(
                  "deliver.finishes",
                  item,
                  "its faces have " + n + " colours; it goes in one, the others stay here.")
              .withFigure(Figure.count(n, "colours")));
    }
  }

  /** Where a format tells faces apart by their colour only. */
  static void faceMaterials(Item item, List<Finding> out) {
    if (item.shape() instanceof Shape.Faces f
        && f.finishes().isPresent()
        && f.finishes().get().materials().size() > 1) {
      int n = f.finishes().get().materials().size();
      out.add(
          note(
                  "deliver.finishes",
                  item,
                  "it is of "
                      + n
                      + " materials; all of them go with it, and which face is of which its colour tells.")
              .withFigure(Figure.count(n, "materials")));
    }
  }

  static void texture(Item item, DeliveryFormat format, List<Finding> out) {
    if (item.attributes().texture().isPresent() && !format.carriesPictures()) {
      out.add(note("deliver.texture", item, "the picture over it stays here."));
    }
  }

  static Finding scale(Item item, IfcSchema schema, Frame frame) {
    return note(
        "deliver.scale",
        item,
        String.format(
            Locale.ROOT,
            "%s knows one scale for all axes: levels are written times %.6f, so that the conversion gives the true level back. A receiver that passes over the scale would read them wrong.",
            schema.title(),
            frame.scale()));
  }

  /** The chord of a metre departs from an arc of radius r by 1/(8 r). */
  static Finding chords(Item item, Shape.Axis axis, IfcSchema schema) {
    Alignment a = axis.alignment();
    double sharpest = a.elements().stream().mapToDouble(Losses::curvature).max().orElse(0);
    double beside = 1000 * Math.min(sharpest / 8, axis.chord());
    return note(
            "deliver.chords",
            item,
            String.format(
                Locale.ROOT,
                "%s has no alignments: it goes as a line with a point every metre and at every element end, up to %.2f mm beside its arcs; elements, profile and chainages stay here.",
                schema.title(),
                beside))
        .withFigure(Figure.of(beside, 2, "mm"));
  }

  private static double curvature(PlanElement e) {
    return Math.max(Math.abs(e.startCurvature()), Math.abs(e.endCurvature()));
  }

  /** Transitions that the layouts of IFC4.3 have no type for. */
  static void transitions(Item item, Alignment a, List<Finding> out) {
    List<ClothoidPieces> all = LayoutElements.inPieces(a);
    if (!all.isEmpty()) {
      double beside = 1000 * all.stream().mapToDouble(ClothoidPieces::beside).max().orElseThrow();
      out.add(
          note(
                  "deliver.transition",
                  item,
                  String.format(
                      Locale.ROOT,
                      "%s that IFC4.3 has no type for; %s as %d clothoids end to end, at most %.3f mm beside.",
                      all.size() == 1
                          ? "1 transition is of a law"
                          : all.size() + " transitions are of laws",
                      all.size() == 1 ? "it goes" : "they go",
                      all.stream().mapToInt(c -> c.pieces().size()).sum(),
                      beside))
              .withFigure(Figure.of(beside, 3, "mm")));
    }
  }

  static void partProfile(Item item, Alignment a, List<Finding> out) {
    boolean part =
        a.profile().isPresent()
            && (a.profile().get().start() > Alignment.SAME_END
                || a.profile().get().end() < a.length() - Alignment.SAME_END);
    if (part) {
      out.add(
          note(
              "deliver.profile",
              item,
              "the profile covers a part of it only; outside it has no level."));
    }
  }
}
