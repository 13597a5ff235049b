package wellspan.bench;

import com.ctc.wstx.stax.WstxInputFactory;
import com.fasterxml.aalto.stax.InputFactoryImpl;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;
import wellspan.exchange.landxml.read.LandXmlReader;

/**
 * A surface of a million triangles: LandXML in, IFC out, IFC back; each beside the bare work on the
 * same bytes.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx2g", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 2, time = 4)
@Measurement(iterations = 4, time = 4)
public class SurfaceBenchmark {
  private Path folder;
  private Path xml;
  private Path ifc;
  private Path out;
  private Parcel parcel;
  private byte[] text;

  @Setup(Level.Trial)
  public void make() throws IOException {
    folder = Files.createTempDirectory("bench");
    Mesh mesh = Fixture.mesh(1_000_000);
    xml = Fixture.landXml(mesh, folder.resolve("large.xml"));
    parcel = Fixture.parcel(mesh);
    ifc = folder.resolve("large.ifc");
    out = folder.resolve("out");
    IfcWriter.write(parcel, ifc, "large.ifc", Clock.systemUTC(), Progress.NONE);
    text = Files.readAllBytes(ifc);
  }

  @TearDown(Level.Trial)
  public void remove() throws IOException {
    for (Path p : new Path[] {xml, ifc, out, folder}) {
      Files.deleteIfExists(p);
    }
  }

  @Benchmark
  public int bareXmlPassOfTheJdk() throws IOException, XMLStreamException {
    return bareXmlPass(XMLInputFactory.newDefaultFactory());
  }

  @Benchmark
  public int bareXmlPassOfWoodstox() throws IOException, XMLStreamException {
    return bareXmlPass(new WstxInputFactory());
  }

  /** The parser that the reader itself uses. */
  @Benchmark
  public int bareXmlPassOfAalto() throws IOException, XMLStreamException {
    return bareXmlPass(new InputFactoryImpl());
  }

  private int bareXmlPass(XMLInputFactory f) throws IOException, XMLStreamException {
    f.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    int events = 0;
    try (InputStream in = Files.newInputStream(xml)) {
      XMLStreamReader r = f.createXMLStreamReader(in);
      while (r.hasNext()) {
        if (r.next() == XMLStreamReader.CHARACTERS) {
          events += r.getTextLength();
        }
      }
    }
    return events;
  }

  @Benchmark
  public Received readLandXml() throws IOException {
    return LandXmlReader.read(xml, Progress.NONE);
  }

  @Benchmark
  public void writeSameBytes() throws IOException {
    try (OutputStream o = Files.newOutputStream(out)) {
      for (int at = 0; at < text.length; at += 1 << 16) {
        o.write(text, at, Math.min(1 << 16, text.length - at));
      }
    }
  }

  @Benchmark
  public void writeIfc() throws IOException {
    IfcWriter.write(parcel, out, "large.ifc", Clock.systemUTC(), Progress.NONE);
  }

  @Benchmark
  public Received readIfc() throws IOException {
    return IfcReader.read(ifc, Progress.NONE);
  }
}
