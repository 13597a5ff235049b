package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.solid.SolidBoolean;

/** Cuts openings out of the elements that have them. */
final class OpeningCut {
  private final Openings openings;
  private final Soundness soundness;
  private final Placements placements;
  private final Supplier<ShapeReader> shapes;
  private final List<Finding> findings;

  /**
   * @param findings takes what cannot be cut
   */
  OpeningCut(
      Openings openings,
      Soundness soundness,
      Placements placements,
      Supplier<ShapeReader> shapes,
      List<Finding> findings) {
    this.openings = openings;
    this.soundness = soundness;
    this.placements = placements;
    this.shapes = shapes;
    this.findings = findings;
  }

  /** An element without what its openings take away; one that cannot be cut stays whole. */
  Mesh of(Instance p, Mesh whole) {
    MeshWeld weld = new MeshWeld();
    weld.add(whole.xyz(), whole.triangles());
    Mesh left = weld.mesh();
    int done = 0;
    for (Instance o : openings.of(p)) {
      try {
        Optional<String> fault = soundness.ofItself(o);
        List<Instance> items =
            Representations.bodies(o).stream().flatMap(r -> r.refs("Items").stream()).toList();
        if (fault.isPresent() || items.isEmpty()) {
          throw new Left(fault.orElse("it has no body"));
        }
        Mesh opening = PlacedShape.of(items, placements.of(o), soundness, shapes.get()).mesh();
        MeshWeld own = new MeshWeld();
        own.add(opening.xyz(), opening.triangles());
        Mesh hole = own.mesh();
        if (!left.isClosed() || !hole.isClosed()) {
          throw new Left("the bodies are not closed");
        }
        left = SolidBoolean.difference(left, hole);
        done++;
      } catch (Unread | Left | IllegalArgumentException e) {
        findings.add(
            Finding.error(
                RECEIVE,
                "ifc.opening",
                IfcReader.nameOf(p),
                IfcReader.nameOf(p)
                    + ": the opening "
                    + IfcReader.nameOf(o)
                    + " (#"
                    + o.id()
                    + ") is not cut out: "
                    + e.getMessage()
                    + "."));
      }
    }
    return done == 0 ? whole : left;
  }
}
