package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import wellspan.core.finding.Finding;
import wellspan.core.unit.LinearUnit;

/**
 * Units of the measures of pipes and chambers. Where a file does not say them the size tells: from
 * 20 on it is millimetres (inches in imperial files up to 200), below it is the file's own unit.
 */
final class SectionUnits {
  private static final double LARGE = 20;

  /** What a unit is declared for. */
  enum Of {
    DIAMETER,
    WIDTH,
    HEIGHT
  }

  private final LinearUnit linear;
  private final boolean imperial;
  private final Map<Of, LinearUnit> declared = new EnumMap<>(Of.class);
  private boolean small;
  private boolean large;

  SectionUnits(LinearUnit linear, boolean imperial) {
    this.linear = linear;
    this.imperial = imperial;
  }

  void declare(Of what, LinearUnit unit) {
    declared.put(what, unit);
  }

  /**
   * Metres in the unit of a measure.
   *
   * @param attribute of the file, which tells what is measured
   */
  double of(String attribute, double value) {
    Of what =
        switch (attribute) {
          case "diameter" -> Of.DIAMETER;
          case "height" -> Of.HEIGHT;
          default -> Of.WIDTH;
        };
    LinearUnit said = declared.get(what);
    if (said != null) {
      return said.metres();
    }
    if (value < LARGE && !(imperial && value >= 6)) {
      small = true;
      return linear.metres();
    }
    large = true;
    return imperial && value <= 200 ? LinearUnit.INCH.metres() : LinearUnit.MILLIMETRE.metres();
  }

  /** Says what was assumed. */
  void findings(List<Finding> out) {
    if (small || large) {
      String taken =
          large && small
              ? "large numbers as "
                  + (imperial ? "inches" : "millimetres")
                  + ", small ones as "
                  + linear.title()
              : large ? (imperial ? "inches" : "millimetres") : linear.title();
      out.add(
          Finding.note(
              RECEIVE,
              "network.units",
              "",
              "The file does not say the unit of its pipes' and chambers' measures; they are taken as "
                  + taken
                  + ". Check a known diameter."));
    }
  }
}
