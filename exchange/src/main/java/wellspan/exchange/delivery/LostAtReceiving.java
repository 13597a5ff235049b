package wellspan.exchange.delivery;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import wellspan.core.build.Build;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Severity;
import wellspan.core.finding.Stop;
import wellspan.core.place.SourcePlacement;

/**
 * What the receipt of a delivery says of errors when its sources were received: those of items that
 * it sends are its own, all others never arrived here.
 */
final class LostAtReceiving {
  private LostAtReceiving() {}

  /** What is in doubt about a whole file, and so about everything that it holds. */
  private static final List<String> DOUBTS =
      List.of("units.", "system.", "ifc.units", "ifc.georeference", "ifc.dangling", "place.failed");

  static List<Finding> of(Build build, Parcel parcel) {
    Set<String> keys = new HashSet<>();
    parcel.pieces().forEach(p -> keys.add(p.key()));
    List<Finding> out = new ArrayList<>();
    build
        .received()
        .forEach(
            (source, r) -> {
              Set<String> sent = new HashSet<>();
              for (Build.BuiltItem i : build.items().values()) {
                if (i.source().equals(source) && keys.contains(i.id().value())) {
                  sent.add(i.item().name());
                }
              }
              boolean settled =
                  build
                      .job()
                      .source(source)
                      .map(s -> !s.placement().equals(SourcePlacement.SHARED))
                      .orElse(false);
              for (Finding f : r.findings()) {
                boolean whole = DOUBTS.stream().anyMatch(f.code()::startsWith);
                boolean told = f.stop() == Stop.RECEIVE || f.code().equals("place.failed");
                if (!f.isError() || !told || whole && settled && f.stop() == Stop.RECEIVE) {
                  continue; // where it lies was said in the job
                }
                out.add(said(source, f, whole ? !sent.isEmpty() : sent.contains(f.item())));
              }
            });
    return out;
  }

  /** Errors of what is sent stay errors; what is not there to be sent is a warning. */
  private static Finding said(String source, Finding f, boolean sent) {
    return new Finding(
        sent ? Severity.ERROR : Severity.WARNING,
        Stop.DELIVER,
        sent ? f.code() : "receive.never-arrived",
        f.item(),
        f.subject(),
        f.place(),
        f.alsoAt(),
        f.figure(),
        (sent ? "" : "Never arrived here: ") + source + ": " + f.message());
  }
}
