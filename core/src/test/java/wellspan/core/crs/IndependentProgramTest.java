package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * Compares with {@code cs2cs} of the PROJ package, run as a program of its own; skipped where it is
 * not installed. From WGS 84 with the datum shift of our own catalogue text, so that both do the
 * same work: what is compared is projection, units, axes and the seven-parameter shift.
 */
class IndependentProgramTest {
  /** Projected systems of all continents, of many projections, datums and units. */
  private static final String[] SYSTEMS = {
    // Europe
    "25832",
    "25833",
    "27700",
    "2154",
    "27572",
    "28992",
    "31370",
    "31467",
    "31256",
    "21781",
    "2056",
    "5514",
    "3006",
    "3067",
    "2180",
    "3844",
    "3763",
    "23030",
    "25830",
    "3035",
    "29903",
    "2100",
    // Africa
    "2048",
    "22770",
    "26192",
    "32736",
    "20137",
    "2736",
    // Asia
    "6677",
    "2326",
    "3414",
    "5186",
    "32643",
    "24047",
    "2039",
    "4499",
    // Australia and Oceania
    "28356",
    "7856",
    "2193",
    "27200",
    "3460",
    // North America
    "2227",
    "26910",
    "2263",
    "26917",
    "32188",
    "6372",
    "3005",
    "2248",
    "26729",
    // South America
    "31983",
    "22185",
    "5361",
    "3116",
    "24879",
    // Antarctica and the poles
    "3031",
    "3413",
    "5041"
  };

  /** Where proj4j itself differs from PROJ, with the largest difference and why. */
  private static final TreeMap<String, String> EXPLAINED = new TreeMap<>();

  static {
    EXPLAINED.put("26729", "PROJ reads the datum's name as grid files and passes over parameters");
    EXPLAINED.put("27200", "New Zealand Map Grid: the series of the two libraries differ");
  }

  @Test
  void projectedSystemsOfAllContinentsAgreeToAMillimetre() throws Exception {
    assumeTrue(isThere(), "cs2cs (Debian package proj-bin) is not installed");
    int agree = 0;
    List<String> differ = new ArrayList<>();
    for (String code : SYSTEMS) {
      Crs crs = CrsCatalogue.shipped().find(code).orElseThrow(() -> new AssertionError(code));
      double worst = worst(crs);
      if (worst <= 0.001) {
        agree++;
      } else if (!EXPLAINED.containsKey(code)) {
        differ.add(String.format(Locale.ROOT, "%s %s: %.4f m", code, crs.name(), worst));
      }
    }
    assertThat(differ).as("systems that differ by more than 1 mm without explanation").isEmpty();
    assertThat(agree).isGreaterThanOrEqualTo(40);
  }

  /** Largest difference over five places within the area of use, metres. */
  private static double worst(Crs crs) throws Exception {
    AreaOfUse a = crs.area();
    double east = a.west() <= a.east() ? a.east() : a.east() + 360;
    double[][] places = new double[5][];
    double[] shares = {0.5, 0.25, 0.75, 0.35, 0.65};
    for (int i = 0; i < places.length; i++) {
      double lon = a.west() + (east - a.west()) * shares[i];
      double lat = a.south() + (a.north() - a.south()) * shares[places.length - 1 - i];
      places[i] = new double[] {lon > 180 ? lon - 360 : lon, lat};
    }
    List<double[]> theirs = cs2cs(crs, places);
    Transformation ours = new Transformation(Crs.WGS84, crs);
    double worst = 0;
    for (int i = 0; i < places.length; i++) {
      double[] p = ours.apply(places[i][0], places[i][1]);
      double[] q = theirs.get(i);
      worst = Math.max(worst, Math.hypot(p[0] - q[0], p[1] - q[1]) * crs.metresPerUnit());
      // the way back inverts the seven parameters by their signs, which leaves a few centimetres at
      // most
      double[] back = new Transformation(crs, Crs.WGS84).apply(p[0], p[1]);
      assertThat(Math.abs(back[1] - places[i][1])).as(crs.id() + " and back").isLessThan(5e-7);
    }
    return worst;
  }

  private static boolean isThere() throws InterruptedException {
    try {
      Process p = new ProcessBuilder("cs2cs").redirectErrorStream(true).start();
      p.getOutputStream().close();
      p.getInputStream().readAllBytes();
      p.waitFor();
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  private static List<String> command(Crs crs) {
    List<String> words =
        new ArrayList<>(List.of("cs2cs", "-f", "%.6f", "+proj=longlat", "+datum=WGS84", "+to"));
    words.addAll(List.of(crs.projText().split(" ")));
    return words;
  }

  private static List<double[]> cs2cs(Crs crs, double[][] places) throws Exception {
    Process p = new ProcessBuilder(command(crs)).start();
    StringBuilder in = new StringBuilder();
    for (double[] at : places) {
      in.append(String.format(Locale.ROOT, "%.12f %.12f 0%n", at[0], at[1]));
    }
    p.getOutputStream().write(in.toString().getBytes(StandardCharsets.UTF_8));
    p.getOutputStream().close();
    String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(p.waitFor()).isZero();
    List<double[]> result = new ArrayList<>();
    for (String line : out.strip().split("\n")) {
      String[] w = line.strip().split("\\s+");
      result.add(new double[] {Double.parseDouble(w[0]), Double.parseDouble(w[1])});
    }
    return result;
  }
}
