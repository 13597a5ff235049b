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
import wellspan.core.describe.EntityClass;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.unit.LinearUnit;

/** The text of {@code job.json}: readable, in a stable order, with the version of its shape. */
final class JobJson {
  /** Raised when the shape changes so that earlier programs cannot read it. */
  static final int VERSION = 1;

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
    Frame f = job.frame();
    ObjectNode frame = n.putObject("frame");
    frame.put("crs", f.crs()).put("verticalDatum", f.verticalDatum());
    frame
        .putArray("basePoint")
        .add(f.basePoint().east())
        .add(f.basePoint().north())
        .add(f.basePoint().height());
    frame.put("rotation", f.rotationDegrees()).put("lock", f.lock());
    ArrayNode sources = n.putArray("sources");
    for (Source s : job.sources()) {
      ArrayNode revisions = sources.addObject().put("name", s.name()).putArray("revisions");
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
      ArrayNode held =
          deliveries
              .addObject()
              .put("name", d.name())
              .put("receiver", d.receiver())
              .put("schema", d.schema())
              .put("unit", d.unit().symbol())
              .put("file", d.fileName())
              .putArray("heldBack");
      new TreeSet<>(d.heldBack()).forEach(id -> held.add(id.value()));
    }
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
      JsonNode f = need(n, "frame");
      JsonNode b = need(f, "basePoint");
      Frame frame =
          new Frame(
              f.path("crs").asText(""),
              f.path("verticalDatum").asText(""),
              new Position(number(b.path(0)), number(b.path(1)), number(b.path(2))),
              number(need(f, "rotation")),
              f.path("lock").asText(""));
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
        sources.add(new Source(text(s, "name"), revisions));
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
                text(d, "schema"),
                unit,
                text(d, "file"),
                held));
      }
      return new Job(
          UUID.fromString(text(n, "id")), text(n, "name"), frame, sources, settings, deliveries);
    } catch (IllegalArgumentException | DateTimeParseException e) {
      throw new JobException(
          where
              + ": the job file is damaged ("
              + e.getMessage()
              + "). Restore an earlier copy of it.",
          e);
    }
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

  private static double number(JsonNode n) {
    if (!n.isNumber()) {
      throw new IllegalArgumentException("a number is missing or not a number");
    }
    return n.asDouble();
  }
}
