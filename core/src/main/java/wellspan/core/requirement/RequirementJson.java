package wellspan.core.requirement;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** The report of a check as JSON. */
public final class RequirementJson {
  private RequirementJson() {}

  public static ObjectNode node(RequirementReport report) {
    ObjectNode out = JsonNodeFactory.instance.objectNode();
    out.put("title", report.title());
    out.put("pass", report.pass());
    ArrayNode all = out.putArray("specifications");
    for (RequirementReport.Result r : report.results()) {
      ObjectNode s = all.addObject();
      s.put("name", r.specification().name());
      s.put("pass", r.pass());
      if (r.skipped()) {
        s.put("skipped", true);
      }
      s.put("applicable", r.applicable());
      s.put("passed", r.passed());
      s.put("failed", r.failures().size());
      if (!r.note().isEmpty()) {
        s.put("note", r.note());
      }
      ArrayNode failures = s.putArray("failures");
      for (RequirementReport.Failure f : r.failures()) {
        ObjectNode one = failures.addObject();
        one.put("id", f.object().globalId());
        one.put("class", f.object().entity());
        one.put("name", f.object().name());
        one.put("reason", f.reason());
      }
    }
    return out;
  }
}
