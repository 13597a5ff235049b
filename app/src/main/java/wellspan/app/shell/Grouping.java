package wellspan.app.shell;

import java.util.function.BiFunction;
import wellspan.core.build.Build;
import wellspan.core.schema.IfcSchema;

/** What the items of a stratum are put together by. */
enum Grouping {
  NONE("no groups", (b, i) -> ""),
  SOURCE("by source", (b, i) -> i.source()),
  LAYER("by layer", (b, i) -> i.item().layer()),
  KIND("by kind", (b, i) -> i.item().kind().title()),
  CLASS("by class", (b, i) -> b.classOf(i, IfcSchema.IFC4X3).entity()),
  MATERIAL("by material", (b, i) -> i.item().attributes().material());

  private final String title;
  private final BiFunction<Build, Build.BuiltItem, String> of;

  Grouping(String title, BiFunction<Build, Build.BuiltItem, String> of) {
    this.title = title;
    this.of = of;
  }

  /** The group of an item; empty where it says nothing. */
  String of(Build build, Build.BuiltItem item) {
    return of.apply(build, item);
  }

  @Override
  public String toString() {
    return title;
  }
}
