package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.network.Chamber;
import wellspan.core.network.Network;
import wellspan.core.network.NetworkBodies;
import wellspan.core.network.NetworkBody;
import wellspan.core.network.Pipe;
import wellspan.core.network.PipeSection;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.NumberText;
import wellspan.exchange.file.UniqueNames;

/** Makes pipes and chambers of pipe networks, in metres. */
final class NetworkItems {
  private final double metres;
  private final double up;
  private final SectionUnits units;
  private final AngleUnit directions;
  private final NamedPoints named;
  private final UniqueNames names;
  private final List<Finding> findings;

  /**
   * @param metres in the file's unit
   * @param up metres in the file's unit of levels
   * @param units of pipes and chambers
   * @param directions the file's unit of directions
   */
  NetworkItems(
      double metres,
      double up,
      SectionUnits units,
      AngleUnit directions,
      NamedPoints named,
      UniqueNames names,
      List<Finding> findings) {
    this.metres = metres;
    this.up = up;
    this.units = units;
    this.directions = directions;
    this.named = named;
    this.names = names;
    this.findings = findings;
  }

  List<Item> of(List<PipeNetworkSection.Raw> raw) {
    List<Network> networks = new ArrayList<>();
    for (PipeNetworkSection.Raw r : raw) {
      for (String part : r.leftOut()) {
        findings.add(
            Finding.error(
                RECEIVE, "landxml.left-out", r.name(), r.name() + ": left out is " + part));
      }
      List<Chamber> chambers = new ArrayList<>();
      for (PipeNetworkSection.RawStruct s : r.structs()) {
        chambers.add(chamber(r.name(), s));
      }
      List<Pipe> pipes = new ArrayList<>();
      for (PipeNetworkSection.RawPipe p : r.pipes()) {
        pipe(r.name(), p).ifPresent(pipes::add);
      }
      networks.add(new Network(r.name(), r.type(), chambers, pipes));
    }
    List<Item> out = new ArrayList<>();
    for (NetworkBody b : NetworkBodies.of(networks, findings)) {
      Kind kind = Kind.of(b.kind());
      Optional<Finish> finish =
          b.material().isEmpty()
              ? kind.finish()
              : Optional.of(new Finish(b.material(), Finish.colour(b.material())));
      Attributes a =
          Attributes.NONE
              .withLayer(b.connection().network())
              .withConnection(Optional.of(b.connection()))
              .with(Description.of(b.sets(), finish).withClosed(true));
      Shape shape = Shape.Faces.of(b.body(), Curved.USUAL_CHORD);
      out.add(new Item(names.of(kind.id(), b.name()), kind, shape, a));
    }
    units.findings(findings);
    return out;
  }

  private double number(String text, double scale, String what, String of) {
    if (text == null || text.isEmpty()) {
      return Double.NaN;
    }
    try {
      double v = Double.parseDouble(text.strip());
      if (NumberText.isOnEarth(v)) {
        return v * scale;
      }
    } catch (NumberFormatException e) {
      // said below
    }
    findings.add(
        Finding.error(
            RECEIVE,
            "landxml.number",
            of,
            of + ": the " + what + " \"" + text + "\" is no number; it is taken as not given."));
    return Double.NaN;
  }

  private double size(PipeNetworkSection.RawForm f, String attribute, String of) {
    double raw = number(f.attributes().get(attribute), 1, attribute, of);
    return Double.isNaN(raw) ? raw : raw * units.of(attribute, raw);
  }

  /** A measure in the unit that another one of the same thing was found to have. */
  private double like(PipeNetworkSection.RawForm f, String attribute, String other, String of) {
    double raw = number(f.attributes().get(attribute), 1, attribute, of);
    double given = number(f.attributes().get(other), 1, other, of);
    return Double.isNaN(raw) ? raw : raw * units.of(other, Double.isNaN(given) ? raw : given);
  }

  private Chamber chamber(String network, PipeNetworkSection.RawStruct s) {
    double[] at =
        s.reference().isEmpty() ? s.center() : named.find(s.reference()).orElse(new double[0]);
    boolean placed = at.length >= 2;
    PipeNetworkSection.RawForm f = s.form();
    double rim = number(s.rim(), up, "elevRim", s.name());
    if (Double.isNaN(rim) && at.length > 2) {
      rim = at[2] * up;
    }
    Chamber.Form form =
        switch (f.element()) {
          case "CircStruct" -> new Chamber.Form.Round(size(f, "diameter", s.name()));
          case "RectStruct" ->
              new Chamber.Form.Rectangular(
                  like(f, "length", "width", s.name()),
                  size(f, "width", s.name()),
                  direction(f, s.name()));
          case "InletStruct" -> new Chamber.Form.Inlet();
          case "OutletStruct" -> new Chamber.Form.Outlet();
          case "Connection" -> new Chamber.Form.None();
          default -> {
            findings.add(
                Finding.warning(
                    RECEIVE,
                    "network.form",
                    s.name(),
                    "The chamber "
                        + s.name()
                        + " of "
                        + network
                        + " does not say what it looks like; it is shown like an inlet."));
            yield new Chamber.Form.Inlet();
          }
        };
    List<Chamber.Invert> inverts = new ArrayList<>();
    for (PipeNetworkSection.RawInvert i : s.inverts()) {
      inverts.add(
          new Chamber.Invert(
              i.pipe(), number(i.level(), up, "elev of an invert", s.name()), i.direction()));
    }
    String measure = f.element().equals("RectStruct") ? "width" : "diameter";
    return new Chamber(
        s.name(),
        form,
        placed ? at[1] * metres : Double.NaN,
        placed ? at[0] * metres : Double.NaN,
        rim,
        number(s.sump(), up, "elevSump", s.name()),
        like(f, "thickness", measure, s.name()),
        inverts,
        f.attributes().getOrDefault("material", ""),
        s.sets());
  }

  /** Directions are azimuths, clockwise from north. */
  private double direction(PipeNetworkSection.RawForm f, String of) {
    double said = number(f.attributes().get("lengthDir"), 1, "lengthDir", of);
    if (Double.isNaN(said)) {
      return 0;
    }
    if (directions.isBeyond(said, 2 * Math.PI)) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "network.direction.unit",
              of,
              "The chamber "
                  + of
                  + " has a lengthDir of more than a full turn in radians, which the file counts in for want of a directionUnit; degrees are taken."));
      return Math.PI / 2 - Math.toRadians(said);
    }
    return Math.PI / 2 - directions.radians(said);
  }

  private Optional<Pipe> pipe(String network, PipeNetworkSection.RawPipe p) {
    PipeNetworkSection.RawForm f = p.form();
    String main = f.element().equals("CircPipe") ? "diameter" : "height";
    PipeSection section =
        switch (f.element()) {
          case "CircPipe" -> new PipeSection.Circle(size(f, "diameter", p.name()));
          case "EggPipe" -> egg(size(f, "height", p.name()), like(f, "span", "height", p.name()));
          case "ElliPipe" ->
              new PipeSection.Ellipse(
                  size(f, "height", p.name()), like(f, "span", "height", p.name()));
          case "RectPipe" ->
              new PipeSection.Box(size(f, "height", p.name()), size(f, "width", p.name()));
          case "Channel" ->
              new PipeSection.Channel(
                  size(f, "height", p.name()),
                  size(f, "widthTop", p.name()),
                  size(f, "widthBottom", p.name()));
          default -> null;
        };
    if (section == null) {
      findings.add(
          Finding.error(
              RECEIVE,
              "network.size.none",
              p.name(),
              "The pipe " + p.name() + " of " + network + " has no section and is left out."));
      return Optional.empty();
    }
    List<PropertySet> sets = new ArrayList<>(p.sets());
    Map<String, PropertyValue> roughness = new LinkedHashMap<>();
    for (String r : List.of("mannings", "hazenWilliams")) {
      double v = number(f.attributes().get(r), 1, r, p.name());
      if (!Double.isNaN(v)) {
        roughness.put(r, new PropertyValue.Real(v));
      }
    }
    if (!roughness.isEmpty()) {
      sets.addFirst(new PropertySet("LandXML_Pipe", roughness));
    }
    double percent = number(p.slope(), 0.01, "slope", p.name());
    return Optional.of(
        new Pipe(
            p.name(),
            p.start(),
            p.end(),
            section,
            like(f, "thickness", main, p.name()),
            percent,
            f.attributes().getOrDefault("material", ""),
            sets));
  }

  private static PipeSection egg(double height, double width) {
    return height > width
        ? new PipeSection.Egg(height, width)
        : new PipeSection.Ellipse(height, width);
  }
}
