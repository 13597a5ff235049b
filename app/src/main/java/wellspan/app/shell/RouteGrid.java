package wellspan.app.shell;

/** Where the six stops stand, so that the docket's rules stand exactly under them. */
final class RouteGrid {
  private static final double FIRST = 232;
  private static final double LAST_FROM_RIGHT = 216;
  private static final int STOPS = 6;

  private RouteGrid() {}

  /** x of a stop (0 … 5) in a window of a width, pixels. */
  static double x(int stop, double width) {
    return Math.round(FIRST + stop * (width - FIRST - LAST_FROM_RIGHT) / (STOPS - 1));
  }
}
