package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.List;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * What is to be said of a file as a whole, once it is read.
 *
 * @param products the reader of its products, with all counts
 * @param doubts about statements of where it lies
 * @param holdsItems whether anything was read from it
 */
record FileReport(
    ModelTables tables,
    Soundness soundness,
    ProductReader products,
    List<String> doubts,
    boolean holdsItems) {

  void to(List<Finding> findings) {
    IfcModel model = tables.model();
    Units units = tables.units();
    Georeference geo = tables.geo();
    int texts = products.texts();
    products
        .unread()
        .forEach(
            (what, n) ->
                findings.add(
                    Finding.note(
                            RECEIVE,
                            "ifc.unread",
                            "",
                            n + " × " + what + " is in the file and is not read yet.")
                        .withFigure(Figure.count(n))));
    int curved =
        model.counts().getOrDefault("IfcAdvancedBrep", 0)
            + model.counts().getOrDefault("IfcAdvancedBrepWithVoids", 0);
    if (curved > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "ifc.curved",
                  "",
                  curved
                      + " bodies are given by curved faces; they are taken as triangles that keep within 2 mm of them.")
              .withFigure(Figure.count(curved, "bodies")));
    }
    if (texts > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "ifc.text",
                  "",
                  texts
                      + " × IfcTextLiteral or tag of a grid is read as a point that is named by its words.")
              .withFigure(Figure.count(texts)));
    }
    if (soundness.check().wholeForReal() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "ifc.real",
                  "",
                  instances(soundness.check().wholeForReal(), "holds", "hold")
                      + " numbers without a decimal point where the schema wants one; they are taken as they stand.")
              .withFigure(Figure.count(soundness.check().wholeForReal())));
    }
    if (soundness.check().longTexts() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "ifc.text.long",
                  "",
                  instances(soundness.check().longTexts(), "holds", "hold")
                      + " texts longer than the schema allows.")
              .withFigure(Figure.count(soundness.check().longTexts())));
    }
    if (soundness.check().wordless() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "ifc.type.wordless",
                  "",
                  instances(soundness.check().wordless(), "is", "are")
                      + " of a user-defined type without saying which. Where their type objects do not say it either, they are taken as of no type.")
              .withFigure(Figure.count(soundness.check().wordless())));
    }
    findings.addAll(model.leftOutValues());
    for (String doubt : doubts) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.georeference",
              "",
              "Where the model lies is in doubt: " + doubt + ". This statement does not count."));
    }
    if (!units.saysLength() && holdsItems) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.units",
              "",
              "The file does not say its length unit; metres are taken. Check a known length, and ask the sender."));
    }
    for (String type : model.unknownTypes()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.unknown",
              "",
              type
                  + " is not an entity of "
                  + model.fileSchema()
                  + "; its instances are left out."));
    }
    if (!model.missing().isEmpty()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.dangling",
              "",
              "The file refers to #"
                  + model.missing().iterator().next()
                  + ", which does not exist ("
                  + model.missing().size()
                  + " such references). Ask for the file again."));
    }
    if (!geo.declared() && holdsItems) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "ifc.place",
              "",
              "The file does not say where it lies; its coordinates are taken as shared ones."));
    }
    if (geo.declared() && Math.abs(geo.scale() / units.length() - 1) > 1e-9) {
      findings.add(
          Finding.note(
              RECEIVE,
              "ifc.scale",
              "",
              "The map conversion scales by "
                  + geo.scale() / units.length()
                  + "; coordinates are scaled."));
    }
  }

  private static String instances(int n, String one, String several) {
    return n == 1 ? "1 instance " + one : n + " instances " + several;
  }
}
