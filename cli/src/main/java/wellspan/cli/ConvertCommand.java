package wellspan.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.IfcSchema;
import wellspan.core.finding.Finding;
import wellspan.core.frame.BasePoints;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameChecks;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.receipt.ReceiptJson;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.file.UniqueNames;
import wellspan.exchange.intake.Intake;

/** {@code convert IN... OUT}: files to an IFC file without a job, proven too. */
@Command(
    name = "convert",
    description =
        "Converts files to IFC without a job, and proves the result; exit 1 if the proof fails.",
    mixinStandardHelpOptions = true)
final class ConvertCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private ReadingOptions reading;

  @Parameters(
      paramLabel = "IN... OUT",
      arity = "2..*",
      description = "files to read, and last the file to write")
  private List<Path> files;

  @Option(
      names = "--crs",
      paramLabel = "EPSG:n",
      description = "system of the coordinates; what the files declare if not given")
  private String crs;

  @Option(
      names = "--base",
      paramLabel = "E,N,H",
      split = ",",
      description = "base point; one near the work if not given")
  private List<Double> base;

  @Option(
      names = "--rotate",
      paramLabel = "DEG",
      description = "site north clockwise from grid north")
  private double rotate;

  @Option(names = "--heights", paramLabel = "NAME", description = "name of the height system")
  private String heights = "";

  @Option(
      names = "--scale",
      paramLabel = "FACTOR",
      description = "horizontal scale, local over grid")
  private double scale = 1;

  @Option(
      names = "--zero",
      paramLabel = "base|shared",
      description = "where the written file's zero lies: the base point, or shared coordinates")
  private String zero = "base";

  @Option(names = "--unit", paramLabel = "m|mm|ft", description = "length unit of the written file")
  private String unit = "m";

  @Option(
      names = "--schema",
      paramLabel = "IFC4X3|IFC4|IFC2X3",
      description = "schema of the written file")
  private String schema = "IFC4X3";

  @Option(
      names = "--drawing",
      paramLabel = "R12|2000|2018",
      description = "release of a written drawing")
  private String drawing = "2000";

  @Option(names = "--mesh", description = "surfaces of a drawing as one mesh each (release 2018)")
  private boolean mesh;

  @Option(names = "--json", description = "the receipt as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    Path out = files.getLast();
    String ending = out.toString().toLowerCase(Locale.ROOT);
    DeliveryFormat format = format(out, ending);
    boolean list = format instanceof DeliveryFormat.PointList;
    LocalZero where = zero();
    Frame.UNPLACED.withScale(scale); // says early what is wrong with it
    LinearUnit lengths =
        LinearUnit.named(unit)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "--unit " + unit + " is not one of m, mm, ft, ftUS."));
    if (files.subList(0, files.size() - 1).stream()
        .anyMatch(f -> f.toAbsolutePath().normalize().equals(out.toAbsolutePath().normalize()))) {
      throw new IllegalArgumentException(
          out + " is also an input. A received file is never written over; choose another name.");
    }
    ReadingRule rule = reading.rule();
    List<Parcel.Piece> pieces = new ArrayList<>();
    List<Finding> doubts = new ArrayList<>();
    UniqueNames origins = new UniqueNames();
    Box box = Box.EMPTY;
    Map<String, String> declared = new LinkedHashMap<>();
    GlobalIds ids = new GlobalIds(UUID.nameUUIDFromBytes(names().getBytes(StandardCharsets.UTF_8)));
    for (Path in : files.subList(0, files.size() - 1)) {
      Received r = Intake.read(in, rule, Progress.NONE);
      say(r.findings(), in.getFileName() + "  ");
      r.findings().stream().filter(Finding::isError).forEach(doubts::add);
      if (!r.crs().isEmpty()) {
        declared.put(in.getFileName().toString(), r.crs());
      }
      String file = in.getFileName().toString();
      String origin = origins.of("", file); // two folders may hold files of one name
      for (Received.Entry e : r.entries()) {
        Item item = e.item();
        if (format.carries(item)) {
          box = box.union(item.bounds());
          ItemId id = ItemId.of(origin, item.kind(), item.name());
          pieces.add(Packing.loosePiece(ids, id, e, format, file));
        }
      }
    }
    if (pieces.isEmpty()) {
      throw new IllegalArgumentException(
          list
              ? "Nothing to write: no points were found."
              : "Nothing to write: no surface with triangles, no line and no point was found.");
    }
    Frame frame = frame(declared, box);
    say(FrameChecks.check(frame, box), "");
    Parcel parcel =
        Packing.loose(
            out.getFileName().toString().replaceFirst("\\.[^.]*$", ""),
            format,
            where.frame(frame),
            lengths,
            ids,
            pieces);
    DeliveryRun.Outcome o =
        DeliveryRun.run(
            out.getFileName().toString(), parcel, doubts, out, Clock.systemUTC(), Progress.NONE);
    if (json) {
      spec.commandLine().getOut().println(ReceiptJson.node(o.receipt()).toPrettyString());
    } else {
      DeliverCommand.text(spec.commandLine().getOut(), o);
    }
    return o.receipt().proof().whole() ? Main.DONE : Main.ERRORS_FOUND;
  }

  /** By the ending of the output, and by --schema or --drawing where there are several. */
  private DeliveryFormat format(Path out, String ending) {
    if (ending.endsWith(".ifc")) {
      return new DeliveryFormat.Ifc(
          IfcSchema.named(schema)
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "--schema "
                              + schema
                              + " cannot be written; IFC4X3, IFC4 and IFC2X3 can.")));
    }
    if (ending.endsWith(".xml")) {
      return new DeliveryFormat.LandXml();
    }
    if (ending.endsWith(".csv")) {
      return new DeliveryFormat.PointList();
    }
    if (ending.endsWith(".dxf")) {
      return DeliveryFormat.named("DXF " + drawing + (mesh ? " mesh" : ""))
          .orElseThrow(
              () ->
                  new IllegalArgumentException(
                      "--drawing "
                          + drawing
                          + (mesh ? " with --mesh" : "")
                          + " cannot be written; R12, 2000 and 2018 can, meshes in 2018 only."));
    }
    throw new IllegalArgumentException(
        out + ": name the output with the ending .ifc, .xml, .dxf, or .csv for points.");
  }

  private String names() {
    return String.join("\n", files.stream().map(f -> f.getFileName().toString()).toList());
  }

  private void say(List<Finding> findings, String where) {
    for (Finding f : findings) {
      spec.commandLine().getErr().println(f.severity().word() + "  " + where + f.message());
    }
  }

  /** The frame by the options; files that declare another system are named. */
  private Frame frame(Map<String, String> declared, Box box) {
    String code = crs == null ? declared.values().stream().findFirst().orElse("") : crs;
    if (code.isEmpty()) {
      throw new IllegalArgumentException(
          "No file declares its coordinate reference system. Name it with --crs EPSG:n.");
    }
    SystemOption.Named system = SystemOption.of(code);
    if (!system.crs().projected()) {
      throw new IllegalArgumentException(
          system.crs().id() + " counts in degrees; a projected system is needed.");
    }
    declared.forEach(
        (file, own) -> {
          if (CrsCatalogue.shipped().find(own).filter(c -> c.equals(system.crs())).isEmpty()) {
            spec.commandLine()
                .getErr()
                .println(
                    "warning  "
                        + file
                        + "  It declares "
                        + own
                        + "; its numbers are taken as "
                        + system.crs().id()
                        + " without being transformed. In a job each source is placed by its own system.");
          }
        });
    Position local = BasePoints.propose(box);
    if (base != null) {
      if (base.size() != 3) {
        throw new IllegalArgumentException("--base needs three numbers: E,N,H.");
      }
      local = new Position(base.get(0), base.get(1), base.get(2));
    }
    return Frame.of("", heights, local, rotate)
        .withCrs(system.crs().id(), system.definition())
        .withScale(scale);
  }

  private LocalZero zero() {
    return switch (zero) {
      case "base" -> new LocalZero.BasePoint();
      case "shared" -> new LocalZero.Shared();
      default ->
          throw new IllegalArgumentException("--zero " + zero + " is not one of base, shared.");
    };
  }
}
