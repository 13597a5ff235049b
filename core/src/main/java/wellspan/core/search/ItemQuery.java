package wellspan.core.search;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wellspan.core.attribute.Holder;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.describe.Networks;
import wellspan.core.finding.Finding;
import wellspan.core.geom.OnceAsked;
import wellspan.core.item.ItemId;
import wellspan.core.schema.IfcSchema;

/**
 * A search as it is typed: words, all of which have to stand in the name, kind, layer or source of
 * an item, and terms such as {@code kind:body}, {@code layer:"Kerb left"}, {@code has:finding} or
 * {@code in:delivery} ({@code in:Handover} for one of them). Letters of either case.
 *
 * @param terms all of which have to hold
 */
public record ItemQuery(List<Term> terms) {
  private static final Pattern TERM = Pattern.compile("(?:(\\w+):)?(?:\"([^\"]*)\"?|(\\S+))");

  /**
   * One of the terms.
   *
   * @param facet empty for a word that may stand anywhere
   * @param text in lower case
   */
  public record Term(Optional<Facet> facet, String text) {}

  public ItemQuery {
    terms = List.copyOf(terms);
  }

  /** Whatever is typed is a search; a word before a colon that is no facet is a word. */
  public static ItemQuery of(String typed) {
    List<Term> out = new ArrayList<>();
    Matcher m = TERM.matcher(typed);
    while (m.find()) {
      String text = m.group(2) != null ? m.group(2) : m.group(3);
      Optional<Facet> facet = Optional.ofNullable(m.group(1)).flatMap(Facet::named);
      String whole = m.group(1) == null || facet.isPresent() ? text : m.group(1) + ":" + text;
      if (!whole.isEmpty()) {
        out.add(new Term(facet, whole.toLowerCase(Locale.ROOT)));
      }
    }
    return new ItemQuery(out);
  }

  public boolean isEmpty() {
    return terms.isEmpty();
  }

  /**
   * Which items of a build are meant.
   *
   * @param findings of the job
   */
  public Predicate<Build.BuiltItem> on(Build build, List<Finding> findings) {
    Set<ItemId> found = new HashSet<>();
    Set<String> named = new HashSet<>();
    for (Finding f : findings) {
      f.subject().ifPresentOrElse(found::add, () -> named.add(f.item()));
    }
    Asked asked = new Asked(build, found, named, new OnceAsked<>());
    return item ->
        terms.stream()
            .allMatch(
                t ->
                    t.facet().isEmpty()
                        ? anywhere(item, t.text())
                        : holds(t.facet().get(), t.text(), item, asked));
  }

  private static boolean anywhere(Build.BuiltItem i, String text) {
    return has(i.item().name(), text)
        || has(i.item().kind().title(), text)
        || has(i.item().layer(), text)
        || has(i.source(), text);
  }

  /** What items are asked against; where they stand is worked out only if a term asks for it. */
  private record Asked(
      Build build, Set<ItemId> found, Set<String> named, OnceAsked<StandsIn> parts) {
    String standsIn(Build.BuiltItem i) {
      return parts.get(() -> new StandsIn(build)).of(i);
    }
  }

  private static boolean holds(Facet facet, String text, Build.BuiltItem i, Asked asked) {
    Build build = asked.build();
    return switch (facet) {
      case KIND -> has(i.item().kind().title(), text) || has(i.item().kind().id(), text);
      case LAYER -> has(i.item().layer(), text);
      case SOURCE -> has(i.source(), text);
      case CLASS -> has(build.classOf(i, IfcSchema.IFC4X3).entity(), text);
      case MATERIAL -> has(i.item().attributes().material(), text);
      case HAS ->
          "finding".startsWith(text)
              && (asked.found().contains(i.id()) || asked.named().contains(i.item().name()));
      case PART -> has(asked.standsIn(i), text);
      case GROUP -> has(Networks.namesOf(i.item()), text);
      case TYPE -> has(i.item().said().type().map(Holder::name).orElse(""), text);
      case IN -> build.job().deliveries().stream().anyMatch(d -> in(build, d, text, i));
    };
  }

  private static boolean in(Build build, Delivery d, String text, Build.BuiltItem i) {
    return ("delivery".startsWith(text) || has(d.name(), text)) && build.sends(d, i);
  }

  private static boolean has(String value, String text) {
    return value.toLowerCase(Locale.ROOT).contains(text);
  }
}
