package wellspan.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wellspan.core.choice.Choice;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Parameters;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.replay.OperationJson;
import wellspan.core.replay.Operations;
import wellspan.core.typical.CrossfallTable;
import wellspan.core.typical.TypicalSection;

/** What operations do and need, from what they declare. */
final class OperationHelp {
  private OperationHelp() {}

  /** One line for each. */
  static void all(PrintWriter out) {
    out.println("Steps, for --add:");
    Operations.steps().forEach(o -> line(out, o));
    out.println("Recipes, for --make:");
    Operations.recipes().forEach(o -> line(out, o));
    out.println("Parameters of one: wellspan shape --help NAME");
  }

  private static void line(PrintWriter out, Class<? extends Operation> o) {
    Declared d = Operations.declared(o);
    out.printf("  %-22s %s%n", d.id(), d.about());
  }

  /**
   * The parameters of one operation, and how it is written.
   *
   * @throws IllegalArgumentException with a sentence, if there is none of this name
   */
  static void of(String id, PrintWriter out) {
    Class<? extends Operation> o =
        Operations.named(id.strip().toLowerCase(Locale.ROOT))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "There is no operation \""
                            + id
                            + "\"; there are "
                            + Operations.all()
                                .map(x -> Operations.declared(x).id())
                                .collect(Collectors.joining(", "))
                            + "."));
    Declared d = Operations.declared(o);
    boolean step = Step.class.isAssignableFrom(o);
    out.println(d.id() + ": " + d.about());
    if (step) {
      out.println("For " + words(d.accepts()) + ".");
    }
    for (Parameters.Of p : Parameters.of(o)) {
      out.printf(
          "  %-12s %s%s%s%s%s%n",
          p.name(),
          p.words(),
          Parameters.isLimited(p.declared()) ? ", " + Parameters.range(p.declared()) : "",
          p.declared().takes().length == 0 || p.type() == boolean.class
              ? ""
              : ", " + words(p.declared().takes()),
          choices(p),
          p.optional() ? "; " + p.declared().usual() + " if left out" : "");
    }
    out.println(
        (step ? "--add" : "--make")
            + " '{\""
            + (step ? "step" : "recipe")
            + "\":\""
            + d.id()
            + "\""
            + Parameters.of(o).stream()
                .map(p -> ",\"" + p.name() + "\":" + example(p))
                .collect(Collectors.joining())
            + "}'");
  }

  private static String choices(Parameters.Of p) {
    List<String> words = Choice.words(p.type());
    return words.isEmpty() ? "" : ", one of " + String.join(", ", words);
  }

  private static String words(Takes[] some) {
    return Stream.of(some).map(Takes::words).collect(Collectors.joining(" or "));
  }

  private static String example(Parameters.Of p) {
    String start = p.declared().start().isEmpty() ? p.declared().usual() : p.declared().start();
    if (!start.isEmpty() && !start.contains("[]")) {
      return start;
    }
    if (p.type() == ItemId.class) {
      return "\"SOURCE/KIND/NAME\"";
    }
    if (p.type() == Outline.class) {
      return "{\"from\":\"item\",\"source\":\"SOURCE/KIND/NAME\",\"offset\":0}";
    }
    if (p.type() == CrossfallTable.class) {
      return "{\"rows\":[{\"chainage\":120,\"left\":2.5,\"right\":-2.5}]}";
    }
    if (p.type() == TypicalSection.class) {
      return OperationJson.value(TypicalSection.FIRST).toString();
    }
    if (p.type() instanceof Class<?> c && Choice.class.isAssignableFrom(c)) {
      return "\"" + ((Choice) c.getEnumConstants()[0]).word() + "\"";
    }
    return p.type() == String.class
        ? "\"…\""
        : p.type() == double.class ? "0" : "[\"SOURCE/KIND/NAME\"]";
  }
}
