package wellspan.core.deliver;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * What a model says of the project besides its name. Texts are empty where nothing is stated.
 *
 * @param author person who answers for the file
 * @param organisation that the author is of
 * @param authorisation who released the file, as it stands in its head
 * @param phase of the project, such as {@code detailed design}
 * @param site name of the site; that of the project if not stated
 * @param facility name of the road or other work; {@code Road} if not stated
 */
public record ProjectInfo(
    String author,
    String organisation,
    String authorisation,
    String phase,
    String site,
    String facility) {
  public static final ProjectInfo NONE = new ProjectInfo("", "", "", "", "", "");

  /** What is left out of a file is not stated. */
  public ProjectInfo {
    author = stated(author);
    organisation = stated(organisation);
    authorisation = stated(authorisation);
    phase = stated(phase);
    site = stated(site);
    facility = stated(facility);
  }

  private static String stated(String s) {
    return s == null ? "" : s.strip();
  }

  /** One of its texts. */
  public record Entry(
      String id, String label, String example, Function<ProjectInfo, String> of, Setter with) {}

  /** Puts another text in the place of one. */
  public interface Setter {
    ProjectInfo of(ProjectInfo p, String text);
  }

  /** All of them, in the order in which they are asked for. */
  public static List<Entry> entries() {
    List<Entry> out = new ArrayList<>();
    out.add(
        new Entry(
            "author",
            "author",
            "R. Example",
            ProjectInfo::author,
            (p, t) ->
                new ProjectInfo(t, p.organisation, p.authorisation, p.phase, p.site, p.facility)));
    out.add(
        new Entry(
            "organisation",
            "organisation",
            "Example Roads",
            ProjectInfo::organisation,
            (p, t) -> new ProjectInfo(p.author, t, p.authorisation, p.phase, p.site, p.facility)));
    out.add(
        new Entry(
            "authorisation",
            "released by",
            "head of design",
            ProjectInfo::authorisation,
            (p, t) -> new ProjectInfo(p.author, p.organisation, t, p.phase, p.site, p.facility)));
    out.add(
        new Entry(
            "phase",
            "phase",
            "detailed design",
            ProjectInfo::phase,
            (p, t) ->
                new ProjectInfo(p.author, p.organisation, p.authorisation, t, p.site, p.facility)));
    out.add(
        new Entry(
            "site",
            "site",
            "North shore",
            ProjectInfo::site,
            (p, t) ->
                new ProjectInfo(
                    p.author, p.organisation, p.authorisation, p.phase, t, p.facility)));
    out.add(
        new Entry(
            "facility",
            "road or work",
            "Harbour road",
            ProjectInfo::facility,
            (p, t) ->
                new ProjectInfo(p.author, p.organisation, p.authorisation, p.phase, p.site, t)));
    return out;
  }
}
