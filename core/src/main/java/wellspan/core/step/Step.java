package wellspan.core.step;

import java.util.List;
import java.util.Optional;
import wellspan.core.item.ItemId;
import wellspan.core.triangulate.LevelRule;

/** One preparation of an item: parameters only. {@link Shaper} carries it out. */
public sealed interface Step {
  /** What it does, for lists and undo. */
  String title();

  /** Other items that it looks at. */
  default List<ItemId> uses() {
    return List.of();
  }

  /**
   * Drops points whose level is a stand-in for none.
   *
   * @param refill closes the gaps of a surface over their outlines
   */
  record DropFalseLevels(boolean refill) implements Step {
    @Override
    public String title() {
      return "Drop levels that are none";
    }
  }

  /**
   * Drops points that stand out of their surroundings.
   *
   * @param height from which a point counts, metres; 0 takes it from the points
   */
  record DropSpikes(double height, boolean refill) implements Step {
    @Override
    public String title() {
      return "Drop spikes";
    }
  }

  /** Makes one point of those at one place. */
  record MergeDuplicates(LevelRule rule) implements Step {
    @Override
    public String title() {
      return "Merge points at one place, " + rule.word() + " level";
    }
  }

  /**
   * Drops triangles that make no surface: slivers, inverted, repeated and overlapping ones.
   *
   * @param sliver height of a triangle below which it goes, metres
   */
  record DropFlawedTriangles(double sliver) implements Step {
    @Override
    public String title() {
      return "Drop flawed triangles";
    }
  }

  /**
   * Drops parts that do not hang together with the largest one.
   *
   * @param smallest plan area from which a part stays, square metres
   */
  record DropIslands(double smallest) implements Step {
    @Override
    public String title() {
      return "Drop loose parts";
    }
  }

  /**
   * Takes long and flat triangles off the outer edge.
   *
   * @param longest side in metres; 0 for no limit
   * @param flattest angle in degrees; 0 for no limit
   */
  record Trim(double longest, double flattest) implements Step {
    @Override
    public String title() {
      return "Trim the outer edge";
    }
  }

  /** Keeps what lies within an outline, or beside it; triangles are cut exactly there. */
  record Clip(Outline outline, boolean inside) implements Step {
    @Override
    public String title() {
      return inside ? "Clip to an outline" : "Cut an outline out";
    }

    @Override
    public List<ItemId> uses() {
      return outline.item().map(List::of).orElse(List.of());
    }
  }

  /**
   * Sets another surface into this one.
   *
   * @param design the surface that holds within its outline
   */
  record SetIn(ItemId design) implements Step {
    @Override
    public String title() {
      return "Set a design in";
    }

    @Override
    public List<ItemId> uses() {
      return List.of(design);
    }
  }

  /**
   * Moves everything vertically.
   *
   * @param by metres, up is positive
   */
  record Raise(double by) implements Step {
    @Override
    public String title() {
      return by < 0 ? "Lower" : "Raise";
    }
  }

  /**
   * Fewer triangles, no vertex farther off than promised.
   *
   * @param error metres
   */
  record Simplify(double error) implements Step {
    @Override
    public String title() {
      return "Simplify";
    }
  }

  /**
   * Closes holes.
   *
   * @param largest plan area of a hole that is closed, square metres; 0 closes all
   */
  record FillHoles(double largest) implements Step {
    @Override
    public String title() {
      return "Fill holes";
    }
  }

  /**
   * Gives an area of the surface to an item of its own; the surface keeps the rest.
   *
   * @param name of the new item
   * @param material that it is made of
   */
  record CutCover(String name, String material, Outline outline) implements Step {
    @Override
    public String title() {
      return "Give to the cover " + name;
    }

    @Override
    public List<ItemId> uses() {
      return outline.item().map(List::of).orElse(List.of());
    }
  }

  /** An area in plan. */
  sealed interface Outline {
    /** The item that it is taken from, if it is. */
    Optional<ItemId> item();

    /**
     * Drawn by hand.
     *
     * @param ring easting and northing in twos, shared coordinates
     */
    record Drawn(List<Double> ring) implements Outline {
      public Drawn {
        ring = List.copyOf(ring);
      }

      @Override
      public Optional<ItemId> item() {
        return Optional.empty();
      }
    }

    /**
     * What closed lines enclose, what a surface covers, or the strip along an alignment.
     *
     * @param offset metres to the outside; for an alignment half the strip's width
     */
    record Of(ItemId source, double offset) implements Outline {
      @Override
      public Optional<ItemId> item() {
        return Optional.of(source);
      }
    }
  }
}
