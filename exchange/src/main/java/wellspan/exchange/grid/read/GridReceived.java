package wellspan.exchange.grid.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.LikelyDegrees;
import wellspan.core.receive.Received;
import wellspan.core.terrain.ElevationGrid;
import wellspan.exchange.position.read.GeoTiffKeys;

/** A grid as what was received: one surface, named like its file. */
final class GridReceived {
  private GridReceived() {}

  /**
   * @param place what the file says of where it lies; the grid has taken its numbers already
   */
  static Received of(Path file, String format, GeoTiffKeys.RasterPlace place, ElevationGrid grid) {
    String name = FileStem.of(String.valueOf(file.getFileName()));
    Item surface = Item.surface(name, grid.mesh());
    List<Finding> findings = new ArrayList<>();
    place.finding(name).ifPresent(findings::add);
    boolean degrees =
        CrsCatalogue.shipped().find(place.crs()).filter(c -> !c.projected()).isPresent();
    if (degrees) {
      findings.add(
          Finding.note(
              RECEIVE,
              "grid.degrees",
              name,
              "The grid counts in degrees of "
                  + place.crs()
                  + ". Areas, slopes and lengths mean something once it is in a projected system; a job places it so."));
    } else if (place.crs().isEmpty()) {
      LikelyDegrees.check(name, surface.bounds()).ifPresent(findings::add);
    }
    int gaps = grid.gaps();
    if (gaps == grid.levels().length) {
      findings.add(
          Finding.error(
              RECEIVE,
              "terrain.empty",
              name,
              "No cell of the grid " + name + " has a level, so nothing will arrive."));
    } else if (gaps > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "grid.gaps",
                  name,
                  (gaps == 1 ? "1 cell of the grid has" : gaps + " cells of the grid have")
                      + " no level; the surface has holes there.")
              .withFigure(Figure.of(100.0 * gaps / grid.levels().length, 1, "%")));
    }
    findings.add(
        Finding.note(
            RECEIVE,
            "units.missing",
            name,
            "A grid does not say the unit of its levels; metres are taken."));
    Map<String, Integer> counts = new TreeMap<>();
    counts.put("columns", grid.columns());
    counts.put("rows", grid.rows());
    return new Received(
        format,
        place.crs(),
        degrees ? "degree" : "",
        List.of(surface),
        counts,
        findings,
        place.statement().stream().toList());
  }
}
