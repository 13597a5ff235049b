package wellspan.core.step;

import java.util.List;
import java.util.stream.Stream;
import wellspan.core.item.ItemId;
import wellspan.core.triangulate.LevelRule;

/** How an item is made that no source holds. {@link Maker} carries it out. */
public sealed interface Recipe {
  /** Name of what is made. */
  String name();

  /** What it is made of. */
  List<ItemId> uses();

  /** What it makes, for lists and undo. */
  String title();

  /**
   * A terrain surface of points and lines.
   *
   * @param points groups of points, and surfaces whose vertices count as points
   * @param breaklines strings that become chains of edges
   * @param boundaries closed strings in which the surface ends
   * @param holes closed strings in which there is none
   * @param duplicates level of points at one place
   * @param crossings level where lines cross
   */
  record Triangulation(
      String name,
      List<ItemId> points,
      List<ItemId> breaklines,
      List<ItemId> boundaries,
      List<ItemId> holes,
      LevelRule duplicates,
      LevelRule crossings)
      implements Recipe {
    public Triangulation {
      points = List.copyOf(points);
      breaklines = List.copyOf(breaklines);
      boundaries = List.copyOf(boundaries);
      holes = List.copyOf(holes);
    }

    @Override
    public String title() {
      return "Triangulate " + name;
    }

    @Override
    public List<ItemId> uses() {
      return Stream.of(points, breaklines, boundaries, holes).flatMap(List::stream).toList();
    }
  }

  /** A surface that is the same as another one, to be shaped on its own. */
  record Copy(String name, ItemId surface) implements Recipe {
    @Override
    public String title() {
      return "Copy as " + name;
    }

    @Override
    public List<ItemId> uses() {
      return List.of(surface);
    }
  }

  /**
   * Contours of a surface as lines: one item of the major ones, one of the others.
   *
   * @param interval distance of levels, metres
   * @param base a level that has a contour, metres
   * @param majorEvery every how many-th is a major one; 0 for none
   */
  record Contours(String name, ItemId surface, double interval, double base, int majorEvery)
      implements Recipe {
    @Override
    public String title() {
      return "Contours " + name;
    }

    @Override
    public List<ItemId> uses() {
      return List.of(surface);
    }
  }

  /**
   * Ground with a picture over it: cut to the picture, the picture cut to it and resampled.
   *
   * @param surface the ground
   * @param image the picture
   * @param pixel size of the resampled pixels, metres
   * @param spacing of a new grid of levels, metres; 0 keeps the triangles
   * @param error by which the triangles may be simplified at most, metres; 0 for none
   */
  record TexturedGround(
      String name, ItemId surface, ItemId image, double pixel, double spacing, double error)
      implements Recipe {
    @Override
    public String title() {
      return "Textured ground " + name;
    }

    @Override
    public List<ItemId> uses() {
      return List.of(surface, image);
    }
  }

  /** The earth between two surfaces as bodies: one of what is cut, one of what is filled. */
  record Earth(String name, ItemId existing, ItemId proposed) implements Recipe {
    @Override
    public String title() {
      return "Earth bodies " + name;
    }

    @Override
    public List<ItemId> uses() {
      return List.of(existing, proposed);
    }
  }

  /**
   * A level or graded area with side slopes that run out on the ground.
   *
   * @param ground the surface on which the slopes end
   * @param outline of the area itself
   * @param level at the middle (the centre of gravity) of the outline, metres
   * @param fall metres down for each metre, as a percentage; 0 for a level area
   * @param bearing in which it falls, degrees clockwise from grid north
   * @param cut metres out for each metre up where the ground lies higher
   * @param fill metres out for each metre down where it lies lower
   */
  record GradedPad(
      String name,
      ItemId ground,
      Step.Outline outline,
      double level,
      double fall,
      double bearing,
      double cut,
      double fill)
      implements Recipe {
    @Override
    public String title() {
      return "Pad " + name;
    }

    @Override
    public List<ItemId> uses() {
      return Stream.concat(Stream.of(ground), outline.item().stream()).toList();
    }
  }
}
