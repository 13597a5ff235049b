package wellspan.exchange.dxf.read;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.intake.Intake;

/** Reads drawings that are written out in a test. */
abstract class DrawingTexts {
  @TempDir Path dir;

  Received read(DxfText drawing) throws IOException {
    return Intake.read(Files.writeString(dir.resolve("d.dxf"), drawing.text()), Progress.NONE);
  }

  static <T extends Shape> T item(Received r, Class<T> form, String name) {
    return r.items().stream()
        .filter(i -> i.name().equals(name))
        .map(Item::shape)
        .filter(form::isInstance)
        .map(form::cast)
        .findFirst()
        .orElseThrow();
  }

  static Polyline line(Received r, String name) {
    return item(r, Shape.Lines.class, name).lines().getFirst();
  }

  static NamedPoint mark(Received r, String group) {
    return item(r, Shape.Points.class, group).points().getFirst();
  }
}
