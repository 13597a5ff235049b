package wellspan.exchange.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/**
 * Files of every format with some bytes changed, taken out or repeated: each is read, or refused
 * with a sentence that names it; none ends in a fault of ours, or never.
 */
class ChangedBytesTest {
  private static final Path RESOURCES = Path.of("src/test/resources/wellspan/exchange");

  @TempDir Path dir;

  private record Sample(String name, byte[] whole) {
    @Override
    public String toString() {
      return name;
    }
  }

  private static Sample file(String path) {
    try {
      Path p = RESOURCES.resolve(path);
      return new Sample(p.getFileName().toString(), Files.readAllBytes(p));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Sample text(String name, String text) {
    return new Sample(name, text.getBytes(StandardCharsets.UTF_8));
  }

  private static final String SECTIONS =
      """
      <?xml version="1.0"?>
      <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
      <Units><Metric linearUnit="meter"/></Units><CoordinateSystem epsgCode="25832"/>
      <Alignments><Alignment name="Lane" length="100" staStart="0"><CoordGeom>
      <Line><Start>5700000 400000</Start><End>5700000 400060</End></Line>
      <Curve rot="ccw" radius="200"><Start>5700000 400060</Start><Center>5700200 400060</Center><End>5700004 400099.8</End></Curve>
      </CoordGeom><Profile name="p"><ProfAlign name="p"><PVI>0 20</PVI><ParaCurve length="40">50 21</ParaCurve><PVI>100 20</PVI></ProfAlign></Profile>
      <CrossSects><CrossSect sta="0"><DesignCrossSectSurf closedArea="true" name="Wearing"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.9</CrossSectPnt><CrossSectPnt>-3 19.9</CrossSectPnt></DesignCrossSectSurf></CrossSect>
      <CrossSect sta="50"><DesignCrossSectSurf closedArea="true" name="Wearing"><CrossSectPnt>-3 20</CrossSectPnt><CrossSectPnt>3 20</CrossSectPnt><CrossSectPnt>3 19.9</CrossSectPnt><CrossSectPnt>-3 19.9</CrossSectPnt></DesignCrossSectSurf></CrossSect></CrossSects>
      </Alignment></Alignments>
      <PipeNetworks><PipeNetwork name="N" pipeNetType="storm"><Structs>
      <Struct name="A" elevRim="22" elevSump="19"><Center>5700010 400010</Center><CircStruct diameter="1" thickness="0.12"/><Invert elev="20" flowDir="out" refPipe="p"/></Struct>
      <Struct name="B" elevRim="22" elevSump="19"><Center>5700010 400040</Center><CircStruct diameter="1" thickness="0.12"/><Invert elev="19.7" flowDir="in" refPipe="p"/></Struct>
      </Structs><Pipes><Pipe name="p" refStart="A" refEnd="B"><CircPipe diameter="0.3" thickness="0.05"/></Pipe></Pipes></PipeNetwork></PipeNetworks>
      <Surfaces><Surface name="Hill"><Definition surfType="TIN"><Pnts><P id="1">0 0 0</P><P id="2">0 10 0</P><P id="3">10 10 0</P></Pnts><Faces><F>1 2 3</F></Faces></Definition></Surface></Surfaces>
      </LandXML>
      """;

  private static final String DRAWING =
      String.join(
          "\n",
          "0",
          "SECTION",
          "2",
          "HEADER",
          "9",
          "$ACADVER",
          "1",
          "AC1027",
          "9",
          "$INSUNITS",
          "70",
          "6",
          "0",
          "ENDSEC",
          "0",
          "SECTION",
          "2",
          "BLOCKS",
          "0",
          "BLOCK",
          "2",
          "PEG",
          "10",
          "0",
          "20",
          "0",
          "30",
          "0",
          "0",
          "CIRCLE",
          "8",
          "0",
          "10",
          "0",
          "20",
          "0",
          "40",
          "0.5",
          "0",
          "ENDBLK",
          "0",
          "ENDSEC",
          "0",
          "SECTION",
          "2",
          "ENTITIES",
          "0",
          "3DFACE",
          "8",
          "GROUND",
          "10",
          "0",
          "20",
          "0",
          "30",
          "1",
          "11",
          "5",
          "21",
          "0",
          "31",
          "1",
          "12",
          "5",
          "22",
          "5",
          "32",
          "2",
          "13",
          "0",
          "23",
          "5",
          "33",
          "2",
          "0",
          "LWPOLYLINE",
          "8",
          "EDGE",
          "90",
          "3",
          "70",
          "1",
          "38",
          "2.5",
          "10",
          "0",
          "20",
          "0",
          "42",
          "0.5",
          "10",
          "4",
          "20",
          "0",
          "10",
          "4",
          "20",
          "4",
          "0",
          "SPLINE",
          "8",
          "EDGE",
          "70",
          "8",
          "71",
          "3",
          "72",
          "8",
          "73",
          "4",
          "40",
          "0",
          "40",
          "0",
          "40",
          "0",
          "40",
          "0",
          "40",
          "1",
          "40",
          "1",
          "40",
          "1",
          "40",
          "1",
          "10",
          "0",
          "20",
          "0",
          "30",
          "0",
          "10",
          "1",
          "20",
          "2",
          "30",
          "0",
          "10",
          "3",
          "20",
          "2",
          "30",
          "0",
          "10",
          "4",
          "20",
          "0",
          "30",
          "0",
          "0",
          "INSERT",
          "8",
          "PEGS",
          "2",
          "PEG",
          "10",
          "7",
          "20",
          "7",
          "41",
          "2",
          "50",
          "30",
          "70",
          "3",
          "44",
          "2",
          "0",
          "TEXT",
          "8",
          "NAMES",
          "10",
          "1",
          "20",
          "1",
          "40",
          "0.5",
          "1",
          "P 1",
          "0",
          "ENDSEC",
          "0",
          "EOF",
          "");

  static Stream<Sample> samples() {
    return Stream.of(
        text("sections.xml", SECTIONS),
        text("drawing.dxf", DRAWING),
        text(
            "points.csv",
            "name;east;north;level;code\nP1;412000.5;6534500.25;12.5;peg\nP2;412010;6534510;13;bolt\n"),
        text(
            "grid.asc",
            "ncols 3\nnrows 2\nxllcorner 400000\nyllcorner 5700000\ncellsize 10\nNODATA_value -9999\n1 2 3\n4 -9999 6\n"),
        text(
            "box.obj",
            "mtllib m.mtl\no Box\nv 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 0 1\nusemtl A\nf 1 3 2\nf 1/1/1 2/2/2 4\nf -4 -1 -2\nf 2 3 4\n"),
        text(
            "mesh.gltf",
            "{\"asset\":{\"version\":\"2.0\"},\"scenes\":[{\"nodes\":[0]}],\"nodes\":[{\"mesh\":0,\"translation\":[1,2,3]}],\"meshes\":[{\"primitives\":[{\"attributes\":{\"POSITION\":0}}]}],\"accessors\":[{\"bufferView\":0,\"componentType\":5126,\"count\":3,\"type\":\"VEC3\"}],\"bufferViews\":[{\"buffer\":0,\"byteLength\":36}],\"buffers\":[{\"byteLength\":36,\"uri\":\"data:application/octet-stream;base64,AAAAAAAAAAAAAAAAAACAPwAAAAAAAAAAAAAAAAAAgD8AAAAA\"}]}"),
        file("feature/lines-25832.geojson"),
        file("feature/area.kml"),
        file("feature/area.kmz"),
        file("feature/lines.shp"),
        file("feature/area.shp"),
        file("feature/site.gpkg"),
        file("grid/float64-strips.tif"),
        file("grid/int16-lzw-predictor2.tif"),
        file("grid/float32-tiled-deflate-predictor3.tif"),
        file("grid/image.tif"));
  }

  /** Changes some bytes, takes a piece out, or writes a piece twice. */
  private static byte[] changed(byte[] whole, Random random) {
    int at = random.nextInt(whole.length);
    int n = 1 + random.nextInt(Math.min(40, whole.length - at));
    switch (random.nextInt(4)) {
      case 0 -> {
        byte[] out = new byte[whole.length - n];
        System.arraycopy(whole, 0, out, 0, at);
        System.arraycopy(whole, at + n, out, at, whole.length - at - n);
        return out;
      }
      case 1 -> {
        byte[] out = new byte[whole.length + n];
        System.arraycopy(whole, 0, out, 0, at + n);
        System.arraycopy(whole, at, out, at + n, whole.length - at);
        return out;
      }
      case 2 -> {
        byte[] out = whole.clone();
        out[at] = (byte) "0123456789-.eE<>\"'/,;: \n\u0000".charAt(random.nextInt(25));
        return out;
      }
      default -> {
        byte[] out = whole.clone();
        for (int i = 0; i < Math.min(4, n); i++) {
          out[at + i] = (byte) random.nextInt(256);
        }
        return out;
      }
    }
  }

  @ParameterizedTest
  @MethodSource("samples")
  @Timeout(180)
  void isReadOrRefusedWithASentence(Sample sample) throws IOException {
    Path f = dir.resolve(sample.name());
    Files.write(f, sample.whole());
    Received whole = Intake.read(f, Progress.NONE);
    assertThat(whole.items()).as("the sample itself").isNotEmpty();
    Random random = new Random(sample.name().hashCode());
    int times = 250;
    for (int k = 0; k < times; k++) {
      byte[] bytes = changed(sample.whole(), random);
      Files.write(f, bytes);
      try {
        Received r = Intake.read(f, Progress.NONE);
        r.items().forEach(i -> assertThat(i.bounds()).isNotNull());
      } catch (IOException e) {
        assertThat(e.getMessage())
            .as("%s, change %d: %s", sample, k, e.getCause())
            .contains(sample.name())
            .doesNotContain("Wellspan's"); // a fault of ours, caught at the last moment
      } catch (OutOfMemoryError e) {
        fail(sample + ", change " + k + " fills the memory", e);
      }
    }
  }
}
