package wellspan.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/** A wavy surface of a given size, as mesh, LandXML file and parcel. */
final class Fixture {
  private Fixture() {}

  static Mesh mesh(int triangles) {
    int n = (int) Math.ceil(Math.sqrt(triangles / 2.0)) + 1;
    double[] xyz = new double[3 * n * n];
    int[] tri = new int[6 * (n - 1) * (n - 1)];
    int t = 0;
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        int k = j * n + i;
        xyz[3 * k] = round(412_000 + 1.7 * i + 0.3 * Math.sin(j));
        xyz[3 * k + 1] = round(6_534_000 + 1.7 * j + 0.3 * Math.cos(i));
        xyz[3 * k + 2] = round(30 + 12 * Math.sin(i / 40.0) * Math.cos(j / 55.0));
        if (i + 1 < n && j + 1 < n) {
          for (int v : new int[] {k, k + 1, k + n + 1, k, k + n + 1, k + n}) {
            tri[t++] = v;
          }
        }
      }
    }
    return new Mesh(xyz, tri);
  }

  private static double round(double v) {
    return Math.round(v * 1000) / 1000.0;
  }

  static Path landXml(Mesh mesh, Path file) throws IOException {
    try (BufferedWriter w = Files.newBufferedWriter(file)) {
      w.write(
          "<?xml version=\"1.0\"?>\n<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><CoordinateSystem epsgCode=\"25832\"/>\n<Surfaces><Surface name=\"Large\"><Definition surfType=\"TIN\"><Pnts>\n");
      for (int i = 0; i < mesh.vertexCount(); i++) {
        w.write(
            "<P id=\""
                + (i + 1)
                + "\">"
                + decimal(mesh.north(i))
                + " "
                + decimal(mesh.east(i))
                + " "
                + decimal(mesh.level(i))
                + "</P>\n");
      }
      w.write("</Pnts><Faces>\n");
      int[] t = mesh.triangles();
      for (int i = 0; i < t.length; i += 3) {
        w.write("<F>" + (t[i] + 1) + " " + (t[i + 1] + 1) + " " + (t[i + 2] + 1) + "</F>\n");
      }
      w.write("</Faces></Definition></Surface></Surfaces></LandXML>\n");
    }
    return file;
  }

  private static String decimal(double v) {
    return java.math.BigDecimal.valueOf(Math.round(v * 1000), 3).toPlainString();
  }

  static Parcel parcel(Mesh mesh) {
    Item item = Item.surface("Large", mesh);
    GlobalIds ids = new GlobalIds(new UUID(1, 2));
    Frame frame = Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_000, 0), 21.5);
    ItemId id = ItemId.of("large", item);
    return new Parcel(
        "bench",
        IfcSchema.IFC4X3,
        frame,
        LinearUnit.METRE,
        ids,
        List.of(Packing.loosePiece(ids, id, item, IfcSchema.IFC4X3, "large.xml")),
        Control.NONE);
  }
}
