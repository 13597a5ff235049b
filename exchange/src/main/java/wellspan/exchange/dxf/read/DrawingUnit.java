package wellspan.exchange.dxf.read;

/** The unit that a drawing's header gives for inserts. */
final class DrawingUnit {
  private DrawingUnit() {}

  /**
   * @param insertUnit value of {@code $INSUNITS}
   * @return metres in it, 0 if it names none
   */
  static double metres(int insertUnit) {
    return switch (insertUnit) {
      case 1 -> 0.0254;
      case 2 -> 0.3048;
      case 3 -> 1609.344;
      case 4 -> 0.001;
      case 5 -> 0.01;
      case 6 -> 1;
      case 7 -> 1000;
      case 8 -> 0.0254e-6;
      case 9 -> 0.0254e-3;
      case 10 -> 0.9144;
      case 11 -> 1e-10;
      case 12 -> 1e-9;
      case 13 -> 1e-6;
      case 14 -> 0.1;
      case 15 -> 10;
      case 16 -> 100;
      case 17 -> 1e9;
      case 21 -> 1200.0 / 3937;
      case 22 -> 100.0 / 3937;
      case 23 -> 3600.0 / 3937;
      case 24 -> 5280 * 1200.0 / 3937;
      default -> 0;
    };
  }
}
