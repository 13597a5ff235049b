package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Cant;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.landxml.read.LandXmlReader;

/** The cant of a track leaves as a layout of its alignment and is read from one. */
class CantDeliveryTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 12);

  @TempDir Path dir;

  private Item track() throws IOException {
    Path file =
        Files.writeString(
            dir.resolve("track.xml"),
            "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><Alignments><Alignment name=\"T\" length=\"200\" staStart=\"500\">"
                + "<CoordGeom><Line><Start>6534500 412000</Start><End>6534500 412200</End></Line></CoordGeom>"
                + "<Cant name=\"main\" gauge=\"1.435\" equilibriumConstant=\"11.8\"><CantStation station=\"520\" appliedCant=\"0\" curvature=\"cw\" transitionType=\"bloss\"/><CantStation station=\"560\" appliedCant=\"110\" curvature=\"cw\"/><CantStation station=\"600\" appliedCant=\"110\" curvature=\"cw\" transitionType=\"clothoid\"/><CantStation station=\"650\" appliedCant=\"0\" curvature=\"cw\"/></Cant>"
                + "<Superelevation staStart=\"510\" staEnd=\"690\"><BeginRunoutSta>520</BeginRunoutSta><BeginRunoffSta>540</BeginRunoffSta><FullSuperSta>600</FullSuperSta><FullSuperelev>6</FullSuperelev><RunoffSta>640</RunoffSta><StartofRunoutSta>660</StartofRunoutSta><EndofRunoutSta>680</EndofRunoutSta><AdverseSE>non-adverse</AdverseSE></Superelevation>"
                + "</Alignment></Alignments></LandXML>");
    return LandXmlReader.read(file, Progress.NONE).items().getFirst();
  }

  private static Parcel parcel(Item item, LinearUnit unit) {
    return parcel(item, unit, new IfcFormat(IfcSchema.IFC4X3));
  }

  private static Parcel parcel(Item item, LinearUnit unit, DeliveryFormat f) {
    GlobalIds ids = new GlobalIds(new UUID(7, 7));
    return Packing.loose(
        "p",
        f,
        FRAME,
        unit,
        ids,
        List.of(Packing.loosePiece(ids, ItemId.of("s", item), item, f, "f")));
  }

  private static Cant cant(Item item) {
    Alignment a = ((Shape.Axis) item.shape()).alignment();
    return Cant.of(item.said().propertySets(), a.chainages()).orElseThrow();
  }

  @ParameterizedTest
  @EnumSource(
      value = LinearUnit.class,
      names = {"METRE", "MILLIMETRE", "FOOT"})
  void aDesignsCantBecomesALayout(LinearUnit unit) throws IOException {
    Item track = track();
    assertThat(cant(track).stations())
        .containsExactly(
            new Cant.Station(20, 0, 0, Cant.Law.BLOSS),
            new Cant.Station(60, 0.11, 0, Cant.Law.LINEAR),
            new Cant.Station(100, 0.11, 0, Cant.Law.LINEAR),
            new Cant.Station(150, 0, 0, Cant.Law.LINEAR));
    Path file = dir.resolve("track.ifc");
    DeliveryRun.Outcome done =
        DeliveryRun.run("d", parcel(track, unit), file, Clock.systemUTC(), Progress.NONE);
    assertThat(done.receipt().proof().findings().stream().filter(Finding::isError)).isEmpty();
    assertThat(Files.readString(file))
        .contains("=IFCALIGNMENTCANT(", ".BLOSSCURVE.", ".CONSTANTCANT.", ".LINEARTRANSITION.");
  }

  /** A model that has the layout and no set of ours beside it. */
  @Test
  void aLayoutAloneIsReadAndSentOn() throws IOException {
    Path file = dir.resolve("track.ifc");
    DeliveryRun.run("d", parcel(track(), LinearUnit.METRE), file, Clock.systemUTC(), Progress.NONE);
    String text = Files.readString(file);
    Path foreign =
        Files.writeString(dir.resolve("foreign.ifc"), text.replace("'Cant main'", "'Rails'"));
    Item read =
        Intake.read(foreign, Progress.NONE).items().stream()
            .filter(i -> i.shape() instanceof Shape.Axis)
            .findFirst()
            .orElseThrow();
    assertThat(cant(read).stations())
        .extracting(Cant.Station::left)
        .containsExactly(0.0, 0.11, 0.11, 0.0);
    assertThat(cant(read).stations().getFirst().law()).isEqualTo(Cant.Law.BLOSS);
    Path again = dir.resolve("again.ifc");
    DeliveryRun.Outcome done =
        DeliveryRun.run(
            "d", parcel(read, LinearUnit.METRE), again, Clock.systemUTC(), Progress.NONE);
    assertThat(done.receipt().proof().findings().stream().filter(Finding::isError)).isEmpty();
    assertThat(Files.readString(again)).contains("=IFCALIGNMENTCANT(", ".BLOSSCURVE.");
  }

  @Test
  void aCantThatWasAlteredFailsTheProof() throws IOException {
    Parcel p = parcel(track(), LinearUnit.METRE);
    Carrier carrier = Carriers.of(p.format());
    Path file = dir.resolve("good.ifc");
    carrier.write(p, Map.of(), file, "good.ifc", Clock.systemUTC(), Progress.NONE);
    String text = Files.readString(file);
    for (String at :
        List.of(
            "IFCALIGNMENTCANTSEGMENT\\(\\$,\\$,([\\d.]+),[1-9]",
            "IFCALIGNMENTCANTSEGMENT\\(\\$,\\$,[\\d.]+,[1-9][\\d.]*,(0\\.11)",
            "IFCALIGNMENTCANT\\((?:[^,]*,){7}([\\d.]+)")) {
      Matcher m = Pattern.compile(at).matcher(text);
      assertThat(m.find()).as(at).isTrue();
      Path bad =
          Files.writeString(
              dir.resolve("bad.ifc"),
              text.substring(0, m.start(1))
                  + (Double.parseDouble(m.group(1)) + 0.002)
                  + text.substring(m.end(1)));
      Received back = carrier.readBack(p, bad, PositionBeside.json(p, "good"), Progress.NONE);
      assertThat(Prover.compare(p, back, Progress.NONE).pass()).as(at).isFalse();
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = LinearUnit.class,
      names = {"METRE", "MILLIMETRE", "FOOT"})
  void aDesignKeepsItsCrossfallsAsADesign(LinearUnit unit) throws IOException {
    Path file = dir.resolve("sent.xml");
    DeliveryRun.Outcome done =
        DeliveryRun.run(
            "d",
            parcel(track(), unit, new LandXmlFormat()),
            file,
            Clock.systemUTC(),
            Progress.NONE);
    assertThat(done.receipt().proof().findings().stream().filter(Finding::isError)).isEmpty();
    LandXmlStructure.check(file);
    Item back = LandXmlReader.read(file, Progress.NONE).items().getFirst();
    assertThat(Files.readString(file))
        .contains("<Cant name=\"main\"", "<Superelevation ", "<FullSuperelev>6.0<")
        .doesNotContain("Feature name=\"Cant");
    assertThat(cant(back).stations())
        .extracting(Cant.Station::left)
        .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
        .containsExactly(0.0, 0.11, 0.11, 0.0);
  }
}
