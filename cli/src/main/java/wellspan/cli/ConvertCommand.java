package wellspan.cli;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.deliver.Carriage;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.extract.Extract;
import wellspan.core.extract.Split;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameChecks;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.packing.ReceivedRoot;
import wellspan.core.progress.Progress;
import wellspan.core.receipt.ReceiptJson;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.rulebook.Roads;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.rulebook.Ruling;
import wellspan.core.rulebook.Subject;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.file.UniqueNames;
import wellspan.exchange.intake.Intake;

/** {@code convert IN... OUT}: files to a file of another format without a job, proven too. */
@Command(
    name = "convert",
    description =
        "Converts files to another format without a job, and proves the result; exit 1 if the proof fails.",
    mixinStandardHelpOptions = true)
final class ConvertCommand implements Callable<Integer> {
  private static final Finding UNDECLARED =
      Finding.warning(
          Stop.PLACE,
          "frame.crs.missing",
          "",
          "No file declares its coordinate reference system, so what is written does not say where on earth it lies. Name the system with --crs EPSG:n if it is known.");

  @Spec private CommandSpec spec;

  @Mixin private ReadingOptions reading;

  @Mixin private ExtractOptions parts;

  @Mixin private PlacingOptions placing;

  @Mixin private FormatOptions written;

  @Mixin private ProjectOptions project;

  @Parameters(
      paramLabel = "IN... OUT",
      hideParamSyntax = true,
      arity = "2..*",
      description = "files to read, and last the file to write")
  private List<Path> files;

  @Option(names = "--json", description = "the receipt as JSON")
  private boolean json;

  @Mixin private RulebookOption rulebook = new RulebookOption();

  @Override
  public Integer call() throws IOException {
    Path out = files.getLast();
    Rulebook book = rulebook.book();
    DeliveryFormat format = written.format(out);
    LocalZero where = placing.zero(format);
    LinearUnit lengths = written.unit();
    if (files.subList(0, files.size() - 1).stream()
        .anyMatch(f -> f.toAbsolutePath().normalize().equals(out.toAbsolutePath().normalize()))) {
      throw new IllegalArgumentException(
          out + " is also an input. A received file is never written over; choose another name.");
    }
    ReadingRule rule = reading.rule();
    Extract extract = parts.extract();
    parts.split(); // says early what is wrong with it
    List<Finding> doubts = new ArrayList<>();
    UniqueNames origins = new UniqueNames();
    Map<Path, Received> read = new LinkedHashMap<>();
    for (Path in : files.subList(0, files.size() - 1)) {
      Received r = Intake.read(in, rule, Progress.NONE);
      say(r.findings(), in.getFileName() + "  ");
      r.findings().stream().filter(Finding::isError).forEach(doubts::add);
      read.put(in, r);
    }
    Optional<SystemOption.Named> system = placing.system(read.values());
    Optional<ModelRoot> root =
        read.size() == 1 ? read.values().iterator().next().root() : Optional.empty();
    List<Taken> taken = taken(read, extract, system, origins, doubts);
    if (taken.stream().noneMatch(t -> format.carries(t.item()))) {
      throw new IllegalArgumentException(
          "Nothing to write: "
              + (read.values().stream().allMatch(r -> r.items().isEmpty())
                  ? "nothing that can be delivered was found."
                  : taken.isEmpty()
                      ? "no item lies in what was asked for."
                      : refusal(format, taken)));
    }
    staysBehind(format, taken);
    Box box =
        taken.stream()
            .filter(t -> format.carries(t.item()))
            .map(t -> t.item().bounds())
            .reduce(Box.EMPTY, Box::union);
    Frame frame = placing.frame(system, box);
    say(frameChecks(frame, box), "");
    boolean whole = true;
    List<JsonNode> receipts = new ArrayList<>();
    for (Map.Entry<Path, List<Taken>> file : files(out, taken).entrySet()) {
      Optional<DeliveryRun.Outcome> o =
          write(
              file.getKey(),
              file.getValue(),
              taken.stream().map(Taken::item).toList(),
              format,
              where.frame(frame),
              lengths,
              doubts,
              book,
              root);
      if (o.isEmpty()) {
        continue;
      }
      whole &= o.get().receipt().proof().whole();
      receipts.add(ReceiptJson.node(o.get().receipt()));
      if (!json) {
        DeliverCommand.text(spec.commandLine().getOut(), o.get());
      }
    }
    if (json) {
      JsonNode all =
          parts.split().isPresent()
              ? JsonNodeFactory.instance.arrayNode().addAll(receipts)
              : receipts.getFirst();
      spec.commandLine().getOut().println(all.toPrettyString());
    }
    return whole ? Main.DONE : Main.ERRORS_FOUND;
  }

  /** What there is to say of the frame; here a system is named in the call. */
  private static List<Finding> frameChecks(Frame frame, Box box) {
    return FrameChecks.check(frame, box).stream()
        .map(f -> f.code().equals("frame.crs.missing") ? UNDECLARED : f)
        .toList();
  }

  /** An item that goes into a file, with where it came from. */
  private record Taken(Item item, ItemId id, String file) {
    /** What of it goes into one of several files. */
    Taken as(Split.Part p) {
      boolean only = p.name().isEmpty();
      return new Taken(
          p.item(), only ? id : new ItemId(id.value() + Parcel.Piece.PART + p.name()), file);
    }
  }

  private List<Taken> taken(
      Map<Path, Received> read,
      Extract extract,
      Optional<SystemOption.Named> system,
      UniqueNames origins,
      List<Finding> doubts) {
    List<Taken> out = new ArrayList<>();
    List<Item> all = new ArrayList<>();
    for (Map.Entry<Path, Received> in : read.entrySet()) {
      String file = in.getKey().getFileName().toString();
      String origin = origins.of("", file); // two folders may hold files of one name
      List<Item> items = placed(file, in.getValue(), system, doubts);
      all.addAll(items);
      List<Finding> told = new ArrayList<>();
      for (Item i : extract.of(items, told)) {
        out.add(new Taken(i, ItemId.of(origin, i), file));
      }
      say(told, "");
      told.stream().filter(Finding::isError).forEach(doubts::add);
    }
    List<String> missing = extract.notFound(all);
    if (!missing.isEmpty()) {
      throw new IllegalArgumentException(
          "Nothing is named or of the kind "
              + String.join(", ", missing)
              + "; inspect shows names and kinds. Nothing was written.");
    }
    return out;
  }

  /** The files to write, with what goes into each. */
  private Map<Path, List<Taken>> files(Path out, List<Taken> taken) {
    Map<Path, List<Taken>> all = new LinkedHashMap<>();
    Optional<Split> split = parts.split();
    if (split.isEmpty()) {
      all.put(out, taken);
      return all;
    }
    String name = out.getFileName().toString();
    int dot = name.lastIndexOf('.');
    split
        .get()
        .dealt(taken.stream().map(Taken::item).toList(), parts.extract().chord())
        .forEach(
            (part, dealt) ->
                all.put(
                    out.resolveSibling(name.substring(0, dot) + "-" + part + name.substring(dot)),
                    dealt.stream().map(p -> taken.get(p.of()).as(p)).toList()));
    return all;
  }

  /** Writes and proves a file; nothing where the format holds none of what goes into it. */
  private Optional<DeliveryRun.Outcome> write(
      Path out,
      List<Taken> taken,
      List<Item> all,
      DeliveryFormat format,
      Frame frame,
      LinearUnit lengths,
      List<Finding> doubts,
      Rulebook book,
      Optional<ModelRoot> root)
      throws IOException {
    GlobalIds ids =
        new GlobalIds(UUID.nameUUIDFromBytes(inputs().getBytes(StandardCharsets.UTF_8)));
    List<Parcel.Piece> pieces = new ArrayList<>();
    Roads roads = new Roads();
    taken.forEach(t -> roads.add(t.file(), t.item()));
    RuleReport told = new RuleReport();
    Ruling ruling = new Ruling(book, format.schema().orElse(IfcSchema.IFC4X3));
    for (Taken t : taken) {
      if (format.carries(t.item())) {
        Ruled ruled =
            ruling.of(new Subject(t.item(), t.file(), "", roads.above(t.file(), t.item())));
        told.add(t.item().name(), ruled);
        if (!ruled.heldBack()) {
          pieces.add(Packing.loosePiece(ids, t.id(), t.item(), format, t.file(), book, ruled));
        }
      }
    }
    told.print(spec.commandLine().getErr());
    if (pieces.isEmpty()) {
      return Optional.empty();
    }
    String name = out.getFileName().toString();
    Parcel loose =
        Packing.loose(
            name.replaceFirst("\\.[^.]*$", ""),
            project.info(),
            format,
            frame,
            lengths,
            ids,
            pieces,
            all);
    Parcel parcel = root.map(r -> ReceivedRoot.over(loose, r)).orElse(loose);
    return Optional.of(
        DeliveryRun.run(name, parcel, doubts, out, Clock.systemUTC(), Progress.NONE));
  }

  /** Why the format takes none of what was read. */
  private static String refusal(DeliveryFormat format, List<Taken> taken) {
    return taken.stream()
        .map(t -> format.carriage(t.item(), Frame.UNPLACED))
        .flatMap(c -> c instanceof Carriage.Not n ? Stream.of(n.why()) : Stream.empty())
        .distinct()
        .collect(Collectors.joining(" "));
  }

  /** Says what the format has no room for, by the reason. */
  private void staysBehind(DeliveryFormat format, List<Taken> taken) {
    Map<String, List<String>> why = new LinkedHashMap<>();
    for (Taken t : taken) {
      if (format.carriage(t.item(), Frame.UNPLACED) instanceof Carriage.Not n) {
        why.computeIfAbsent(n.why(), k -> new ArrayList<>()).add(t.item().name());
      }
    }
    why.forEach(
        (reason, names) ->
            spec.commandLine()
                .getErr()
                .println(
                    "warning  "
                        + (names.size() == 1
                            ? names.getFirst() + " stays"
                            : names.size() + " items, the first " + names.getFirst() + ", stay")
                        + " here: "
                        + reason));
  }

  /** What GlobalIds are made from: what goes in, so that they are the same under any name. */
  private String inputs() {
    return files.subList(0, files.size() - 1).stream()
        .map(f -> f.getFileName().toString())
        .collect(Collectors.joining("\n"));
  }

  private void say(List<Finding> findings, String where) {
    for (Finding f : findings) {
      spec.commandLine().getErr().println(f.severity().word() + "  " + where + f.message());
    }
  }

  /** What a file holds, in the system of the written one; says what that took. */
  private List<Item> placed(
      String file, Received r, Optional<SystemOption.Named> system, List<Finding> doubts) {
    PlacingOptions.Placed p = PlacingOptions.placed(file, r, system);
    say(p.findings(), "");
    p.findings().stream().filter(Finding::isError).forEach(doubts::add);
    return p.items();
  }
}
