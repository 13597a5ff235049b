package wellspan.app.stage;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Point3D;
import javafx.scene.PerspectiveCamera;
import javafx.scene.transform.Rotate;
import javafx.scene.transform.Transform;
import javafx.scene.transform.Translate;

/**
 * A camera that looks at a point from a distance and turns about it. It stays above the ground and
 * within limits of distance, so that nobody gets lost.
 */
final class OrbitCamera {
  private static final double FIELD_OF_VIEW = 38;

  /** Near clip over distance. */
  private static final double NEAR = 0.002;

  /** From straight down to almost level, degrees about the axis across. */
  private static final double LOWEST = -178;

  private static final double HIGHEST = -92;
  private static final double NEAREST = 1;
  private static final double FARTHEST = 500_000;

  private final PerspectiveCamera camera = new PerspectiveCamera(true);
  private final Translate pivot = new Translate();
  private final Rotate turn = new Rotate(-28, Rotate.Z_AXIS);
  private final Rotate tilt = new Rotate(-122, Rotate.X_AXIS);
  private final Translate back = new Translate(0, 0, -1000);
  private final Runnable moved;

  /**
   * @param moved told whenever the distance changes
   */
  OrbitCamera(Runnable moved) {
    this.moved = moved;
    camera.setFieldOfView(FIELD_OF_VIEW);
    camera.getTransforms().addAll(pivot, turn, tilt, back);
  }

  PerspectiveCamera camera() {
    return camera;
  }

  /** What moves when the camera does. */
  List<Transform> transforms() {
    return List.of(pivot, turn, tilt, back);
  }

  double distance() {
    return -back.getZ();
  }

  /**
   * Ground that a pixel covers at the middle of the picture, metres.
   *
   * @param height of the picture, pixels
   */
  double metresPerPixel(double height) {
    return distance() * 2 * Math.tan(Math.toRadians(FIELD_OF_VIEW / 2)) / Math.max(1, height);
  }

  /** Goes to a distance, within limits. */
  void goTo(double distance) {
    double d = Math.clamp(distance, NEAREST, FARTHEST);
    back.setZ(-d);
    camera.setNearClip(Math.max(0.1, d * NEAR));
    camera.setFarClip(d * 20);
    moved.run();
  }

  /** Looks at a point of the picture. */
  void lookAt(double x, double y, double z) {
    pivot.setX(x);
    pivot.setY(y);
    pivot.setZ(z);
  }

  /** What it looks at, in the picture. */
  Point3D aim() {
    return new Point3D(pivot.getX(), pivot.getY(), pivot.getZ());
  }

  /** About the vertical, degrees. */
  double turned() {
    return turn.getAngle();
  }

  /** From straight down, degrees. */
  double tilted() {
    return 180 + tilt.getAngle();
  }

  void face(double turned, double tilted) {
    turn.setAngle(turned);
    tilt.setAngle(Math.clamp(tilted - 180, LOWEST, HIGHEST));
  }

  /** Turns as the pointer was moved, pixels. */
  void orbit(double dx, double dy) {
    turn.setAngle(turn.getAngle() + dx * 0.3);
    tilt.setAngle(Math.clamp(tilt.getAngle() + dy * 0.3, LOWEST, HIGHEST));
  }

  /**
   * Moves sideways as the pointer was moved, pixels.
   *
   * @param height of the picture, pixels
   */
  void pan(double dx, double dy, double height) {
    double perPixel = metresPerPixel(height);
    double a = Math.toRadians(turn.getAngle());
    double right = -dx * perPixel;
    double up = dy * perPixel / Math.max(0.25, Math.abs(Math.cos(Math.toRadians(tilt.getAngle()))));
    pivot.setX(pivot.getX() + right * Math.cos(a) - up * Math.sin(a));
    pivot.setY(pivot.getY() + right * Math.sin(a) + up * Math.cos(a));
  }

  /**
   * Goes nearer or farther.
   *
   * @param towards what lies under the pointer and stays there
   */
  void zoom(double factor, Optional<Point3D> towards) {
    towards.ifPresent(
        p ->
            lookAt(
                p.getX() + (pivot.getX() - p.getX()) * factor,
                p.getY() + (pivot.getY() - p.getY()) * factor,
                p.getZ() + (pivot.getZ() - p.getZ()) * factor));
    goTo(distance() * factor);
  }
}
