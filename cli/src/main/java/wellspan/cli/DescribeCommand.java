package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.BasePoints;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.JobStore;
import wellspan.core.model.Model;
import wellspan.core.model.ModelJson;
import wellspan.core.model.ModelObject;
import wellspan.core.model.ModelTable;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.delivery.DeliveredModel;
import wellspan.exchange.ifc.read.ModelReader;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.intake.SourceIntake;
import wellspan.exchange.table.write.TableFile;

/** {@code describe JOB|FILE}: what every object is and says. */
@Command(
    name = "describe",
    description =
        "Lists every object of an IFC file, or of a job as it would be delivered, with class, properties, quantities, classification, material, colour and groups.",
    mixinStandardHelpOptions = true)
final class DescribeCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "JOB|FILE", description = "folder of a job, or an IFC file")
  private Path what;

  @Option(
      names = "--schema",
      paramLabel = "IFC4X3|IFC4|IFC2X3",
      description = "schema in which a job would be delivered")
  private String schema = "IFC4X3";

  @Option(
      names = "--table",
      paramLabel = "OUT.csv|OUT.xlsx",
      description = "as a table: a row for each object, a column for each property")
  private Path table;

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    Model model = Files.isDirectory(what) ? ofJob() : ofFile();
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    model.findings().forEach(f -> err.println(f.severity().word() + "  " + f.message()));
    if (table != null) {
      ModelTable rows = ModelTable.of(model);
      TableFile.write(table, rows.head(), rows.rows());
      err.println(rows.rows().size() + " objects in " + table + ".");
    }
    if (json) {
      out.println(ModelJson.array(model).toPrettyString());
    } else if (table == null) {
      model.objects().stream().filter(ModelJson::isDescribed).forEach(o -> line(out, o));
    }
    return model.findings().stream().anyMatch(wellspan.core.finding.Finding::isError)
        ? Main.ERRORS_FOUND
        : Main.DONE;
  }

  private static void line(PrintWriter out, ModelObject o) {
    int properties = o.sets().stream().mapToInt(s -> s.properties().size()).sum();
    String material = ModelJson.material(o);
    out.println(
        o.entity()
            + (o.predefinedType().isEmpty() ? "" : " " + o.predefinedType())
            + "  "
            + o.name()
            + "  "
            + o.globalId()
            + (material.isEmpty() ? "" : "  " + material)
            + "  "
            + o.sets().size()
            + " sets, "
            + properties
            + " values");
  }

  private Model ofFile() throws IOException {
    try {
      Received r = Intake.read(what, ReadingRule.AS_FOUND, Progress.NONE);
      return r.format().startsWith("IFC") ? ModelReader.read(what, Progress.NONE) : asModel(r);
    } catch (java.nio.file.NoSuchFileException e) {
      throw new IOException(what + ": there is no such file or folder.", e);
    }
  }

  private IfcSchema schema() {
    return IfcSchema.named(schema)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "--schema " + schema + " is not one of IFC4X3, IFC4, IFC2X3."));
  }

  /** What a file of another format would say as a model. */
  private Model asModel(Received r) throws IOException {
    DeliveryFormat format = new IfcFormat(schema());
    String file = String.valueOf(what.getFileName());
    GlobalIds ids = new GlobalIds(UUID.nameUUIDFromBytes(file.getBytes(StandardCharsets.UTF_8)));
    List<Parcel.Piece> pieces = new ArrayList<>();
    Box box = Box.EMPTY;
    for (Item i : r.items()) {
      if (format.carries(i)) {
        pieces.add(Packing.loosePiece(ids, ItemId.of(file, i), i, format, file));
        box = box.union(i.bounds());
      }
    }
    if (pieces.isEmpty()) {
      throw new IllegalArgumentException(file + ": there is nothing in it that a model holds.");
    }
    Frame frame = Frame.UNPLACED.withBasePoint(BasePoints.propose(box));
    return DeliveredModel.of(
        Packing.loose("describe", format, frame, LinearUnit.METRE, ids, pieces), Progress.NONE);
  }

  /** What a job would deliver. */
  private Model ofJob() throws IOException {
    JobStore store = new JobStore(what);
    Build build = SourceIntake.build(store, store.open(), Progress.NONE);
    Delivery delivery =
        new Delivery(
            "describe",
            "",
            schema(),
            LinearUnit.METRE,
            new LocalZero.BasePoint(),
            "describe.ifc",
            Set.of());
    return DeliveredModel.of(Packing.parcel(build, delivery), Progress.NONE);
  }
}
