package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;

/** Reads one {@code PipeNetwork} as it stands in the file. */
final class PipeNetworkSection {
  private final XmlCursor xml;
  private final Map<String, Integer> counts;

  PipeNetworkSection(XmlCursor xml, Map<String, Integer> counts) {
    this.xml = xml;
    this.counts = counts;
  }

  /**
   * The section of a pipe or the form of a chamber: its element and that one's attributes.
   *
   * @param element empty where there is none
   */
  record RawForm(String element, Map<String, String> attributes) {
    static final RawForm NONE = new RawForm("", Map.of());
  }

  record RawInvert(String pipe, String level, String direction) {}

  /** A chamber; texts as in the file, empty where nothing stands. */
  record RawStruct(
      String name,
      long line,
      String rim,
      String sump,
      double[] center,
      String reference,
      RawForm form,
      List<RawInvert> inverts,
      List<PropertySet> sets) {}

  record RawPipe(
      String name,
      long line,
      String start,
      String end,
      String slope,
      RawForm form,
      List<PropertySet> sets) {}

  /**
   * @param leftOut what is wrong with parts that cannot be read
   */
  record Raw(
      String name,
      String type,
      List<RawStruct> structs,
      List<RawPipe> pipes,
      List<String> leftOut) {}

  Raw read() throws IOException {
    Raw out =
        new Raw(
            xml.attribute("name").orElse("Network"),
            xml.attribute("pipeNetType").orElse(""),
            new ArrayList<>(),
            new ArrayList<>(),
            new ArrayList<>());
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "Structs" -> structs(out);
        case "Pipes" -> pipes(out);
        default -> countAndSkip();
      }
    }
    return out;
  }

  private void countAndSkip() throws IOException {
    counts.merge(xml.name() + " of a pipe network", 1, Integer::sum);
    xml.skip();
  }

  private void structs(Raw out) throws IOException {
    while (xml.nextTag()) {
      if (xml.name().equals("Struct")) {
        String what = "the chamber " + text("name");
        xml.whole(() -> out.structs().add(struct()), why -> out.leftOut().add(what + ": " + why));
      } else {
        countAndSkip();
      }
    }
  }

  private void pipes(Raw out) throws IOException {
    while (xml.nextTag()) {
      if (xml.name().equals("Pipe")) {
        String what = "the pipe " + text("name");
        xml.whole(() -> out.pipes().add(pipe()), why -> out.leftOut().add(what + ": " + why));
      } else {
        countAndSkip();
      }
    }
  }

  private String text(String attribute) {
    return xml.attribute(attribute).orElse("");
  }

  private RawStruct struct() throws IOException {
    String name = text("name");
    long line = xml.line();
    String rim = text("elevRim");
    String sump = text("elevSump");
    double[] center = {};
    String reference = "";
    RawForm form = RawForm.NONE;
    List<RawInvert> inverts = new ArrayList<>();
    List<PropertySet> sets = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "Center" -> {
          reference = text("pntRef");
          if (reference.isEmpty()) {
            center = xml.numbers(2, 3);
          } else {
            xml.skip();
          }
        }
        case "CircStruct", "RectStruct", "InletStruct", "OutletStruct", "Connection" ->
            form =
                form(List.of("diameter", "length", "width", "lengthDir", "thickness", "material"));
        case "Invert" -> {
          inverts.add(new RawInvert(text("refPipe"), text("elev"), text("flowDir")));
          xml.skip();
        }
        case "Feature" -> new FeatureSection(xml, counts).read(sets);
        default -> countAndSkip();
      }
    }
    return new RawStruct(name, line, rim, sump, center, reference, form, inverts, sets);
  }

  private RawPipe pipe() throws IOException {
    String name = text("name");
    long line = xml.line();
    String start = text("refStart");
    String end = text("refEnd");
    String slope = text("slope");
    RawForm form = RawForm.NONE;
    List<PropertySet> sets = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "CircPipe", "EggPipe", "ElliPipe", "RectPipe", "Channel" ->
            form =
                form(
                    List.of(
                        "diameter",
                        "height",
                        "span",
                        "width",
                        "widthTop",
                        "widthBottom",
                        "thickness",
                        "material",
                        "mannings",
                        "hazenWilliams"));
        case "Feature" -> new FeatureSection(xml, counts).read(sets);
        default -> countAndSkip();
      }
    }
    return new RawPipe(name, line, start, end, slope, form, sets);
  }

  private RawForm form(List<String> attributes) throws IOException {
    String element = xml.name();
    Map<String, String> said = new LinkedHashMap<>();
    for (String a : attributes) {
      xml.attribute(a).ifPresent(v -> said.put(a, v));
    }
    while (xml.nextTag()) { // features within
      if (xml.name().equals("Feature")) {
        xml.skip();
      } else {
        countAndSkip();
      }
    }
    return new RawForm(element, said);
  }
}
