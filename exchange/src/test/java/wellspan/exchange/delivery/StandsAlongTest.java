package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.recipe.Repetition;
import wellspan.core.schema.IfcSchema;
import wellspan.core.sweep.ObjectShape;
import wellspan.core.unit.LinearUnit;

/** Objects that were set up along an alignment stand by their distance along it. */
class StandsAlongTest {
  @TempDir Path dir;

  private static final Pattern DISTANCE =
      Pattern.compile(
          "IFCPOINTBYDISTANCEEXPRESSION\\(IFCLENGTHMEASURE\\(([-0-9.E]+)\\),([-0-9.E]+),([-0-9.E]+),\\$,#\\d+\\)");

  /** A straight and a bend, chainages from 1000 on. */
  private static Alignment road() {
    Pvi.Rounding none = new Pvi.Rounding.None();
    List<PlanElement> e = new ArrayList<>();
    e.add(new PlanElement.Line(new PlanPoint(412_050, 6_534_560, 0.4), 60));
    e.add(new PlanElement.Arc(e.getLast().end(), 100, -80));
    return new Alignment(
        "Road",
        e,
        new Chainages(1000, List.of()),
        Optional.of(Profile.through("p", List.of(new Pvi(0, 10, none), new Pvi(160, 14, none)))));
  }

  private static Job job(double turned) {
    Revision r =
        new Revision("Rev A", "a.xml", "x", "abc", 1, java.time.Instant.EPOCH, java.util.Map.of());
    return Job.named("j")
        .withFrame(
            Job.named("x")
                .frame()
                .withCrs("EPSG:25832")
                .withBasePoint(new Position(412_000, 6_534_500, 5))
                .withRotation(turned))
        .withSource(Source.of("road", r))
        .withRecipe(
            new Repetition(
                "Light",
                ItemId.of("road", Item.alignment("Road", road())),
                ObjectShape.values()[0],
                50,
                "1020 1075 1150",
                4.5,
                0,
                -1e9,
                1e9,
                new ItemId("")));
  }

  private DeliveryRun.Outcome deliver(IfcSchema schema, LinearUnit unit, double turned)
      throws IOException {
    Build build =
        Build.of(
            job(turned),
            java.util.Map.of(
                "road",
                new Received(
                    "LandXML 1.2",
                    "EPSG:25832",
                    "metre",
                    List.of(Item.alignment("Road", road())),
                    java.util.Map.of(),
                    List.of(),
                    List.of())));
    Delivery d =
        new Delivery("d", "", schema, unit, new LocalZero.BasePoint(), "d.ifc", java.util.Set.of());
    return DeliveryRun.run(build, d, dir, dir, Clock.systemUTC(), Progress.NONE);
  }

  @ParameterizedTest
  @ValueSource(strings = {"m", "mm", "ft"})
  void theirDistancesAndOffsetsAreThoseOfTheForm(String symbol) throws IOException {
    LinearUnit unit = LinearUnit.named(symbol).orElseThrow();
    DeliveryRun.Outcome o = deliver(IfcSchema.IFC4X3, unit, 21.5);
    assertThat(o.receipt().proof().pass())
        .as(o.receipt().proof().differences().toString())
        .isTrue();
    assertThat(o.arrived().findings())
        .as("coordinates and distance say the same place")
        .noneMatch(f -> f.code().equals("ifc.placement.two"));
    String text = Files.readString(o.file());
    List<double[]> found = new ArrayList<>();
    Matcher m = DISTANCE.matcher(text);
    while (m.find()) {
      found.add(
          new double[] {
            Double.parseDouble(m.group(1)),
            Double.parseDouble(m.group(2)),
            Double.parseDouble(m.group(3))
          });
    }
    assertThat(found).hasSize(3);
    double[] along = {20, 75, 150};
    List<Double> feet =
        o.sent().pieces().stream()
            .filter(p -> p.item().name().startsWith("Light"))
            .map(p -> p.item().bounds().minH())
            .toList();
    for (int i = 0; i < 3; i++) {
      assertThat(found.get(i)[0] * unit.metres()).isCloseTo(along[i], within(1e-5));
      assertThat(found.get(i)[1] * unit.metres())
          .as("left is positive")
          .isCloseTo(-4.5, within(1e-5));
      assertThat(found.get(i)[2] * unit.metres())
          .as("its foot, above the zero of the file")
          .isCloseTo(feet.get(i) - 5, within(1e-5));
    }
    assertThat(text.split("IFCLINEARPLACEMENT\\(", -1))
        .hasSize(1 + 3 + 1); // and the start of the line
  }

  /** A place that is altered in one of its two forms does not go by unseen. */
  @Test
  void anAlteredDistanceIsFound() throws IOException {
    DeliveryRun.Outcome o = deliver(IfcSchema.IFC4X3, LinearUnit.METRE, 0);
    String text = Files.readString(o.file());
    Matcher m = DISTANCE.matcher(text);
    assertThat(m.find()).isTrue();
    Path altered = dir.resolve("altered.ifc");
    Files.writeString(altered, text.substring(0, m.start(1)) + "23." + text.substring(m.end(1)));
    assertThat(wellspan.exchange.ifc.read.IfcReader.read(altered, Progress.NONE).findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("ifc.placement.two");
              assertThat(f.message()).contains("3.000 m");
            });
  }

  /**
   * Whether their line is written before or behind them, and whether there are others like them.
   */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void theyStandAlongItInWhateverOrder(boolean alone) throws IOException {
    Parcel sent = deliver(IfcSchema.IFC4X3, LinearUnit.METRE, 21.5).sent();
    List<Parcel.Piece> pieces = new ArrayList<>(sent.pieces());
    if (alone) {
      pieces.removeIf(
          p -> p.item().name().startsWith("Light") && !p.item().name().equals("Light 2"));
    }
    int lights = pieces.size() - 1;
    Path file = dir.resolve("reversed.ifc");
    DeliveryRun.Outcome o =
        DeliveryRun.run(
            "d", sent.withPieces(pieces.reversed()), file, Clock.systemUTC(), Progress.NONE);
    assertThat(o.receipt().proof().findings()).noneMatch(Finding::isError);
    assertThat(Files.readString(file).split("IFCLINEARPLACEMENT\\(", -1)).hasSize(1 + lights + 1);
    assertThat(o.arrived().findings()).noneMatch(f -> f.code().equals("ifc.placement.two"));
  }

  @Test
  void earlierSchemasHaveNoSuchPlace() throws IOException {
    for (IfcSchema s : List.of(IfcSchema.IFC4, IfcSchema.IFC2X3)) {
      DeliveryRun.Outcome o = deliver(s, LinearUnit.METRE, 0);
      assertThat(o.receipt().proof().pass()).isTrue();
      assertThat(Files.readString(o.file())).doesNotContain("IFCLINEARPLACEMENT");
    }
  }
}
