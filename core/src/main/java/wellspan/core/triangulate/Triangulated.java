package wellspan.core.triangulate;

import java.util.List;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;

/**
 * A surface made of points and lines.
 *
 * @param mesh vertices in the order of points, then of lines, then of crossings; duplicates left
 *     out
 * @param duplicates points left out because another one lies at their place
 * @param conflicts places where levels differed by more than the tolerance
 * @param lost middles of pieces of lines that are no edge of the surface; empty unless something is
 *     wrong
 * @param withoutLevels names of lines that were left out because they have no levels
 */
public record Triangulated(
    Mesh mesh,
    int duplicates,
    List<LevelConflict> conflicts,
    List<Position> lost,
    List<String> withoutLevels) {}
