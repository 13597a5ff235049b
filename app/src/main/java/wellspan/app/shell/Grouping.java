package wellspan.app.shell;

import java.util.function.Function;
import wellspan.core.attribute.Holder;
import wellspan.core.build.Build;
import wellspan.core.describe.Networks;
import wellspan.core.schema.IfcSchema;
import wellspan.core.search.StandsIn;

/** What the items of a stratum are put together by. */
enum Grouping {
  NONE("no groups", b -> i -> ""),
  SOURCE("by source", b -> Build.BuiltItem::source),
  LAYER("by layer", b -> i -> i.item().layer()),
  KIND("by kind", b -> i -> i.item().kind().title()),
  STRUCTURE("by road or storey", Grouping::standing),
  GROUP("by system or group", b -> i -> Networks.namesOf(i.item())),
  TYPE("by type", b -> i -> i.item().said().type().map(Holder::name).orElse("")),
  CLASS("by class", b -> i -> b.classOf(i, IfcSchema.IFC4X3).entity()),
  MATERIAL("by material", b -> i -> i.item().attributes().material());

  private final String title;
  private final Function<Build, Function<Build.BuiltItem, String>> on;

  Grouping(String title, Function<Build, Function<Build.BuiltItem, String>> on) {
    this.title = title;
    this.on = on;
  }

  private static Function<Build.BuiltItem, String> standing(Build build) {
    StandsIn structure = new StandsIn(build);
    return i -> structure.of(i).isEmpty() ? "the site itself" : structure.of(i);
  }

  /** The group of each item of a build; empty where it says nothing. */
  Function<Build.BuiltItem, String> on(Build build) {
    return on.apply(build);
  }

  @Override
  public String toString() {
    return title;
  }
}
