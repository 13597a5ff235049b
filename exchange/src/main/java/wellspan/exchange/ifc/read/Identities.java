package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.finding.Finding;

/** GlobalIds that are none, and those that several products share. */
final class Identities {
  private static final int LENGTH = 22;

  private final Map<String, Instance> byGlobalId = new HashMap<>();
  private final List<Finding> findings;

  Identities(List<Finding> findings) {
    this.findings = findings;
  }

  /** 128 bits in letters of six bits each, two in the first. */
  private static boolean isOne(String id) {
    if (id.length() != LENGTH || id.charAt(0) < '0' || id.charAt(0) > '3') {
      return false;
    }
    for (int i = 1; i < LENGTH; i++) {
      char c = id.charAt(i);
      boolean letter = c >= 'A' && c <= 'Z' || c >= 'a' && c <= 'z';
      if (!letter && !(c >= '0' && c <= '9') && c != '_' && c != '$') {
        return false;
      }
    }
    return true;
  }

  /** Looks at the id of one more product. */
  void take(Instance p) {
    String id = p.text("GlobalId");
    if (!isOne(id)) {
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
