package wellspan.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.Transformation;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** Finds point pairs for a fit by the points' names. */
public final class PairMatching {
  private PairMatching() {}

  /**
   * Pairs of every control point that the source has a point of the same name for, blanks and case
   * apart.
   *
   * @param raw the source as received
   * @param before swap and unit that are applied before the fit
   */
  public static List<PointPair> byName(Received raw, SourcePlacement before, Control control) {
    SourcePlacement axesAndUnit = before.withWhere(new SourcePlacement.Where.AlreadyShared());
    List<PointPair> out = new ArrayList<>();
    for (Control.Point c : control.points()) {
      for (Item i : raw.items()) {
        if (i.shape() instanceof Shape.Points g) {
          Optional<NamedPoint> same =
              g.points().stream().filter(p -> plain(p.name()).equals(plain(c.name()))).findFirst();
          if (same.isPresent()) {
            out.add(
                new PointPair(c.name(), prepared(same.get().position(), before), c.known(), true));
            break;
          }
        }
      }
    }
    return out;
  }

  /** A position as received after the axes and the unit of a placement, before its place. */
  public static Position prepared(Position raw, SourcePlacement placement) {
    try {
      return Placer.place(
          raw, placement.withWhere(new SourcePlacement.Where.AlreadyShared()), Frame.UNPLACED);
    } catch (Transformation.OutsideAreaException | HelmertFit.NoFitException | CrsTextException e) {
      throw new IllegalStateException("axes and unit alone never fail", e);
    }
  }

  private static String plain(String name) {
    return name.replaceAll("[\\s._-]+", "").toLowerCase(java.util.Locale.ROOT);
  }
}
