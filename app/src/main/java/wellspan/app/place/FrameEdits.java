package wellspan.app.place;

import java.util.OptionalDouble;
import java.util.function.BiFunction;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.unit.Angles;

/** Takes figures typed for the frame; what is no figure gets a sentence. */
final class FrameEdits {
  private final Session session;

  FrameEdits(Session session) {
    this.session = session;
  }

  void east(String text) {
    number(
        "Move the base point",
        text,
        (f, v) -> f.withBasePoint(new Position(v, f.basePoint().north(), f.basePoint().level())));
  }

  void north(String text) {
    number(
        "Move the base point",
        text,
        (f, v) -> f.withBasePoint(new Position(f.basePoint().east(), v, f.basePoint().level())));
  }

  void height(String text) {
    number(
        "Move the base point",
        text,
        (f, v) -> f.withBasePoint(new Position(f.basePoint().east(), f.basePoint().north(), v)));
  }

  /** Degrees, or degrees, minutes and seconds. */
  void rotation(String text) {
    OptionalDouble angle = Angles.degrees(text);
    if (angle.isEmpty()) {
      session.complain("\"" + text + "\" is not an angle. Type it as 21.5 or 21°30'00\".");
      return;
    }
    session.place().changeFrame("Turn site north", f -> f.withRotation(angle.getAsDouble()));
  }

  void scale(String text) {
    number("Set the horizontal scale", text, Frame::withScale);
  }

  /** Ellipsoidal height minus level; empty for not known. */
  void ellipsoidOffset(String text) {
    if (text.isBlank() || text.equals("–")) {
      session
          .place()
          .changeFrame(
              "Forget the offset to the ellipsoid",
              f -> f.withHeights(f.verticalDatum(), Double.NaN));
      return;
    }
    number("Set the offset to the ellipsoid", text, (f, v) -> f.withHeights(f.verticalDatum(), v));
  }

  private void number(String what, String text, BiFunction<Frame, Double, Frame> change) {
    double value;
    try {
      value = Figures.parse(text.replace("m", "").replace(',', '.'));
    } catch (NumberFormatException e) {
      session.complain("\"" + text + "\" is not a number. Type it as 412000.000.");
      return;
    }
    session.place().changeFrame(what, f -> change.apply(f, value));
  }
}
