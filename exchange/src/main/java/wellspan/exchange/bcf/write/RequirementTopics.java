package wellspan.exchange.bcf.write;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import wellspan.core.receive.Received;
import wellspan.core.requirement.RequirementReport;

/** Makes topics of the specifications that a model does not fulfil, each with a view from above. */
public final class RequirementTopics {
  private static final double LEAST = 5;

  private final FromAbove above;

  private RequirementTopics(Received model) {
    above = new FromAbove(model.items(), i -> i.said().globalId(), model.frame());
  }

  /**
   * @param model the checked file with its shapes
   */
  public static List<BcfTopic> of(RequirementReport report, Received model) throws IOException {
    RequirementTopics make = new RequirementTopics(model);
    List<BcfTopic> out = new ArrayList<>();
    for (RequirementReport.Result r : report.results()) {
      if (!r.pass()) {
        out.add(make.topic(report, r));
      }
    }
    return out;
  }

  private BcfTopic topic(RequirementReport report, RequirementReport.Result r) throws IOException {
    String name = report.title() + "\u0000" + r.specification().name();
    Set<String> failed = new HashSet<>();
    List<String> ids = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    if (!r.note().isEmpty()) {
      text.append(r.note());
    }
    for (RequirementReport.Failure f : r.failures()) {
      if (f.object().globalId().length() == 22 && failed.add(f.object().globalId())) {
        ids.add(f.object().globalId());
      }
      text.append(text.isEmpty() ? "" : "\n")
          .append(f.object().name().isEmpty() ? f.object().globalId() : f.object().name())
          .append(": ")
          .append(f.reason());
    }
    BcfTopic.Viewpoint view = above.view(failed, Optional.empty(), LEAST);
    return new BcfTopic(
        "Requirement",
        UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)),
        r.specification().name().isBlank() ? "Specification" : r.specification().name(),
        text.toString(),
        ids,
        view,
        above.picture(failed, Optional.empty(), view));
  }
}
