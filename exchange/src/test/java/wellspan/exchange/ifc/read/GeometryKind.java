package wellspan.exchange.ifc.read;

/**
 * One kind of geometry, written by hand.
 *
 * @param records #50 is the body
 * @param share by which the volume may be off
 * @param bounds of the body about its placement: least and greatest x, y, z
 */
record GeometryKind(String name, String records, double volume, double share, double... bounds) {
  /** Of solids without round faces; of round ones as a share. */
  static final double EXACT = 1e-9;

  static final double ROUND = 5e-3;

  @Override
  public String toString() {
    return name;
  }

  static String extruded(String profile, double depth) {
    return "#49=" + profile + ";\n#50=IFCEXTRUDEDAREASOLID(#49,#6,#8," + depth + ");\n";
  }

  static String points2(int first, double... xy) {
    StringBuilder s = new StringBuilder();
    StringBuilder refs = new StringBuilder();
    for (int i = 0; i < xy.length; i += 2) {
      int id = first + i / 2;
      s.append("#%d=IFCCARTESIANPOINT((%s,%s));\n".formatted(id, xy[i], xy[i + 1]));
      refs.append(i == 0 ? "#" : ",#").append(id);
    }
    return s + "#%d=IFCPOLYLINE((%s,#%d));\n".formatted(first - 1, refs, first);
  }
}
