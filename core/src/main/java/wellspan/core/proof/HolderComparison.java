package wellspan.core.proof;

import static wellspan.core.finding.Stop.DELIVER;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.HolderClasses;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.proof.Difference.What;
import wellspan.core.schema.IfcSchema;

/**
 * Compares what holds items: project and site, levels, assemblies, groups and types. Each is looked
 * at once, whoever is in it.
 */
final class HolderComparison {
  private final IfcSchema schema;
  private final Set<String> items;
  private final List<Difference> differences = new ArrayList<>();
  private final List<String> mismatches = new ArrayList<>();
  private final Set<List<Holder>> seen = new HashSet<>();
  private final List<String> untyped = new ArrayList<>();
  private int equal;

  /**
   * @param schema that things were sent in
   * @param items GlobalIds of levels that are items themselves, which are compared as such
   */
  HolderComparison(IfcSchema schema, Set<String> items) {
    this.schema = schema;
    this.items = items;
  }

  /**
   * Gives what was found.
   *
   * @param sentences takes properties that did not arrive as sent
   * @return number of properties that arrived as sent
   */
  int into(List<Difference> found, List<String> sentences) {
    found.addAll(differences);
    sentences.addAll(mismatches);
    return equal;
  }

  /** What is lost, and may be. */
  Optional<Finding> loss() {
    return untyped.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Finding.note(
                    DELIVER,
                    "deliver.type",
                    "",
                    (untyped.size() == 1
                            ? untyped.getFirst() + " goes without its type: "
                            : untyped.size()
                                + " things, the first "
                                + untyped.getFirst()
                                + ", go without their types: ")
                        + schema.title()
                        + " has none for what they go as.")
                .withFigure(Figure.count(untyped.size())));
  }

  /** Project and site of the file. */
  void root(Parcel sent, Optional<ModelRoot> arrived) {
    if (arrived.isEmpty()) {
      differences.add(Difference.of(What.STRUCTURE, "", "The file holds no project."));
      return;
    }
    ModelRoot there = arrived.get();
    Optional<ModelRoot> here = sent.root();
    here.ifPresent(r -> levels(r.levels(), there.levels()));
    named("The project", sent.project(), there.project().name());
    here.ifPresent(r -> said("The project", r.project(), there.project()));
    if (there.site().isEmpty()) {
      differences.add(Difference.of(What.STRUCTURE, "", "The file holds no site."));
      return;
    }
    String site = sent.info().site().isEmpty() ? sent.project() : sent.info().site();
    named("The site", site, there.site().get().name());
    here.flatMap(ModelRoot::site).ifPresent(s -> said("The site", s, there.site().get()));
  }

  private void levels(List<List<Holder>> sent, List<List<Holder>> arrived) {
    Map<List<Holder>, Holder> there = new HashMap<>();
    arrived.forEach(path -> there.put(bare(path), path.getLast()));
    for (List<Holder> path : sent) {
      Holder level = path.getLast();
      Holder came = there.get(bare(path));
      if (came == null) {
        differs("", level + " is a level that was sent and did not arrive.");
      } else if (seen.add(bare(path))) {
        said(level.toString(), level, came);
      }
    }
  }

  private static List<Holder> bare(List<Holder> path) {
    return path.stream().map(Holder::bare).toList();
  }

  /** What an item stands in, is a member of and is of. */
  void of(String item, Description sent, Description arrived) {
    for (int i = 0; i < Math.min(sent.structure().size(), arrived.structure().size()); i++) {
      Holder here = sent.structure().get(i);
      Holder there = arrived.structure().get(i);
      if (!items.contains(here.globalId())
          && here.bare().equals(there.bare())
          && seen.add(bare(sent.structure().subList(0, i + 1)))) {
        said(here.toString(), here, there);
      }
    }
    groups(item, sent.groups(), arrived.groups());
    if (sent.type().isPresent()) {
      type(item, sent.type().get(), arrived.type());
    }
  }

  /**
   * The same of files of which nobody knows how one was made of the other, and maybe in another
   * schema: what has the same name says the same, and no membership is lost.
   */
  void loosely(String item, Description sent, Description arrived) {
    for (int i = 0; i < Math.min(sent.structure().size(), arrived.structure().size()); i++) {
      Holder here = sent.structure().get(i);
      Holder there = arrived.structure().get(i);
      if (!here.name().equals(there.name())) {
        break;
      }
      if (seen.add(bare(sent.structure().subList(0, i + 1)))) {
        alike(here, there);
      }
    }
    for (Holder g : sent.groups()) {
      Optional<Holder> there =
          arrived.groups().stream().filter(a -> a.name().equals(g.name())).findFirst();
      if (there.isEmpty()) {
        differs(item, item + " was sent as a member of " + g + " and did not arrive in it.");
      } else if (seen.add(List.of(g.bare()))) {
        alike(g, there.get());
      }
    }
    if (sent.type().isPresent()) {
      type(item, sent.type().get(), arrived.type());
    }
  }

  /** Project, site and levels, where they have the same names. */
  void loosely(Optional<ModelRoot> sent, Optional<ModelRoot> arrived) {
    if (sent.isEmpty() || arrived.isEmpty()) {
      return;
    }
    loosely(sent.get().project(), arrived.get().project());
    sent.get().site().ifPresent(s -> arrived.get().site().ifPresent(a -> loosely(s, a)));
    Map<String, Holder> there = new HashMap<>();
    arrived.get().levels().forEach(path -> there.put(names(path), path.getLast()));
    for (List<Holder> path : sent.get().levels()) {
      Holder came = there.get(names(path));
      if (came != null && seen.add(bare(path))) {
        alike(path.getLast(), came);
      }
    }
  }

  private void loosely(Holder sent, Holder arrived) {
    if (sent.name().equals(arrived.name())) {
      alike(sent, arrived);
    }
  }

  private static String names(List<Holder> path) {
    return path.stream().map(Holder::name).collect(Collectors.joining("\u0000"));
  }

  /** What an entity says by itself depends on its class. */
  private void alike(Holder sent, Holder arrived) {
    boolean same = sent.entityClass().equals(arrived.entityClass());
    said(
        sent.toString(),
        same ? sent : sent.saying(sent.propertySets(), Map.of()),
        same ? arrived : arrived.saying(arrived.propertySets(), Map.of()));
  }

  private void groups(String item, List<Holder> sent, List<Holder> arrived) {
    List<Holder> more = new ArrayList<>(arrived);
    for (Holder g : sent) {
      Optional<Holder> there = more.stream().filter(a -> a.bare().equals(g.bare())).findFirst();
      if (there.isEmpty()) {
        differs(item, item + " was sent as a member of " + g + " and did not arrive in it.");
        continue;
      }
      more.remove(there.get());
      if (seen.add(List.of(g.bare()))) {
        said(g.toString(), g, there.get());
      }
    }
    more.forEach(
        g -> differs(item, item + " arrived as a member of " + g + " and was not sent in it."));
  }

  /**
   * Of what class a type is follows from that of its occurrences; where these are of several, all
   * types but the first are new ones with a number behind their name.
   */
  private void type(String item, Holder sent, Optional<Holder> arrived) {
    if (arrived.isEmpty()) {
      untyped.add(item); // not every class has types in every schema
      return;
    }
    String name = arrived.get().name();
    if (name.equals(sent.name())) {
      if (seen.add(List.of(sent.bare()))) {
        Holder as = sent.as(arrived.get().entityClass());
        said("The type " + name, HolderClasses.fitting(as, schema), arrived.get());
      }
    } else if (!name.startsWith(sent.name() + " (")) {
      differences.add(
          Difference.of(
              What.TYPE,
              item,
              item + " was sent of the type " + sent.name() + " and arrived of " + name + "."));
    }
  }

  private void differs(String item, String message) {
    differences.add(Difference.of(What.STRUCTURE, item, message));
  }

  private void named(String what, String sent, String arrived) {
    if (!sent.equals(arrived)) {
      differences.add(
          Difference.of(
              What.NAME, "", what + " was sent as " + sent + " and arrived as " + arrived + "."));
    }
  }

  /** Identity and properties, where any were sent. */
  void said(String what, Holder sent, Holder arrived) {
    if (!sent.globalId().isEmpty() && !sent.globalId().equals(arrived.globalId())) {
      differences.add(
          Difference.of(
              What.ID,
              sent.name(),
              what
                  + " was sent with the GlobalId "
                  + sent.globalId()
                  + " and arrived with "
                  + arrived.globalId()
                  + "."));
    }
    Said said = new Said(what);
    said.properties(
        Description.of(sent.propertySets(), Optional.empty()),
        Description.of(arrived.propertySets(), Optional.empty()),
        false,
        false);
    said.attributes(sent.attributes(), arrived.attributes());
    differences.addAll(said.differences());
    mismatches.addAll(said.mismatches());
    equal += said.equal();
  }
}
