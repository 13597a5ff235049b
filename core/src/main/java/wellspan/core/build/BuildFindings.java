package wellspan.core.build;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.FrameChecks;
import wellspan.core.job.Source;
import wellspan.core.place.Contradictions;
import wellspan.core.place.PlacementChecks;
import wellspan.core.place.SourcePlacement;

/** What the checks find in a build, in the order of the stops. */
final class BuildFindings {
  private BuildFindings() {}

  static List<Finding> of(Build build) {
    List<Finding> all = new ArrayList<>();
    build
        .received()
        .forEach(
            (source, r) -> {
              all.addAll(r.findings());
              all.addAll(Contradictions.check(source, r.places()));
              all.addAll(
                  PlacementChecks.check(
                      source,
                      build.raw().get(source),
                      build
                          .job()
                          .source(source)
                          .map(Source::placement)
                          .orElse(SourcePlacement.SHARED),
                      build.job().frame(),
                      build.reference(source)));
            });
    all.addAll(FrameChecks.check(build.job().frame(), build.bounds()));
    build.tallies().forEach(t -> all.addAll(t.findings(Stop.PLACE)));
    all.addAll(build.results().findings());
    all.addAll(RuleFindings.of(build));
    return List.copyOf(all);
  }
}
