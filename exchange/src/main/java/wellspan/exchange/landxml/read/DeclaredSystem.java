package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.unit.LinearUnit;

/**
 * What a file says of its coordinate reference system.
 *
 * @param crs authority and code, or the name as it stands; empty if the file does not say
 * @param text well-known text of the system, empty if there is none
 * @param others other codes that the file names besides
 * @param vertical name of the height system
 */
record DeclaredSystem(String crs, String text, List<String> others, String vertical) {
  static final DeclaredSystem NONE = new DeclaredSystem("", "", List.of(), "");

  private static final Pattern CODE =
      Pattern.compile("EPSG\\W{1,3}(\\d{4,6})(?!\\d)", Pattern.CASE_INSENSITIVE);

  /** The last authority of a text is that of the whole system. */
  private static final Pattern AUTHORITY =
      Pattern.compile(
          "(?:AUTHORITY|ID)\\s*\\[\\s*\"EPSG\"\\s*,\\s*\"?(\\d{4,6})\"?\\s*\\]\\s*\\]\\s*$",
          Pattern.CASE_INSENSITIVE);

  /** From the attributes of the element at hand, the most exact statement first. */
  static DeclaredSystem of(XmlCursor xml) {
    List<String> codes = new ArrayList<>();
    xml.attribute("epsgCode")
        .filter(c -> !c.equals("0"))
        .ifPresent(c -> codes.add(c.matches("\\d+") ? "EPSG:" + c : code(c).orElse(c)));
    String text = "";
    Optional<String> wkt = xml.attribute("ogcWktCode");
    if (wkt.isPresent()) {
      Matcher m = AUTHORITY.matcher(wkt.get());
      boolean isText = wkt.get().contains("[");
      if (m.find()) {
        codes.add("EPSG:" + m.group(1));
      } else if (!isText) {
        codes.add(code(wkt.get()).orElse(wkt.get()));
      }
      text = isText ? wkt.get() : "";
    }
    for (String name :
        List.of(
            "horizontalCoordinateSystemName",
            "compoundCoordinateSystemName",
            "name",
            "desc",
            "geographicCoordinateSystemName",
            "localCoordinateSystemName")) {
      xml.attribute(name).flatMap(DeclaredSystem::code).ifPresent(codes::add);
    }
    String crs =
        codes.stream()
            .findFirst()
            .or(() -> xml.attribute("horizontalCoordinateSystemName"))
            .or(() -> xml.attribute("name"))
            .or(() -> xml.attribute("desc").filter(d -> !d.startsWith("local coordinates")))
            .orElse("");
    if (crs.isEmpty() && !text.isEmpty()) {
      Matcher name = Pattern.compile("^\\s*\\w+\\s*\\[\\s*\"([^\"]*)\"").matcher(text);
      crs = name.find() ? name.group(1) : "own system";
    }
    String taken = crs;
    return new DeclaredSystem(
        crs,
        text,
        codes.stream().filter(c -> !c.equals(taken)).distinct().toList(),
        xml.attribute("verticalDatum")
            .or(() -> xml.attribute("verticalCoordinateSystemName"))
            .orElse(""));
  }

  private static Optional<String> code(String words) {
    Matcher m = CODE.matcher(words);
    return m.find() ? Optional.of("EPSG:" + m.group(1)) : Optional.empty();
  }

  List<PlaceStatement> places() {
    if (crs.isEmpty()) {
      return List.of();
    }
    boolean known = CrsCatalogue.shipped().find(crs).isPresent();
    Frame f = Frame.UNPLACED.withCrs(crs, known ? "" : text).withVerticalDatum(vertical);
    return List.of(PlaceStatement.ofFrame(50, "<CoordinateSystem>", "the system " + crs, f));
  }

  /** What is doubtful about it, beside the file's unit. */
  List<Finding> findings(LinearUnit unit) {
    List<Finding> out = new ArrayList<>();
    if (crs.isEmpty()) {
      return out;
    }
    Optional<Crs> known = CrsCatalogue.shipped().find(crs);
    if (known.isEmpty() && text.isEmpty()) {
      out.add(
          Finding.warning(
              RECEIVE,
              "system.unknown",
              "",
              "The system "
                  + crs
                  + " is not in the catalogue; coordinates are taken as they are. Name the system at the stop Place, or with --crs."));
    }
    if (!others.isEmpty()) {
      out.add(
          Finding.error(
              RECEIVE,
              "system.contradiction",
              "",
              "The file names several systems: "
                  + crs
                  + " and "
                  + String.join(", ", others)
                  + ". "
                  + crs
                  + " is taken; ask the sender which holds."));
    }
    known
        .filter(Crs::projected)
        .filter(c -> unit != null && Math.abs(c.metresPerUnit() / unit.metres() - 1) > 1e-9)
        .ifPresent(
            c ->
                out.add(
                    Finding.warning(
                        RECEIVE,
                        "units.contradiction",
                        "",
                        String.format(
                            Locale.ROOT,
                            "The system %s counts in %s, the file in %s; the file's unit is taken.",
                            crs,
                            c.unit(),
                            unit.title()))));
    return out;
  }
}
