package wellspan.core.job;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.TreeSet;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.frame.FrameJson;
import wellspan.core.place.PlacementJson;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.ReadingRuleJson;
import wellspan.core.replay.OperationJson;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;

/** Writes {@code job.json}: readable, in a stable order, with the version of its shape. */
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
        ObjectNode of = revisions.addObject();
        of.put("label", r.label())
            .put("file", r.fileName())
            .put("stored", r.storedAs())
            .put("sha256", r.sha256())
            .put("bytes", r.bytes())
            .put("received", r.receivedAt().toString());
        if (!r.beside().isEmpty()) {
          ObjectNode beside = of.putObject("beside");
          r.beside().forEach(beside::put);
        }
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
              if (!s.attributes().isEmpty()) {
                ObjectNode said = o.putObject("attributes");
                s.attributes().forEach(said::put);
              }
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
      d.range()
          .ifPresent(
              r -> {
                ArrayNode ends = o.putArray("chainages");
                end(ends, r.from());
                end(ends, r.to());
              });
      d.split().ifPresent(split -> o.put("split", split.word()));
    }
    n.set("control", PlacementJson.node(job.control()));
    n.set("marks", PlacementJson.node(job.marks()));
    ArrayNode recipes = n.putArray("recipes");
    job.recipes().forEach(r -> recipes.add(OperationJson.node(r)));
    ObjectNode steps = n.putObject("steps");
    job.steps()
        .forEach(
            (id, list) -> {
              ArrayNode of = steps.putArray(id.value());
              list.forEach(s -> of.add(OperationJson.node(s)));
            });
    if (!job.project().equals(ProjectInfo.NONE)) {
      ObjectNode project = n.putObject("project");
      for (ProjectInfo.Entry e : ProjectInfo.entries()) {
        if (!e.of().apply(job.project()).isEmpty()) {
          project.put(e.id(), e.of().apply(job.project()));
        }
      }
    }
    if (!job.views().isEmpty()) {
      ArrayNode views = n.putArray("views");
      job.views().forEach(v -> views.add(v.node(JSON)));
    }
    if (!job.rulebook().equals(Rulebook.NONE)) {
      n.set("rulebook", RulebookJson.node(job.rulebook()));
    }
    return n;
  }

  /** An end of a range; null where it is open. */
  private static void end(ArrayNode to, double chainage) {
    if (Double.isInfinite(chainage)) {
      to.addNull();
    } else {
      to.add(chainage);
    }
  }
}
