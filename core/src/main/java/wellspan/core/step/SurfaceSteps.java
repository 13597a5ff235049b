package wellspan.core.step;

import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.flaw.FalseLevels;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.flaw.Spikes;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.HoleFilling;
import wellspan.core.reshape.OutlineTrim;
import wellspan.core.reshape.PlanClip;
import wellspan.core.reshape.Simplification;
import wellspan.core.reshape.SliverFlip;
import wellspan.core.reshape.SurfaceJoin;
import wellspan.core.reshape.VertexDrop;
import wellspan.core.shape.Shape;

/** Steps on terrain surfaces. */
final class SurfaceSteps {
  /** A seam that had to be closed by more than this is told as a finding, metres. */
  private static final double SEAM = 0.02;

  private SurfaceSteps() {}

  static Shaper.Done apply(Step step, Item item, Shape.Faces s, Inputs inputs, Progress progress) {
    Mesh m = s.mesh();
    return switch (step) {
      case Step.DropFalseLevels f -> {
        FalseLevels found = FalseLevels.find(m, progress);
        yield drop(s, found.points(), f.refill(), PointSteps.told(found, m.vertexCount()));
      }
      case Step.DropSpikes d -> {
        boolean[] left = new boolean[m.vertexCount()];
        FalseLevels.find(m, progress.part(0, 0.3)).points().forEach(i -> left[i] = true);
        Spikes found =
            Spikes.find(m, left, d.height() > 0 ? d.height() : Double.NaN, progress.part(0.3, 1));
        yield drop(s, found.points(), d.refill(), PointSteps.told(found, m.vertexCount()));
      }
      case Step.DropFlawedTriangles d -> flawed(s, d.sliver(), progress);
      case Step.DropIslands d -> islands(s, d.smallest(), progress);
      case Step.Trim t -> {
        double longest = t.longest() > 0 ? t.longest() : Double.POSITIVE_INFINITY;
        yield fewer(s, OutlineTrim.trim(m, longest, t.flattest()));
      }
      case Step.Clip c -> {
        Geometry area = Outlines.area(c.outline(), inputs);
        Mesh part =
            clean(
                c.inside()
                    ? PlanClip.inside(m, area, progress)
                    : PlanClip.outside(m, area, progress));
        yield new Shaper.Done(
            new Shape.Faces(part),
            String.format(Locale.ROOT, "%.1f m² of %.1f m² stay.", part.planArea(), m.planArea()));
      }
      case Step.CutCover c -> cover(s, c, inputs, progress);
      case Step.SetIn j -> setIn(item, s, j, inputs, progress);
      case Step.Raise r ->
          new Shaper.Done(
              new Shape.Faces(new Mesh(raised(m.xyz(), r.by()), m.triangles()), s.invisible()),
              String.format(Locale.ROOT, "Moved by %+.3f m.", r.by()));
      case Step.Simplify e -> {
        if (!(e.error() > 0)) {
          throw new IllegalArgumentException("the error to allow must be greater than zero.");
        }
        Simplification simple = Simplification.of(m, e.error(), progress);
        yield new Shaper.Done(
            new Shape.Faces(simple.mesh()),
            String.format(
                Locale.ROOT,
                "%d of %d triangles stay; no vertex lies more than %.3f m off.",
                simple.mesh().triangleCount(),
                m.triangleCount(),
                simple.error()));
      }
      case Step.FillHoles f -> {
        Mesh filled = HoleFilling.fill(m, f.largest() > 0 ? f.largest() : Double.POSITIVE_INFINITY);
        yield new Shaper.Done(
            new Shape.Faces(filled, s.invisible()),
            String.format(
                Locale.ROOT,
                "%d triangles put in, %.1f m².",
                filled.triangleCount() - m.triangleCount(),
                filled.planArea() - m.planArea()));
      }
      case Step.MergeDuplicates d -> throw Shaper.unfit(step, item);
    };
  }

  /** Without the slivers that a cut close beside a vertex leaves. */
  private static Mesh clean(Mesh cut) {
    return SliverFlip.flip(cut, GroundChecks.SLIVER);
  }

  static double[] raised(double[] xyz, double by) {
    double[] out = xyz.clone();
    for (int i = 2; i < out.length; i += 3) {
      out[i] += by;
    }
    return out;
  }

  private static Shaper.Done fewer(Shape.Faces s, Mesh rest) {
    int all = s.mesh().triangleCount();
    return new Shaper.Done(
        new Shape.Faces(rest), Shaper.share(all - rest.triangleCount(), all, "triangles") + ".");
  }

  private static Shaper.Done drop(
      Shape.Faces s, List<Integer> vertices, boolean refill, String told) {
    if (vertices.isEmpty()) {
      return new Shaper.Done(s, told);
    }
    BitSet gone = new BitSet();
    vertices.forEach(gone::set);
    return new Shaper.Done(new Shape.Faces(VertexDrop.vertices(s.mesh(), gone, refill)), told);
  }

  private static Shaper.Done flawed(Shape.Faces s, double sliver, Progress progress) {
    SurfaceFlaws f = SurfaceFlaws.of(s.mesh(), sliver, progress);
    BitSet gone = new BitSet();
    f.flawedTriangles().forEach(gone::set);
    String told =
        Shaper.share(gone.cardinality(), s.mesh().triangleCount(), "triangles")
            + String.format(
                ": %d slivers, %d inverted, %d repeated, %d overlapping.",
                f.slivers().size(),
                f.inverted().size(),
                f.repeated().size(),
                f.overlapping().size());
    return new Shaper.Done(
        gone.isEmpty() ? s : new Shape.Faces(VertexDrop.triangles(s.mesh(), gone)), told);
  }

  private static Shaper.Done islands(Shape.Faces s, double smallest, Progress progress) {
    SurfaceFlaws f = SurfaceFlaws.of(s.mesh(), 0, progress);
    BitSet gone = new BitSet();
    int parts = 0;
    for (List<Integer> island : f.islands()) {
      double area = island.stream().mapToDouble(t -> Math.abs(s.mesh().planArea(t))).sum();
      if (area < smallest) {
        island.forEach(gone::set);
        parts++;
      }
    }
    return new Shaper.Done(
        gone.isEmpty() ? s : new Shape.Faces(VertexDrop.triangles(s.mesh(), gone)),
        parts
            + " of "
            + f.islands().size()
            + " loose parts dropped, "
            + gone.cardinality()
            + " triangles.");
  }

  private static Shaper.Done cover(
      Shape.Faces s, Step.CutCover c, Inputs inputs, Progress progress) {
    Geometry area = Outlines.area(c.outline(), inputs);
    Mesh cover = clean(PlanClip.inside(s.mesh(), area, progress.part(0, 0.5)));
    if (cover.triangleCount() == 0) {
      throw new IllegalArgumentException("the outline lies beside the surface.");
    }
    Mesh rest = clean(PlanClip.outside(s.mesh(), area, progress.part(0.5, 1)));
    return new Shaper.Done(
        new Shape.Faces(rest),
        List.of(Item.cover(c.name(), cover, c.material())),
        String.format(
            Locale.ROOT,
            "%.1f m² of %s; %.1f m² stay.",
            cover.planArea(),
            c.material().isEmpty() ? "cover" : c.material(),
            rest.planArea()),
        List.of());
  }

  private static Shaper.Done setIn(
      Item item, Shape.Faces s, Step.SetIn step, Inputs inputs, Progress progress) {
    Shape.Faces design = Maker.surface(inputs, step.design());
    String other = inputs.item(step.design()).name();
    SurfaceJoin j = SurfaceJoin.join(s.mesh(), design.mesh(), progress);
    if (j.stepAt().isEmpty()) {
      throw new IllegalArgumentException(other + " does not touch the ground: they share no seam.");
    }
    String told =
        String.format(
            Locale.ROOT,
            "%s set in; the largest step at the seam was %.3f m.",
            other,
            Math.abs(j.step()));
    List<Finding> findings =
        Math.abs(j.step()) <= SEAM
            ? List.of()
            : List.of(
                Finding.warning(
                        Stop.SHAPE,
                        "terrain.seam",
                        item.name(),
                        item.name()
                            + ": at the seam with "
                            + other
                            + " the ground was up to "
                            + String.format(Locale.ROOT, "%.3f m", Math.abs(j.step()))
                            + (j.step() > 0 ? " higher" : " lower")
                            + ". It was drawn to the design; check the design's tie-in.")
                    .at(j.stepAt().get())
                    .withFigure(String.format(Locale.ROOT, "%.3f m", j.step())));
    return new Shaper.Done(new Shape.Faces(j.mesh()), List.of(), told, findings);
  }
}
