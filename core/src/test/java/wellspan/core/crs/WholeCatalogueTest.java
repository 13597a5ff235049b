package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Every projected system of the catalogue against the program of the PROJ library, where that is
 * installed, at five places of its area: from the geographic system it is based on, so that no
 * choice of a datum shift is part of it.
 */
class WholeCatalogueTest {
  private static final double METRES = 0.003;

  private static Crs crs(String code) {
    return CrsCatalogue.shipped().find(code).orElseThrow();
  }

  /** The middle of the area and four places towards its corners, degrees. */
  private static List<double[]> places(AreaOfUse a) {
    double west = a.west();
    double east = a.east() < west ? a.east() + 360 : a.east();
    List<double[]> out = new ArrayList<>();
    for (double[] f :
        new double[][] {{0.5, 0.5}, {0.2, 0.2}, {0.8, 0.2}, {0.2, 0.8}, {0.75, 0.85}}) {
      double lon = west + f[0] * (east - west);
      double lat = a.south() + f[1] * (a.north() - a.south());
      out.add(new double[] {lon > 180 ? lon - 360 : lon, lat});
    }
    return out;
  }

  private static List<double[]> reference(Crs base, Crs to, List<double[]> in) throws Exception {
    Process p =
        new ProcessBuilder("cs2cs", "-f", "%.6f", "EPSG:" + base.code(), "EPSG:" + to.code())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    StringBuilder text = new StringBuilder();
    for (double[] q : in) {
      boolean swap = base.northingFirst();
      double degrees = base.unit().equals("grad") ? 0.9 : 1; // the program asks for degrees always
      text.append(
          String.format(
              Locale.ROOT, "%.9f %.9f%n", degrees * q[swap ? 1 : 0], degrees * q[swap ? 0 : 1]));
    }
    p.getOutputStream().write(text.toString().getBytes(StandardCharsets.US_ASCII));
    p.getOutputStream().close();
    List<double[]> out = new ArrayList<>();
    try (BufferedReader r =
        new BufferedReader(new InputStreamReader(p.getInputStream(), StandardCharsets.US_ASCII))) {
      for (String line = r.readLine(); line != null; line = r.readLine()) {
        String[] c = line.trim().split("\\s+");
        double a = c[0].equals("*") ? Double.NaN : Double.parseDouble(c[0]);
        double b = c[1].equals("*") ? Double.NaN : Double.parseDouble(c[1]);
        out.add(to.northingFirst() ? new double[] {b, a} : new double[] {a, b});
      }
    }
    return out;
  }

  /** How far ours is off, metres; empty if it agrees or is refused. */
  private static String off(Crs to) throws Exception {
    Crs base = crs(to.base());
    List<double[]> in = new ArrayList<>();
    for (double[] q : places(to.area())) {
      in.add(ownDegrees(base, q));
    }
    List<double[]> expected = reference(base, to, in);
    if (expected.size() != in.size()) {
      return "cs2cs gives no answer";
    }
    double worst = 0;
    Transformation t;
    try {
      t = new Transformation(base, to);
    } catch (IllegalArgumentException e) {
      return "";
    }
    int compared = 0;
    for (int i = 0; i < in.size(); i++) {
      double[] q = in.get(i);
      if (Double.isNaN(expected.get(i)[0]) || Double.isInfinite(expected.get(i)[0])) {
        continue;
      }
      try {
        double[] ours = t.apply(q[0], q[1]);
        compared++;
        double d =
            Math.hypot(ours[0] - expected.get(i)[0], ours[1] - expected.get(i)[1])
                * (to.metresPerUnit() == 0 ? 111_000 : to.metresPerUnit());
        double[] back = new Transformation(to, base).apply(expected.get(i)[0], expected.get(i)[1]);
        double b =
            Math.hypot(
                    Math.IEEEremainder(back[0] - q[0], 360) * Math.cos(Math.toRadians(q[1])),
                    back[1] - q[1])
                * 111_000;
        worst = Math.max(worst, Math.max(d, b));
        if (Double.isNaN(d) || Double.isNaN(b)) {
          worst = Double.POSITIVE_INFINITY;
        }
      } catch (Transformation.OutsideAreaException e) {
        // refused is not wrong
      }
    }
    return worst > METRES
        ? String.format(Locale.ROOT, "%.4f m", worst)
        : compared == 0 ? "nothing compared" : "";
  }

  /** A place in the unit and from the meridian of a geographic system. */
  private static double[] ownDegrees(Crs base, double[] degrees) {
    double unit = base.unit().equals("grad") ? 0.9 : 1;
    double east = PrimeMeridian.of(base.projText());
    return new double[] {Math.IEEEremainder(degrees[0] - east, 360) / unit, degrees[1] / unit};
  }

  /** Rare projections and meridians all, of the common ones some. */
  private static boolean isChosen(Crs c) {
    String text = c.projText();
    boolean common =
        text.contains("+proj=tmerc ") || text.contains("+proj=utm ") || text.contains("+proj=lcc ");
    return !common || text.contains("+pm=") || Integer.parseInt(c.code()) % 50 == 7;
  }

  @Test
  void everySystemAgreesOrIsListed() throws Exception {
    assumeTrue(
        Stream.of(System.getenv("PATH").split(java.io.File.pathSeparator))
            .anyMatch(d -> Files.isExecutable(Path.of(d, "cs2cs"))),
        "cs2cs is not installed");
    Map<String, String> different = new TreeMap<>();
    List<Crs> all =
        CrsCatalogue.shipped().all().stream()
            .filter(c -> c.projected() && CrsCatalogue.shipped().find(c.base()).isPresent())
            .filter(c -> Boolean.getBoolean("wellspan.crs.whole") || isChosen(c))
            .toList();
    all.parallelStream()
        .forEach(
            c -> {
              try {
                String off = off(c);
                if (!off.isEmpty()) {
                  synchronized (different) {
                    different.put(c.code(), c.name() + ": " + off + "  " + c.projText());
                  }
                }
              } catch (Exception e) {
                synchronized (different) {
                  different.put(c.code(), c.name() + ": " + e);
                }
              }
            });
    different.forEach((c, d) -> System.out.println(c + "\t" + d));
    assertThat(different).isEmpty();
  }

  @Test
  void gradsAndMeridiansAreCountedAsTheSystemSays() throws Exception {
    double[] there = new Transformation(crs("4807"), crs("4275")).apply(0, 52);
    assertThat(there[0]).isCloseTo(2.5969213 * 0.9, within(1e-9));
    assertThat(there[1]).isCloseTo(46.8, within(1e-9));
    double[] back = new Transformation(crs("4275"), crs("4807")).apply(there[0], there[1]);
    assertThat(back[0]).isCloseTo(0, within(1e-9));
    assertThat(back[1]).isCloseTo(52, within(1e-9));
  }

  /** The grid file of one state is no advice for another one. */
  @Test
  void theGridNamedCoversThePlace() {
    Crs gk3 = crs("31467");
    assertThat(DatumAccuracy.at(gk3, Crs.WGS84, 7.0, 51.5).sentences())
        .singleElement()
        .asString()
        .contains("BETA2007")
        .contains("an accuracy of 3 m");
    assertThat(DatumAccuracy.at(gk3, Crs.WGS84, 9.2, 48.8).sentences())
        .singleElement()
        .asString()
        .contains("BWTA2017");
    assertThat(DatumAccuracy.at(gk3, Crs.WGS84, 30, 50).sentences())
        .singleElement()
        .asString()
        .contains("not stated for this place");
  }

  @Test
  void withdrawnCodesNameTheirSuccessor() {
    assertThat(CrsCatalogue.shipped().find("2163")).isEmpty();
    assertThat(CrsCatalogue.shipped().whyMissing("EPSG:2163"))
        .contains("withdrawn")
        .contains("EPSG:9311 takes its place");
    assertThat(CrsCatalogue.shipped().whyMissing("EPSG:1")).contains("not in the catalogue");
  }
}
