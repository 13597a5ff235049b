package wellspan.core.job;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import wellspan.core.attribute.EntityClass;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Split;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Recipe;
import wellspan.core.place.Control;
import wellspan.core.place.PlacementJson;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.ReadingRuleJson;
import wellspan.core.replay.OperationJson;
import wellspan.core.replay.RecordedStep;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;
import wellspan.core.unit.LinearUnit;

/**
 * Reads {@code job.json} of any version. A file of a newer program, or one that somebody edited,
 * opens with what is understood.
 */
final class JobReading {
  private static final ObjectMapper JSON =
      new ObjectMapper()
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY);

  private JobReading() {}

  /**
   * A job as far as it was understood.
   *
   * @param notUnderstood what of the file is not in the job, for people; if there is any, the file
   *     must not be saved over
   */
  record Opened(Job job, List<String> notUnderstood) {}

  /**
   * @param where the file, for messages
   * @throws JobException if it is no job at all
   */
  static Opened read(String text, String where) throws JobException {
    JsonNode n;
    try {
      n = JSON.readTree(text);
    } catch (JsonProcessingException e) {
      long line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
      throw new JobException(
          where
              + ", line "
              + line
              + ": the job file is damaged (not JSON). Restore an earlier copy of it.",
          e);
    }
    return read(n, where);
  }

  static Opened read(JsonNode n, String where) throws JobException {
    JsonNode version = n.path("wellspan");
    if (!version.isInt() || version.intValue() < 1) {
      throw new JobException(
          where
              + " is not a Wellspan job, or it is damaged: the member \"wellspan\" with the format's version is missing.");
    }
    List<String> notUnderstood = new ArrayList<>();
    if (version.intValue() > JobJson.VERSION) {
      notUnderstood.add(
          "it was saved by a newer Wellspan in format "
              + version
              + ", this one knows format "
              + JobJson.VERSION);
    }
    Members all = new Members("", n, notUnderstood);
    all.get("wellspan");
    Job job = job(all);
    all.noteUnknown();
    return new Opened(job, List.copyOf(notUnderstood));
  }

  private static Job job(Members n) {
    for (String needed : List.of("id", "name", "frame", "sources", "items", "deliveries")) {
      if (!n.has(needed)) {
        n.note(needed, "missing");
      }
    }
    List<Source> sources = n.objects("sources", JobReading::source);
    List<Delivery> deliveries = n.objects("deliveries", JobReading::delivery);
    alone(n, "sources", sources.stream().map(Source::name).toList());
    List<SavedView> views = n.objects("views", SavedView::read);
    alone(n, "views", views.stream().map(SavedView::name).toList());
    alone(n, "deliveries", deliveries.stream().map(Delivery::name).toList());
    Map<ItemId, ItemSettings> settings = new TreeMap<>();
    n.map("items", v -> n.member("items", v, JobReading::settings))
        .forEach((id, s) -> settings.put(new ItemId(id), s));
    List<Recipe> recipes = n.list("recipes", OperationJson::recipe);
    Map<ItemId, List<RecordedStep>> steps = new TreeMap<>();
    n.get("steps")
        .ifPresent(
            v ->
                n.value(
                    "steps",
                    "",
                    all ->
                        n.member(
                            "steps",
                            all,
                            m -> {
                              all.properties()
                                  .forEach(
                                      e ->
                                          steps.put(
                                              new ItemId(e.getKey()),
                                              m.list(e.getKey(), OperationJson::step)));
                              return "";
                            })));
    return new Job(
        n.value("id", new UUID(0, 0), v -> UUID.fromString(text(v))),
        n.text("name", "Unnamed"),
        n.value("frame", Frame.UNPLACED, v -> FrameJson.read(object(v))),
        sources,
        settings,
        deliveries,
        n.value("control", Control.NONE, v -> PlacementJson.control(object(v))),
        n.list("marks", v -> PlacementJson.mark(object(v))),
        recipes,
        steps,
        n.value("rulebook", Rulebook.NONE, RulebookJson::read),
        n.value("project", ProjectInfo.NONE, JobReading::project),
        views);
  }

  private static ProjectInfo project(JsonNode n) {
    if (!n.isObject()) {
      throw new IllegalArgumentException("it is no object");
    }
    ProjectInfo out = ProjectInfo.NONE;
    for (Map.Entry<String, JsonNode> said : n.properties()) {
      ProjectInfo.Entry entry =
          ProjectInfo.entries().stream()
              .filter(e -> e.id().equals(said.getKey()))
              .findFirst()
              .orElseThrow(
                  () -> new IllegalArgumentException("\"" + said.getKey() + "\" is not known"));
      if (!said.getValue().isTextual()) {
        throw new IllegalArgumentException("\"" + said.getKey() + "\" is no text");
      }
      out = entry.with().of(out, said.getValue().asText());
    }
    return out;
  }

  /** Names tell things apart: a second one of a name would be lost at the first edit. */
  private static void alone(Members n, String list, List<String> names) {
    Map<String, Integer> count = new HashMap<>();
    names.forEach(s -> count.merge(s, 1, Integer::sum));
    count.forEach(
        (name, c) -> {
          if (c > 1) {
            n.note(list, c + " of them are called \"" + name + "\"");
          }
        });
  }

  private static Source source(Members s) {
    List<Revision> revisions = s.objects("revisions", JobReading::revision);
    if (revisions.isEmpty()) {
      throw new IllegalArgumentException("it has no revision that can be read");
    }
    return new Source(
        s.text("name"),
        revisions,
        s.value("placement", SourcePlacement.SHARED, v -> PlacementJson.placement(object(v))),
        s.value("reading", ReadingRule.AS_FOUND, v -> ReadingRuleJson.read(object(v))));
  }

  private static Revision revision(Members r) {
    return new Revision(
        r.text("label"),
        r.text("file"),
        r.text("stored"),
        r.text("sha256"),
        r.whole("bytes"),
        Instant.parse(r.text("received")),
        r.map("beside", JobReading::text));
  }

  private static ItemSettings settings(Members v) {
    Optional<EntityClass> chosen =
        v.has("entity")
            ? Optional.of(new EntityClass(v.text("entity"), v.text("predefinedType", "")))
            : Optional.empty();
    return new ItemSettings(
        v.truth("visible", true), chosen, v.map("attributes", JobReading::text));
  }

  private static Delivery delivery(Members d) {
    // up to version 2 there were models only, told by their schema
    String format = d.text(d.has("format") ? "format" : "schema");
    String unit = d.text("unit");
    return new Delivery(
        d.text("name"),
        d.text("receiver", ""),
        DeliveryFormat.named(format)
            .orElseThrow(() -> new IllegalArgumentException("format " + format)),
        LinearUnit.named(unit).orElseThrow(() -> new IllegalArgumentException("unit " + unit)),
        d.value("zero", new LocalZero.BasePoint(), JobReading::zero),
        d.text("file"),
        new TreeSet<>(d.list("heldBack", id -> new ItemId(text(id)))),
        d.value("chainages", Optional.empty(), n -> Optional.of(range(n))),
        d.value("split", Optional.empty(), n -> Optional.of(Split.named(text(n)))));
  }

  private static ChainageRange range(JsonNode n) {
    if (!n.isArray() || n.size() != 2) {
      throw new IllegalArgumentException("chainages " + n);
    }
    return new ChainageRange(
        end(n.get(0), Double.NEGATIVE_INFINITY), end(n.get(1), Double.POSITIVE_INFINITY));
  }

  private static double end(JsonNode n, double open) {
    if (!n.isNull() && !n.isNumber()) {
      throw new IllegalArgumentException("chainage " + n);
    }
    return n.isNull() ? open : n.doubleValue();
  }

  private static String text(JsonNode v) {
    if (!v.isTextual()) {
      throw new IllegalArgumentException("no text");
    }
    return v.textValue();
  }

  private static JsonNode object(JsonNode v) {
    if (!v.isObject()) {
      throw new IllegalArgumentException("no object");
    }
    return v;
  }

  private static LocalZero zero(JsonNode n) {
    if (n.isArray()) {
      return new LocalZero.Own(PlacementJson.position(n));
    }
    return switch (text(n)) {
      case "shared" -> new LocalZero.Shared();
      case "base point" -> new LocalZero.BasePoint();
      default -> throw new IllegalArgumentException("zero " + n);
    };
  }
}
