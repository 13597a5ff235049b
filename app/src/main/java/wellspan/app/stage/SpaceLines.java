package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import javafx.scene.shape.MeshView;
import javafx.scene.shape.TriangleMesh;

/**
 * Lines and points in space, drawn as bars: they stay as fine in the picture as they are from afar
 * when one comes near. Used on the window's thread.
 */
final class SpaceLines {
  /** Half a line's width in the picture, pixels. */
  private static final double FINE = 1;

  /** Bars that are this many times too fat or too thin are made anew. */
  private static final double TOO_MUCH = 1.4;

  /** Thinner than this nothing is seen that a reach of a kilometre can show, metres. */
  private static final double THINNEST = 0.004;

  private record Bar(MeshView view, DoubleFunction<TriangleMesh> of) {}

  private final List<Bar> bars = new ArrayList<>();
  private double thickest = 1;
  private double thickness = 1;
  private double wanted = Double.POSITIVE_INFINITY;

  /**
   * Forgets all bars.
   *
   * @param whole half a line's width where everything is seen, metres
   */
  void clear(double whole) {
    bars.clear();
    thickest = whole;
    thickness = fitting();
  }

  private double fitting() {
    return Math.clamp(wanted, Math.min(THINNEST, thickest), thickest);
  }

  /** Half the width of lines now, metres. */
  double thickness() {
    return thickness;
  }

  /**
   * @param of makes the bar for half a line's width
   */
  void add(MeshView view, DoubleFunction<TriangleMesh> of) {
    bars.add(new Bar(view, of));
  }

  /** Forgets those bars that are among some nodes. */
  void remove(List<MeshView> gone) {
    bars.removeIf(b -> gone.contains(b.view));
  }

  /** Makes the bars anew where they no longer fit the picture. */
  void follow(double metresPerPixel) {
    wanted = FINE * metresPerPixel;
    double next = fitting();
    if (next > thickness * TOO_MUCH || next < thickness / TOO_MUCH) {
      thickness = next;
      bars.forEach(b -> b.view.setMesh(b.of.apply(next)));
    }
  }
}
