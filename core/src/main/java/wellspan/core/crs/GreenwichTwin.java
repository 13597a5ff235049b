package wellspan.core.crs;

import java.util.Collection;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Systems that count from a meridian of their own and name no way to WGS 84 take that of the same
 * datum counted from Greenwich, such as S-JTSK for S-JTSK (Ferro): only the count of longitudes
 * differs.
 */
final class GreenwichTwin {
  private static final Pattern MERIDIAN = Pattern.compile("(.+) \\([^()]+\\)");
  private static final Pattern SHIFT = Pattern.compile("\\+towgs84=\\S+");
  private static final double MARGIN = 0.2;

  private GreenwichTwin() {}

  /** The system with its twin's shift; as it is where it has one, or no twin that covers it. */
  static Crs shifted(Crs crs, Collection<Crs> all) {
    Matcher own = MERIDIAN.matcher(crs.datum());
    if (!crs.projText().contains("+pm=") || crs.hasDatumShift() || !own.matches()) {
      return crs;
    }
    for (Crs twin : all) {
      Matcher shift = SHIFT.matcher(twin.projText());
      boolean same =
          !twin.projected()
              && !twin.projText().contains("+pm=")
              && twin.datum().equals(own.group(1));
      if (same && covers(twin.area(), crs.area()) && shift.find()) {
        return crs.withShift(crs.projText() + " " + shift.group(), twin.shift());
      }
    }
    return crs;
  }

  private static boolean covers(AreaOfUse a, AreaOfUse b) {
    return a.covers(b.west(), b.south(), MARGIN) && a.covers(b.east(), b.north(), MARGIN);
  }
}
