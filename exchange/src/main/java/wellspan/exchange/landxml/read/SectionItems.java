package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.proof.Boundaries;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;

/** Makes items of the raw parts of a file, in metres. */
final class SectionItems {
  private final double metres;
  private final double up;
  private final UniqueNames names;
  private final NamedPoints named;
  private final List<Finding> findings;
  private final List<Item> items = new ArrayList<>();

  record RawPoint(String name, String code, double[] coordinates, String reference, long line) {}

  record RawPointGroup(String name, List<RawPoint> points, List<PropertySet> sets) {}

  /**
   * @param metres in the file's unit
   * @param up metres in the file's unit of levels
   * @param named points that others refer to by name
   * @param findings takes what was found on the way
   */
  SectionItems(
      double metres, double up, UniqueNames names, NamedPoints named, List<Finding> findings) {
    this.metres = metres;
    this.up = up;
    this.names = names;
    this.named = named;
    this.findings = findings;
  }

  List<Item> items() {
    return items;
  }

  void add(Item item) {
    items.add(item);
  }

  void add(Item item, List<PropertySet> sets) {
    items.add(item.saying(Description.of(sets, Optional.empty())));
  }

  void strings(String name, List<double[]> lists, List<PropertySet> sets) {
    lines(name, lists.stream().map(xyz -> inMetres(xyz)).toList(), sets);
  }

  /** Boundaries are lines that are marked as such, with the type of each. */
  void boundaries(SurfaceSection.Raw s) {
    List<String> types = new ArrayList<>();
    for (int i = 0; i < s.data().boundaries().size(); i++) {
      if (s.data().boundaries().get(i).length >= 6) {
        types.add(s.data().boundaryTypes().get(i));
      }
    }
    strings(
        s.name() + LandXmlReader.OUTLINES,
        s.data().boundaries(),
        List.of(Boundaries.set(s.name(), types)));
  }

  /** Lines of two points or more; shorter ones are counted in a finding. */
  void lines(String name, List<double[]> lines, List<PropertySet> sets) {
    List<Polyline> out = new ArrayList<>();
    for (double[] xyz : lines) {
      if (xyz.length >= 6) {
        out.add(new Polyline(xyz));
      }
    }
    if (out.size() < lines.size()) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "line.short",
                  name,
                  name
                      + ": "
                      + (lines.size() - out.size())
                      + " lines have fewer than two points and were left out.")
              .withFigure(Figure.count(lines.size() - out.size(), "lines")));
    }
    if (!out.isEmpty()) {
      add(Item.string(names.of("string", name), out), sets);
    }
  }

  void sourcePoints(SurfaceSection.Raw s) {
    List<NamedPoint> out = new ArrayList<>();
    for (double[] list : s.data().points()) {
      double[] xyz = inMetres(list);
      for (int i = 0; i < xyz.length; i += 3) {
        Position p = new Position(xyz[i], xyz[i + 1], xyz[i + 2]);
        out.add(new NamedPoint(Integer.toString(out.size() + 1), p, ""));
      }
    }
    for (String reference : s.data().references()) {
      Optional<double[]> at = named.find(reference);
      if (at.isPresent()) {
        out.add(new NamedPoint(reference, position(at.get()), ""));
      } else {
        missing(s.name(), s.line(), "a data point", reference);
      }
    }
    if (!out.isEmpty()) {
      add(Item.points(names.of("points", s.name() + " points"), out), List.of());
    }
  }

  private void missing(String of, long line, String what, String reference) {
    findings.add(
        Finding.error(
            RECEIVE,
            "points.reference",
            of,
            "Line "
                + line
                + ": "
                + what
                + " refers to "
                + reference
                + ", which does not exist; it is left out."));
  }

  private double[] inMetres(double[] xyz) {
    if (metres != 1 || up != 1) {
      for (int i = 0; i < xyz.length; i++) {
        xyz[i] *= i % 3 == 2 ? up : metres;
      }
    }
    return xyz;
  }

  Item surface(SurfaceSection.Raw s, String name) {
    inMetres(s.xyz());
    if (s.faces().length == 0) {
      String why = s.grid() ? "it is a grid without faces" : "it has a name but no triangles";
      findings.add(
          Finding.error(
                  RECEIVE,
                  "terrain.empty",
                  name,
                  "The surface "
                      + name
                      + " is empty: "
                      + why
                      + ", so nothing will arrive. Ask for the surface with its faces.")
              .withFigure(Figure.count(0, "triangles")));
    }
    for (String part : s.leftOut()) {
      findings.add(
          Finding.error(RECEIVE, "landxml.left-out", name, name + ": a part is left out: " + part));
    }
    if (s.quads() > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "terrain.quads",
                  name,
                  name
                      + " has "
                      + s.quads()
                      + " faces of four points; each is cut into two triangles from its first point on.")
              .withFigure(Figure.count(s.quads(), "faces")));
    }
    if (s.degenerate() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "terrain.degenerate",
                  name,
                  name
                      + " has "
                      + s.degenerate()
                      + " faces that name a point twice; they have no area and are no part of the surface.")
              .withFigure(Figure.count(s.degenerate(), "faces")));
    }
    if (s.invisible().length > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "terrain.invisible",
                  name,
                  name
                      + " has "
                      + s.invisible().length / 3
                      + " faces marked invisible; they are kept and are no part of the surface.")
              .withFigure(Figure.count(s.invisible().length / 3, "faces")));
    }
    return Item.of(
        name, Kind.TERRAIN, new Shape.Faces(new Mesh(s.xyz(), s.faces()), s.invisible()));
  }

  private Position position(double[] at) {
    return new Position(at[1] * metres, at[0] * metres, at.length > 2 ? at[2] * up : Double.NaN);
  }

  Item group(RawPointGroup g, String name) {
    List<NamedPoint> out = new ArrayList<>();
    for (RawPoint p : g.points()) {
      Optional<double[]> at =
          p.reference().isEmpty()
              ? Optional.of(p.coordinates())
              : named.find(g.name(), p.reference());
      if (at.isPresent()) {
        out.add(new NamedPoint(p.name(), position(at.get()), p.code()));
      } else {
        missing(name, p.line(), "the point " + p.name(), p.reference());
      }
    }
    return Item.points(name, out);
  }
}
