package wellspan.exchange.dxf.read;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Makes small drawings for tests, as text or binary. */
final class DxfText {
  private record Group(int code, String value) {}

  private final List<Group> groups = new ArrayList<>();

  /** Adds groups given as code, value, code, value … */
  DxfText add(Object... codesAndValues) {
    for (int i = 0; i < codesAndValues.length; i += 2) {
      groups.add(new Group((Integer) codesAndValues[i], String.valueOf(codesAndValues[i + 1])));
    }
    return this;
  }

  DxfText header(String version, int unit) {
    return add(0, "SECTION", 2, "HEADER", 9, "$ACADVER", 1, version)
        .add(9, "$DWGCODEPAGE", 3, "ANSI_1252", 9, "$INSUNITS", 70, unit, 0, "ENDSEC");
  }

  DxfText section(String name) {
    return add(0, "SECTION", 2, name);
  }

  DxfText endSection() {
    return add(0, "ENDSEC");
  }

  DxfText end() {
    return add(0, "ENDSEC", 0, "EOF");
  }

  /** A drawing in metres with nothing but entities; {@link #end} closes it. */
  static DxfText entities() {
    return new DxfText().header("AC1032", 6).section("ENTITIES");
  }

  DxfText point(int code, double... xyz) {
    for (int k = 0; k < xyz.length; k++) {
      add(code + 10 * k, xyz[k]);
    }
    return this;
  }

  DxfText face(String layer, double... corners) {
    add(0, "3DFACE", 8, layer);
    for (int k = 0; k < corners.length / 3; k++) {
      point(10 + k, corners[3 * k], corners[3 * k + 1], corners[3 * k + 2]);
    }
    return this;
  }

  DxfText line(String layer, double... xyz) {
    return add(0, "LINE", 8, layer)
        .point(10, xyz[0], xyz[1], xyz[2])
        .point(11, xyz[3], xyz[4], xyz[5]);
  }

  String text() {
    StringBuilder out = new StringBuilder();
    for (Group g : groups) {
      out.append(String.format("%3d\r\n%s\r\n", g.code, g.value));
    }
    return out.toString();
  }

  /**
   * @param wide two bytes for each code, as from R13 on; one before
   */
  byte[] binary(boolean wide) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(BinaryGroups.SENTINEL);
    for (Group g : groups) {
      if (wide) {
        out.write(little(2).putShort((short) g.code).array());
      } else if (g.code < 255) {
        out.write(g.code);
      } else {
        out.write(255);
        out.write(little(2).putShort((short) g.code).array());
      }
      out.write(value(g));
    }
    return out.toByteArray();
  }

  private static byte[] value(Group g) {
    int c = g.code;
    if (c < 10 || c == 999) {
      return (g.value + "\0").getBytes(StandardCharsets.UTF_8);
    }
    if (c < 60 || c >= 210 && c < 240) {
      return little(8).putDouble(Double.parseDouble(g.value)).array();
    }
    if (c < 90) {
      return little(2).putShort(Short.parseShort(g.value)).array();
    }
    return little(4).putInt(Integer.parseInt(g.value)).array();
  }

  private static ByteBuffer little(int n) {
    return ByteBuffer.allocate(n).order(ByteOrder.LITTLE_ENDIAN);
  }
}
