package wellspan.cli;

import picocli.CommandLine.Option;
import wellspan.core.deliver.ProjectInfo;

/** What a written model says of the project. */
final class ProjectOptions {
  @Option(names = "--author", paramLabel = "NAME", description = "who answers for the file")
  private String author;

  @Option(names = "--organisation", paramLabel = "NAME", description = "of the author")
  private String organisation;

  @Option(names = "--authorisation", paramLabel = "NAME", description = "who released the file")
  private String authorisation;

  @Option(names = "--phase", paramLabel = "NAME", description = "phase of the project")
  private String phase;

  @Option(names = "--site", paramLabel = "NAME", description = "name of the site")
  private String site;

  @Option(names = "--facility", paramLabel = "NAME", description = "name of the road or other work")
  private String facility;

  ProjectInfo info() {
    return new ProjectInfo(author, organisation, authorisation, phase, site, facility);
  }
}
