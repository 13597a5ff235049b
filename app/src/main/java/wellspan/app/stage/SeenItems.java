package wellspan.app.stage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Rectangle2D;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Gathering;

/**
 * The visible items of a build with their extents, so that what lies elsewhere is passed over at no
 * cost. Made once for a build.
 */
final class SeenItems {
  /** More surfaces than that are drawn plainly where they are small. */
  private static final int CROWD = 300;

  private final Build build;
  private int faces;
  private final List<Build.BuiltItem> items = new ArrayList<>();
  private final List<Box> boxes = new ArrayList<>();
  private final Box bounds;
  private final List<Build.BuiltItem> textured = new ArrayList<>();
  private final List<Build.BuiltItem> large = new ArrayList<>();

  SeenItems(Build build) {
    this.build = build;
    for (Build.BuiltItem i : build.items().values()) {
      if (build.isVisible(i.id())) {
        items.add(i);
        faces += i.item().triangles().isPresent() ? 1 : 0;
      }
    }
    items.sort(Comparator.comparingDouble(SeenItems::top));
    items.forEach(i -> boxes.add(i.item().bounds()));
    bounds = Gathering.of(boxes, Gathering.FAR);
    for (Build.BuiltItem i : build.items().values()) { // in the order of the job
      if (build.isVisible(i.id())) {
        if (GroundPicture.texture(i.item()).isPresent()) {
          textured.add(i);
        }
        if (!SmallBodies.takes(i.item(), crowded())) {
          large.add(i);
        }
      }
    }
  }

  /** Those with a picture over them. */
  List<Build.BuiltItem> textured() {
    return textured;
  }

  /** Those that are not drawn as small bodies. */
  List<Build.BuiltItem> large() {
    return large;
  }

  /** Bodies are seen from above: what reaches higher lies over what does not. */
  private static double top(Build.BuiltItem i) {
    Box b = i.item().bounds();
    boolean body = i.item().triangles().isPresent() && !i.item().kind().surface();
    return body && b.hasLevels() ? b.maxH() : Double.NEGATIVE_INFINITY;
  }

  @SuppressWarnings("ReferenceEquality") // a build is never changed
  boolean isOf(Build other) {
    return build == other;
  }

  /** Whether there are thousands of items with faces. */
  boolean crowded() {
    return faces > CROWD;
  }

  /** Extent of what lies together; what is far from the rest would leave a blank picture. */
  Box bounds() {
    return bounds;
  }

  /** Every item that reaches into a part of the picture, pixels. */
  void within(PlanWindow w, Rectangle2D part, Consumer<Build.BuiltItem> each) {
    within(
        w.eastAt(part.getMinX()),
        w.northAt(part.getMaxY()),
        w.eastAt(part.getMaxX()),
        w.northAt(part.getMinY()),
        each);
  }

  /** Every item that reaches into a part of the plan. */
  void within(double minE, double minN, double maxE, double maxN, Consumer<Build.BuiltItem> each) {
    for (int i = 0; i < boxes.size(); i++) {
      Box b = boxes.get(i);
      if (b.minE() <= maxE && b.maxE() >= minE && b.minN() <= maxN && b.maxN() >= minN) {
        each.accept(items.get(i));
      }
    }
  }

  /** Every item whose extent lies wholly in a part of the plan. */
  void whollyWithin(
      double minE, double minN, double maxE, double maxN, Consumer<Build.BuiltItem> each) {
    for (int i = 0; i < boxes.size(); i++) {
      Box b = boxes.get(i);
      if (b.minE() >= minE && b.maxE() <= maxE && b.minN() >= minN && b.maxN() <= maxN) {
        each.accept(items.get(i));
      }
    }
  }
}
