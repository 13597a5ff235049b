package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.packing.ReceivedRoot;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;

/** Delivers items in a test, and damages what was delivered. */
abstract class DeliveredInTest {
  static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 10), 21.5);

  static final GlobalIds IDS = new GlobalIds(new UUID(7, 9));

  @TempDir Path dir;

  static Parcel parcel(Frame frame, LinearUnit unit, Item... items) {
    return parcel(IfcSchema.IFC4X3, frame, unit, items);
  }

  static Parcel parcel(IfcSchema schema, Frame frame, LinearUnit unit, Item... items) {
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items) {
      pieces.add(Packing.loosePiece(IDS, ItemId.of("s", i), i, schema, "design – größe.xml"));
    }
    return new Parcel("Prüf & Co", schema, frame, unit, IDS, pieces, Control.NONE);
  }

  /** A parcel whose pieces stand where the structure of a model has them. */
  static Parcel settled(IfcSchema schema, Item... items) {
    Parcel p = parcel(schema, FRAME, LinearUnit.METRE, items);
    return Packing.loose(p.project(), p.format(), p.frame(), p.unit(), IDS, p.pieces());
  }

  /** What was received, on its way into another file. */
  static Parcel onward(Received r, IfcSchema schema) {
    IfcFormat format = new IfcFormat(schema);
    List<Parcel.Piece> pieces =
        r.items().stream()
            .map(i -> Packing.loosePiece(IDS, ItemId.of("s", i), i, format, "b.ifc"))
            .toList();
    Parcel p = Packing.loose("out", ProjectInfo.NONE, format, FRAME, LinearUnit.METRE, IDS, pieces);
    return ReceivedRoot.over(p, r.root().orElseThrow());
  }

  static Item item(Received r, String name) {
    return r.items().stream().filter(i -> i.name().equals(name)).findFirst().orElseThrow();
  }

  static Parcel loose(Parcel.Piece piece) {
    return new Parcel(
        "p", IfcSchema.IFC4X3, FRAME, LinearUnit.METRE, IDS, List.of(piece), Control.NONE);
  }

  DeliveryRun.Outcome run(Parcel p) throws IOException {
    return DeliveryRun.run("d", p, dir.resolve("a.ifc"), Clock.systemUTC(), Progress.NONE);
  }

  static List<String> guids(Path file) throws IOException {
    return Pattern.compile("\\('([0-9A-Za-z_$]{22})',")
        .matcher(Files.readString(file))
        .results()
        .map(m -> m.group(1))
        .toList();
  }

  Proof damaged(UnaryOperator<String> damage) throws IOException {
    Parcel p = parcel(FRAME, LinearUnit.METRE, DeliveredItems.ground(), DeliveredItems.road());
    Path f = dir.resolve("x.ifc");
    IfcWriter.write(p, f, "x.ifc", Clock.systemUTC(), Progress.NONE);
    String whole = Files.readString(f);
    String broken = damage.apply(whole);
    assertThat(broken).isNotEqualTo(whole);
    Files.writeString(f, broken);
    return Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE);
  }
}
