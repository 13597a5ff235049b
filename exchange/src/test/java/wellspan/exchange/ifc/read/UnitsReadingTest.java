package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.geom.Mesh;
import wellspan.core.model.Model;
import wellspan.core.model.ModelObject;
import wellspan.core.model.ModelProperty;
import wellspan.core.model.ModelValue;
import wellspan.core.progress.Progress;

/** Units of every kind: what a file counts in and what that is in metres, radians and SI. */
class UnitsReadingTest {
  @TempDir Path dir;

  private Path file(String data) throws IOException {
    return Files.writeString(
        dir.resolve("u.ifc"),
        "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME('','',(''),(''),'','','');\nFILE_SCHEMA(('IFC4'));\nENDSEC;\nDATA;\n"
            + data
            + "ENDSEC;\nEND-ISO-10303-21;\n");
  }

  private static String model(String lengthUnit) {
    return HandMadeModel.HEAD.replace("#3=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);", lengthUnit)
        + HandMadeModel.PLACEMENT
        + HandMadeModel.WALL
        + HandMadeModel.BOX;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "#3=IFCSIUNIT(*,.LENGTHUNIT.,.MILLI.,.METRE.); | 0.001",
        "#3=IFCSIUNIT(*,.LENGTHUNIT.,.CENTI.,.METRE.); | 0.01",
        "#3=IFCSIUNIT(*,.LENGTHUNIT.,.DECI.,.METRE.); | 0.1",
        "#3=IFCSIUNIT(*,.LENGTHUNIT.,.KILO.,.METRE.); | 1000",
        "#3=IFCCONVERSIONBASEDUNIT(#70,.LENGTHUNIT.,'FOOT',#72); | 0.3048",
        "#3=IFCCONVERSIONBASEDUNIT(#70,.LENGTHUNIT.,'INCH',#72); | 0.0254",
        "#3=IFCCONVERSIONBASEDUNIT(#70,.LENGTHUNIT.,'US SURVEY FOOT',#72); | 0.3048006096",
        "#3=IFCCONVERSIONBASEDUNIT(#70,.LENGTHUNIT.,'rod',#72); | 5.0292"
      })
  void lengthsAreMetres(String unit, double metres) throws IOException {
    String records =
        unit.contains("#72")
            ? "#70=IFCDIMENSIONALEXPONENTS(1,0,0,0,0,0,0);\n#71=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);\n"
                + "#72=IFCMEASUREWITHUNIT(IFCRATIOMEASURE(%s),#71);\n".formatted(metres)
                + unit
            : unit;
    Mesh m =
        IfcReader.read(file(model(records + "\n")), Progress.NONE)
            .items()
            .getFirst()
            .triangles()
            .orElseThrow();
    assertThat(m.volume()).isCloseTo(24 * Math.pow(metres, 3), within(1e-9 * Math.pow(metres, 3)));
    assertThat(m.bounds().minE()).isCloseTo(8.5 * metres, within(1e-9 * metres));
  }

  private ModelProperty property(String units, String typed) throws IOException {
    String data =
        HandMadeModel.HEAD.replace("(#3,#7)", "(#3,#7" + (units.isEmpty() ? "" : ",#80") + ")")
            + HandMadeModel.PLACEMENT
            + HandMadeModel.WALL
            + HandMadeModel.BOX
            + units
            + "#90=IFCPROPERTYSINGLEVALUE('p',$,"
            + typed
            + ",$);\n#91=IFCPROPERTYSET('0000000000000000000011',$,'S',$,(#90));\n"
            + "#92=IFCRELDEFINESBYPROPERTIES('0000000000000000000012',$,$,$,(#30),#91);\n";
    Model model = ModelReader.read(file(data), Progress.NONE);
    ModelObject wall =
        model.objects().stream().filter(o -> o.name().equals("Wall")).findFirst().orElseThrow();
    return wall.sets().getFirst().properties().get("p");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "IFCLENGTHMEASURE(2.5) |  | 2.5",
        "IFCAREAMEASURE(2.5) | #80=IFCSIUNIT(*,.AREAUNIT.,.CENTI.,.SQUARE_METRE.); | 0.00025",
        "IFCVOLUMEMEASURE(2.5) | #80=IFCSIUNIT(*,.VOLUMEUNIT.,.DECI.,.CUBIC_METRE.); | 0.0025",
        "IFCMASSMEASURE(2.5) | #80=IFCSIUNIT(*,.MASSUNIT.,.KILO.,.GRAM.); | 2.5",
        "IFCMASSMEASURE(2.5) | #80=IFCSIUNIT(*,.MASSUNIT.,$,.GRAM.); | 0.0025",
        "IFCPRESSUREMEASURE(2.5) | #80=IFCSIUNIT(*,.PRESSUREUNIT.,.MEGA.,.PASCAL.); | 2500000",
        "IFCFORCEMEASURE(2.5) | #80=IFCSIUNIT(*,.FORCEUNIT.,.KILO.,.NEWTON.); | 2500",
        "IFCPLANEANGLEMEASURE(1.5) |  | 1.5",
        "IFCREAL(2.5) |  | 2.5",
        "IFCRATIOMEASURE(0.5) |  | 0.5"
      })
  void measuresAreSi(String typed, String units, double si) throws IOException {
    ModelProperty p = property(units == null ? "" : units + "\n", typed);
    assertThat(p.values().getFirst()).isInstanceOf(ModelValue.Num.class);
    assertThat(((ModelValue.Num) p.values().getFirst()).number())
        .isCloseTo(si, within(1e-12 * Math.max(1, si)));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "IFCLABEL('Ärger') | Ärger",
        "IFCTEXT('two') | two",
        "IFCIDENTIFIER('X-1') | X-1",
        "IFCDATE('2026-11-28') | 2026-11-28"
      })
  void textsAreTexts(String typed, String text) throws IOException {
    ModelValue v = property("", typed).values().getFirst();
    assertThat(v).isInstanceOf(ModelValue.Text.class);
    assertThat(((ModelValue.Text) v).text()).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({"IFCBOOLEAN(.T.), true", "IFCBOOLEAN(.F.), false", "IFCLOGICAL(.T.), true"})
  void truthIsTruth(String typed, boolean value) throws IOException {
    ModelValue v = property("", typed).values().getFirst();
    assertThat(v).isInstanceOf(ModelValue.Flag.class);
    assertThat(((ModelValue.Flag) v).value()).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource({"IFCINTEGER(42), 42", "IFCCOUNTMEASURE(7), 7", "IFCINTEGER(-3), -3"})
  void countsAreWhole(String typed, long value) throws IOException {
    ModelValue v = property("", typed).values().getFirst();
    double found =
        switch (v) {
          case ModelValue.Whole w -> (double) w.number();
          case ModelValue.Num n -> n.number();
          default -> Double.NaN;
        };
    assertThat(found).isEqualTo((double) value);
  }
}
