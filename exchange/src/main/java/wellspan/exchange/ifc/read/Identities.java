package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import wellspan.core.finding.Finding;

/** GlobalIds that are none, and those that several products share. */
final class Identities {
  private static final Pattern GLOBAL_ID = Pattern.compile("[0-3][0-9A-Za-z_$]{21}");

  private final Map<String, Instance> byGlobalId = new HashMap<>();
  private final List<Finding> findings;

  Identities(List<Finding> findings) {
    this.findings = findings;
  }

  /** Looks at the id of one more product. */
  void take(Instance p) {
    String id = p.text("GlobalId");
    if (!GLOBAL_ID.matcher(id).matches()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.id",
              IfcReader.nameOf(p),
              IfcReader.nameOf(p)
                  + " (#"
                  + p.id()
                  + ") has the GlobalId '"
                  + id
                  + "', which is none."));
      return;
    }
    Instance other = byGlobalId.putIfAbsent(id, p);
    if (other != null) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.id.twice",
              IfcReader.nameOf(p),
              IfcReader.nameOf(p)
                  + " (#"
                  + p.id()
                  + ") and "
                  + IfcReader.nameOf(other)
                  + " (#"
                  + other.id()
                  + ") have the same GlobalId "
                  + id
                  + "."));
    }
  }
}
