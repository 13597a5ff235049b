package wellspan.core.job;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.describe.EntityClass;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.item.ItemId;
import wellspan.core.place.PlacementJson;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.ReadingRuleJson;
import wellspan.core.step.Recipe;
import wellspan.core.step.RecordedStep;
import wellspan.core.step.StepJson;
import wellspan.core.unit.LinearUnit;

/** The text of {@code job.json}: readable, in a stable order, with the version of its shape. */
final class JobJson {
  /** Raised when the shape changes so that earlier programs cannot read it. */
  static final int VERSION = 3;

  private static final ObjectMapper JSON =
      new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

  private JobJson() {}

  static String write(Job job) {
    try {
      return JSON.writeValueAsString(node(job)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a tree of plain values can always be written", e);
    }
  }

  static ObjectNode node(Job job) {
    ObjectNode n = JSON.createObjectNode();
    n.put("wellspan", VERSION);
    n.put("id", job.id().toString());
    n.put("name", job.name());
    n.set("frame", FrameJson.node(job.frame()));
    ArrayNode sources = n.putArray("sources");
    for (Source s : job.sources()) {
      ObjectNode source = sources.addObject().put("name", s.name());
      if (!s.placement().equals(SourcePlacement.SHARED)) {
        source.set("placement", PlacementJson.node(s.placement()));
      }
      ReadingRuleJson.node(s.reading()).ifPresent(r -> source.set("reading", r));
      ArrayNode revisions = source.putArray("revisions");
      for (Revision r : s.revisions()) {
        revisions
            .addObject()
            .put("label", r.label())
            .put("file", r.fileName())
            .put("stored", r.storedAs())
            .put("sha256", r.sha256())
            .put("bytes", r.bytes())
            .put("received", r.receivedAt().toString());
      }
    }
    ObjectNode items = n.putObject("items");
    job.settings()
        .forEach(
            (id, s) -> {
              ObjectNode o = items.putObject(id.value()).put("visible", s.visible());
              s.entityClass()
                  .ifPresent(
                      c -> o.put("entity", c.entity()).put("predefinedType", c.predefinedType()));
            });
    ArrayNode deliveries = n.putArray("deliveries");
    for (Delivery d : job.deliveries()) {
      ObjectNode o =
          deliveries
              .addObject()
              .put("name", d.name())
              .put("receiver", d.receiver())
              .put("format", d.format().id())
              .put("unit", d.unit().symbol());
      switch (d.zero()) {
        case LocalZero.Shared z -> o.put("zero", "shared");
        case LocalZero.BasePoint z -> o.put("zero", "base point");
        case LocalZero.Own z -> o.set("zero", PlacementJson.position(z.zero()));
      }
      ArrayNode held = o.put("file", d.fileName()).putArray("heldBack");
      new TreeSet<>(d.heldBack()).forEach(id -> held.add(id.value()));
    }
    n.set("control", PlacementJson.node(job.control()));
    n.set("marks", PlacementJson.node(job.marks()));
    ArrayNode recipes = n.putArray("recipes");
    job.recipes().forEach(r -> recipes.add(StepJson.node(r)));
    ObjectNode steps = n.putObject("steps");
    job.steps()
        .forEach(
            (id, list) -> {
              ArrayNode of = steps.putArray(id.value());
              list.forEach(s -> of.add(StepJson.node(s)));
            });
    return n;
  }

  /**
   * @param where the file, for messages
   */
  static Job read(String text, String where) throws JobException {
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

  static Job read(JsonNode n, String where) throws JobException {
    int version = n.path("wellspan").asInt(0);
    if (version > VERSION) {
      throw new JobException(
          where
              + " was saved by a newer Wellspan (format "
              + version
              + ", this one reads "
              + VERSION
              + "). Update Wellspan to open it.");
    }
    if (version < 1) {
      throw new JobException(
          where
              + " is not a Wellspan job, or it is damaged: the member \"wellspan\" with the format's version is missing.");
    }
    try {
      Frame frame = FrameJson.read(need(n, "frame"));
      List<Source> sources = new ArrayList<>();
      for (JsonNode s : need(n, "sources")) {
        List<Revision> revisions = new ArrayList<>();
        for (JsonNode r : need(s, "revisions")) {
          revisions.add(
              new Revision(
                  text(r, "label"),
                  text(r, "file"),
                  text(r, "stored"),
                  text(r, "sha256"),
                  r.path("bytes").asLong(),
                  Instant.parse(text(r, "received"))));
        }
        sources.add(
            new Source(
                text(s, "name"),
                revisions,
                PlacementJson.placement(s.path("placement")),
                ReadingRuleJson.read(s.path("reading"))));
      }
      Map<ItemId, ItemSettings> settings = new TreeMap<>();
      for (Map.Entry<String, JsonNode> e : need(n, "items").properties()) {
        JsonNode v = e.getValue();
        Optional<EntityClass> chosen =
            v.has("entity")
                ? Optional.of(
                    new EntityClass(text(v, "entity"), v.path("predefinedType").asText("")))
                : Optional.empty();
        settings.put(
            new ItemId(e.getKey()), new ItemSettings(v.path("visible").asBoolean(true), chosen));
      }
      List<Delivery> deliveries = new ArrayList<>();
      for (JsonNode d : need(n, "deliveries")) {
        Set<ItemId> held = new TreeSet<>();
        d.path("heldBack").forEach(id -> held.add(new ItemId(id.asText())));
        LinearUnit unit =
            LinearUnit.named(text(d, "unit"))
                .orElseThrow(() -> new IllegalArgumentException("unit " + d.path("unit")));
        deliveries.add(
            new Delivery(
                text(d, "name"),
                d.path("receiver").asText(""),
                format(d),
                unit,
                zero(d.path("zero")),
                text(d, "file"),
                held));
      }
      List<Recipe> recipes = new ArrayList<>();
      n.path("recipes").forEach(r -> recipes.add(StepJson.recipe(r)));
      Map<ItemId, List<RecordedStep>> steps = new TreeMap<>();
      for (Map.Entry<String, JsonNode> e : n.path("steps").properties()) {
        List<RecordedStep> list = new ArrayList<>();
        e.getValue().forEach(s -> list.add(StepJson.step(s)));
        steps.put(new ItemId(e.getKey()), list);
      }
      return new Job(
          UUID.fromString(text(n, "id")),
          text(n, "name"),
          frame,
          sources,
          settings,
          deliveries,
          PlacementJson.control(n.path("control")),
          PlacementJson.marks(n.path("marks")),
          recipes,
          steps);
    } catch (IllegalArgumentException | DateTimeParseException e) {
      throw new JobException(
          where
              + ": the job file is damaged ("
              + e.getMessage()
              + "). Restore an earlier copy of it.",
          e);
    }
  }

  /** Up to version 2 there were models only, told by their schema. */
  private static DeliveryFormat format(JsonNode d) {
    String id = text(d, d.has("format") ? "format" : "schema");
    return DeliveryFormat.named(id).orElseThrow(() -> new IllegalArgumentException("format " + id));
  }

  private static LocalZero zero(JsonNode n) {
    if (n.isArray()) {
      return new LocalZero.Own(PlacementJson.position(n));
    }
    return n.asText("base point").equals("shared")
        ? new LocalZero.Shared()
        : new LocalZero.BasePoint();
  }

  private static JsonNode need(JsonNode n, String name) {
    JsonNode v = n.get(name);
    if (v == null) {
      throw new IllegalArgumentException("\"" + name + "\" is missing");
    }
    return v;
  }

  private static String text(JsonNode n, String name) {
    return need(n, name).asText();
  }
}
