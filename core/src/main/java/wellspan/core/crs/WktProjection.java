package wellspan.core.crs;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The projection of a well-known text as PROJ parameters. Method and parameter names of WKT 1
 * (OGC), of .prj files and of WKT 2 (EPSG names) are known.
 */
final class WktProjection {
  private static final Map<String, String> METHODS = new HashMap<>();
  private static final Map<String, String> PARAMETERS = new HashMap<>();

  static {
    method("tmerc", "transverse mercator", "gauss kruger", "transverse mercator zoned grid system");
    method("tmerc +axis=wsu", "transverse mercator south orientated");
    method(
        "lcc",
        "lambert conformal conic",
        "lambert conic conformal 1sp",
        "lambert conic conformal 2sp",
        "lambert conformal conic 1sp",
        "lambert conformal conic 2sp");
    method("merc", "mercator", "mercator 1sp", "mercator 2sp", "mercator variant a");
    method("merc", "mercator variant b");
    method("sterea", "oblique stereographic", "double stereographic", "stereographic double");
    method("stere", "polar stereographic", "polar stereographic variant a", "stereographic");
    method("stere", "polar stereographic variant b", "stereographic north pole");
    method("stere", "stereographic south pole");
    method("aea", "albers", "albers equal area", "albers conic equal area");
    method("laea", "lambert azimuthal equal area");
    method("cass", "cassini", "cassini soldner");
    method("somerc", "swiss oblique cylindrical", "swiss oblique mercator");
    method("omerc +no_uoff", "hotine oblique mercator", "hotine oblique mercator variant a");
    method("omerc +no_uoff", "hotine oblique mercator azimuth natural origin");
    method("omerc +no_uoff", "rectified skew orthomorphic natural origin");
    method("omerc", "hotine oblique mercator variant b", "oblique mercator");
    method("omerc", "hotine oblique mercator azimuth center");
    method("omerc", "rectified skew orthomorphic center");
    method("krovak", "krovak north orientated", "krovak modified north orientated");
    method("krovak +axis=swu", "krovak");
    method("nzmg", "new zealand map grid");
    method("eqc", "equirectangular", "equidistant cylindrical", "plate carree");

    parameter("lat_0", "latitude of origin", "latitude of natural origin", "latitude of center");
    parameter("lat_0", "latitude of false origin", "latitude of projection centre");
    parameter("lat_0", "latitude of projection center", "central parallel");
    parameter("lon_0", "central meridian", "longitude of natural origin", "longitude of origin");
    parameter("lon_0", "longitude of false origin", "longitude of center");
    parameter("lon_0", "longitude of projection centre", "longitude of projection center");
    parameter("k_0", "scale factor", "scale factor at natural origin");
    parameter("k_0", "scale factor on initial line", "scale factor at projection centre");
    parameter("k_0", "scale factor on pseudo standard parallel");
    parameter("x_0", "false easting", "easting at false origin", "easting at projection centre");
    parameter("y_0", "false northing", "northing at false origin");
    parameter("y_0", "northing at projection centre");
    parameter("lat_1", "standard parallel 1", "latitude of 1st standard parallel");
    parameter("lat_1", "latitude of standard parallel");
    parameter("lat_2", "standard parallel 2", "latitude of 2nd standard parallel");
    parameter("alpha", "azimuth", "azimuth of initial line", "azimuth at projection centre");
    parameter(
        "gamma", "rectified grid angle", "angle from rectified to skew grid", "xy plane rotation");
  }

  private WktProjection() {}

  private static void method(String proj, String... names) {
    for (String n : names) {
      METHODS.put(n, proj);
    }
  }

  private static void parameter(String proj, String... names) {
    for (String n : names) {
      PARAMETERS.put(n, proj);
    }
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", " ").strip();
  }

  /**
   * @param metres in the unit of false easting and northing, where a parameter names none itself
   * @param degrees in the unit of angles, likewise
   */
  static String proj(String methodName, List<WktNode> parameters, double metres, double degrees)
      throws CrsTextException {
    String method = METHODS.get(plain(methodName));
    if (method == null) {
      throw new CrsTextException(
          "The projection \"" + methodName + "\" is not known here. Give the system as PROJ text.");
    }
    for (WktNode p : parameters) { // .prj files turn the axes to east and north by this parameter
      if (method.startsWith("krovak")
          && plain(p.name()).equals("xy plane rotation")
          && p.number(1) != 0) {
        method = "krovak";
      }
    }
    Map<String, Double> values = new HashMap<>();
    for (WktNode p : parameters) {
      String key = PARAMETERS.get(plain(p.name()));
      if (key == null) {
        continue; // such as the co-latitude of Krovak's cone axis, which PROJ has built in
      }
      boolean length = key.equals("x_0") || key.equals("y_0");
      double factor = key.equals("k_0") ? 1 : unitOf(p, length ? metres : degrees, !length);
      values.put(key, p.number(1) * factor);
    }
    return text(method, plain(methodName), values);
  }

  private static double unitOf(WktNode parameter, double otherwise, boolean angle)
      throws CrsTextException {
    var unit = parameter.child("UNIT", "LENGTHUNIT", "ANGLEUNIT", "SCALEUNIT");
    if (unit.isEmpty()) {
      return otherwise;
    }
    return angle ? unit.get().degrees() : unit.get().number(1);
  }

  private static String text(String method, String name, Map<String, Double> v) {
    List<String> out = new ArrayList<>(List.of("+proj=" + method));
    if (method.equals("lcc") && !v.containsKey("lat_1")) {
      v.put("lat_1", v.getOrDefault("lat_0", 0.0));
    } else if (method.equals("lcc") && !v.containsKey("lat_2")) {
      v.putIfAbsent("lat_0", v.get("lat_1"));
    } else if (method.equals("stere")) {
      polar(name, v);
    } else if (method.startsWith("merc") || method.equals("eqc")) {
      Double parallel = v.remove("lat_1");
      if (parallel != null) {
        v.put("lat_ts", parallel);
      }
      if (method.equals("merc")) {
        v.remove("lat_0");
      }
    } else if (method.startsWith("omerc")) {
      Double centre = v.remove("lon_0");
      if (centre != null) {
        v.put("lonc", centre);
      }
      if (v.containsKey("alpha")) {
        v.putIfAbsent("gamma", v.get("alpha"));
      }
    } else if (method.startsWith("krovak") || method.equals("somerc")) {
      v.remove("alpha");
      v.remove("gamma");
      v.remove("lat_1");
    }
    v.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(e -> out.add("+" + e.getKey() + "=" + e.getValue()));
    return String.join(" ", out);
  }

  private static void polar(String name, Map<String, Double> v) {
    Double parallel = v.remove("lat_1");
    boolean byParallel = name.contains("variant b") || name.contains("pole") || parallel != null;
    double origin = v.getOrDefault("lat_0", parallel == null ? 90.0 : parallel);
    if (byParallel) {
      double ts = parallel == null ? origin : parallel;
      v.put("lat_ts", ts);
      v.put("lat_0", Math.copySign(90, name.contains("south") ? -1 : ts));
    } else if (name.startsWith("polar") && Math.abs(origin) < 90) {
      v.put("lat_ts", origin); // WKT 1 gives the standard parallel as latitude of origin
      v.put("lat_0", Math.copySign(90, origin));
    }
  }
}
