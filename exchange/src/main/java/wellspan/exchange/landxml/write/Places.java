package wellspan.exchange.landxml.write;

import java.io.IOException;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.DecimalText;

/** Writes shared positions in a file's frame and unit: northing, easting, elevation. */
final class Places {
  /** Characters of a list before they are handed on. */
  private static final int ENOUGH = 1 << 14;

  private final XmlElements xml;
  private final Frame frame;
  private final double unit;
  private final int decimals;
  private final StringBuilder text = new StringBuilder(ENOUGH + 128);

  Places(XmlElements xml, Frame frame, LinearUnit unit, int decimals) {
    this.xml = xml;
    this.frame = frame;
    this.unit = unit.metres();
    this.decimals = decimals;
  }

  /** One place; without an elevation where none is known. */
  void place(Position shared) throws IOException {
    append(shared);
    hand(0);
  }

  /** All points of a line in one list; flat if one of them has no level. */
  void list(Polyline line) throws IOException {
    boolean levels = true;
    for (int i = 0; i < line.pointCount(); i++) {
      levels &= Double.isFinite(line.point(i).level());
    }
    xml.open(levels ? "PntList3D" : "PntList2D");
    for (int i = 0; i < line.pointCount(); i++) {
      Position p = line.point(i);
      text.append(i == 0 ? "" : " ");
      append(levels ? p : new Position(p.east(), p.north(), Double.NaN));
      hand(ENOUGH);
    }
    hand(0);
    xml.close();
  }

  private void append(Position shared) {
    Position p = frame.toLocal(shared);
    DecimalText.append(text, p.north() / unit, decimals).append(' ');
    DecimalText.append(text, p.east() / unit, decimals);
    if (Double.isFinite(shared.level())) {
      DecimalText.append(text.append(' '), p.level() / unit, decimals);
    }
  }

  private void hand(int from) throws IOException {
    if (text.length() > from) {
      xml.text(text);
      text.setLength(0);
    }
  }
}
