package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import wellspan.core.align.Cant;

/** Writes the cant of an alignment as a layout with its segments. */
final class CantRecords {
  private final StepWriter step;
  private final UnaryOperator<String> ids;
  private final double along;
  private final double unit;

  /**
   * @param ids GlobalIds by the role of a part
   * @param along units of the file in a shared metre along the alignment
   * @param unit metres in the file's unit
   */
  CantRecords(StepWriter step, UnaryOperator<String> ids, double along, double unit) {
    this.step = step;
    this.ids = ids;
    this.along = along;
    this.unit = unit;
  }

  /**
   * @return the layout
   */
  int write(Cant cant, int placement) throws IOException {
    int layout =
        step.root(
            "IfcAlignmentCant",
            ids.apply("cant"),
            UNSET,
            UNSET,
            UNSET,
            ref(placement),
            UNSET,
            real(cant.railHeadDistance() / unit));
    List<Integer> segments = new ArrayList<>();
    List<Cant.Station> all = cant.stations();
    for (int i = 0; i + 1 < all.size(); i++) {
      Cant.Station a = all.get(i);
      Cant.Station b = all.get(i + 1);
      boolean same = a.left() == b.left() && a.right() == b.right();
      segments.add(
          segment(
              segments.size(),
              placement,
              a,
              (b.distance() - a.distance()) * along,
              b,
              same ? "CONSTANTCANT" : type(a.law())));
    }
    Cant.Station end = all.getLast();
    segments.add(segment(segments.size(), placement, end, 0, end, "CONSTANTCANT"));
    step.root("IfcRelNests", ids.apply("cant segments"), UNSET, UNSET, ref(layout), refs(segments));
    return layout;
  }

  private static String type(Cant.Law law) {
    return switch (law) {
      case CONSTANT, LINEAR -> "LINEARTRANSITION";
      case BLOSS -> "BLOSSCURVE";
      case COSINE -> "COSINECURVE";
      case SINE -> "SINECURVE";
      case BIQUADRATIC -> "HELMERTCURVE";
      case VIENNESE -> "VIENNESEBEND";
    };
  }

  private int segment(
      int number, int placement, Cant.Station from, double length, Cant.Station to, String type)
      throws IOException {
    int design =
        step.add(
            "IfcAlignmentCantSegment",
            UNSET,
            UNSET,
            real(from.distance() * along),
            real(length),
            real(from.left() / unit),
            real(to.left() / unit),
            real(from.right() / unit),
            real(to.right() / unit),
            literal(type));
    return step.root(
        "IfcAlignmentSegment",
        ids.apply("cant " + number),
        UNSET,
        UNSET,
        UNSET,
        ref(placement),
        UNSET,
        ref(design));
  }
}
