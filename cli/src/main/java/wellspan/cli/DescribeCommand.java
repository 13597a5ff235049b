package wellspan.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.BasePoints;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.model.Model;
import wellspan.core.model.ModelComparison;
import wellspan.core.model.ModelJson;
import wellspan.core.model.ModelObject;
import wellspan.core.model.ModelTable;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.rulebook.Roads;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.rulebook.Ruling;
import wellspan.core.rulebook.Subject;
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
  /** Objects that a change names. */
  private static final int NAMED = 3;

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

  @Option(
      names = "--against",
      paramLabel = "SCHEMA|FILE",
      description =
          "compares: what becomes of the objects in that schema, or in another IFC file of the same model")
  private String against;

  @Mixin private RulebookOption rulebook = new RulebookOption();

  @Option(names = "--json", description = "as JSON")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    IfcSchema chosen = schema(); // says early what is wrong with it
    Rulebook book = rulebook.book();
    if (against != null) {
      return compare(book, chosen);
    }
    Described described = Files.isDirectory(what) ? ofJob(book, chosen) : ofFile(book);
    Model model = described.model();
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    model.findings().forEach(f -> err.println(f.severity().word() + "  " + f.message()));
    if (table != null) {
      ModelTable rows = ModelTable.of(model);
      TableFile.write(table, rows.head(), rows.rows());
      err.println(rows.rows().size() + " objects in " + table + ".");
    }
    if (json) {
      out.println(ModelJson.array(model, described.heldBack()).toPrettyString());
    } else if (table == null) {
      model.objects().stream().filter(ModelJson::isDescribed).forEach(o -> line(out, o));
    }
    return model.findings().stream().anyMatch(Finding::isError) ? Main.ERRORS_FOUND : Main.DONE;
  }

  private int compare(Rulebook book, IfcSchema chosen) throws IOException {
    Optional<IfcSchema> other = IfcSchema.named(against);
    Path file = Path.of(against);
    if (other.isEmpty() && !Files.isRegularFile(file)) {
      throw new IllegalArgumentException(
          "--against " + against + " is neither IFC4X3, IFC4 nor IFC2X3, nor a file.");
    }
    boolean job = Files.isDirectory(what);
    Model first = (job ? ofJob(book, chosen) : ofFile(book)).model();
    Model second =
        other.isEmpty()
            ? ModelReader.read(file, Progress.NONE)
            : (job
                    ? ofJob(book, other.get())
                    : asModel(
                        Intake.read(what, ReadingRule.AS_FOUND, Progress.NONE), book, other.get()))
                .model();
    ModelComparison c = ModelComparison.of(first, second);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(c.json().toPrettyString());
      return Main.DONE;
    }
    out.println(c.compared() + " objects in " + c.from() + " and in " + c.to() + ".");
    for (ModelComparison.Change x : c.changes()) {
      String names =
          x.objects().stream()
              .limit(NAMED)
              .map(ModelObject::name)
              .collect(Collectors.joining(", "));
      out.println(
          x.objects().size()
              + " "
              + x.what().words()
              + ": "
              + (x.from() + (x.to().isEmpty() || x.from().isEmpty() ? "" : " → ") + x.to())
              + "  ("
              + names
              + (x.objects().size() > NAMED ? " …" : "")
              + ")");
    }
    return Main.DONE;
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

  /**
   * A model, and what of it would stay here.
   *
   * @param heldBack GlobalIds of what a rule holds back
   */
  private record Described(Model model, Set<String> heldBack) {}

  private Described ofFile(Rulebook book) throws IOException {
    try {
      Received r = Intake.read(what, ReadingRule.AS_FOUND, Progress.NONE);
      return r.format().startsWith("IFC") && !rulebook.isGiven()
          ? new Described(ModelReader.read(what, Progress.NONE), Set.of())
          : asModel(r, book, schema());
    } catch (NoSuchFileException e) {
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

  /** What a file would say as a model that the rulebook has described. */
  private Described asModel(Received r, Rulebook book, IfcSchema schema) throws IOException {
    DeliveryFormat format = new IfcFormat(schema);
    String file = String.valueOf(what.getFileName());
    GlobalIds ids = new GlobalIds(UUID.nameUUIDFromBytes(file.getBytes(StandardCharsets.UTF_8)));
    Ruling ruling = new Ruling(book, schema);
    Roads roads = new Roads();
    r.items().forEach(i -> roads.add(file, i));
    List<Parcel.Piece> pieces = new ArrayList<>();
    Map<String, Ruled> ruled = new HashMap<>();
    Box box = Box.EMPTY;
    for (Item i : r.items()) {
      if (format.carries(i)) {
        Ruled said = ruling.of(new Subject(i, file, "", roads.above(file, i)));
        ItemId id = ItemId.of(file, i);
        pieces.add(Packing.loosePiece(ids, id, i, format, file, book, said));
        ruled.put(id.value(), said);
        box = box.union(i.bounds());
      }
    }
    if (pieces.isEmpty()) {
      throw new IllegalArgumentException(file + ": there is nothing in it that a model holds.");
    }
    Frame frame = Frame.UNPLACED.withBasePoint(BasePoints.propose(box));
    return described(
        Packing.loose("describe", format, frame, LinearUnit.METRE, ids, pieces), ruled);
  }

  /** What a job would deliver, and what it holds back. */
  private Described ofJob(Rulebook book, IfcSchema schema) throws IOException {
    JobStore store = new JobStore(what);
    Job job = store.openWhole();
    Build build =
        SourceIntake.build(store, rulebook.isGiven() ? job.withRulebook(book) : job, Progress.NONE);
    Map<String, Ruled> ruled = new HashMap<>();
    build.items().keySet().forEach(id -> ruled.put(id.value(), build.ruled(id, schema)));
    return described(Packing.whole(build, Delivery.ofAll(schema)), ruled);
  }

  private static Described described(Parcel parcel, Map<String, Ruled> ruled) throws IOException {
    Model model = DeliveredModel.of(parcel, Progress.NONE);
    Set<String> heldBack = new HashSet<>();
    List<Finding> findings = new ArrayList<>(model.findings());
    for (Parcel.Piece p : parcel.pieces()) {
      Ruled r = ruled.getOrDefault(p.key(), Ruled.NOTHING);
      if (r.heldBack()) {
        heldBack.add(p.description().globalId());
      }
      findings.addAll(r.findings(p.item().name()));
    }
    return new Described(
        new Model(model.file(), model.schema(), model.project(), model.objects(), findings),
        heldBack);
  }
}
