package wellspan.cli;

import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.exchange.intake.Intake;

/** What can be read and written, at the end of the help of those who do, from the lists. */
final class FormatHelp {
  private FormatHelp() {}

  /** Adds it to a command, if it is one of them. */
  static void tell(String name, CommandLine command) {
    List<String> lines = new ArrayList<>();
    if (name.equals("convert")) {
      lines.addAll(List.of("", "Written, by the ending of OUT:"));
      lines.addAll(written());
    }
    if (name.equals("convert") || name.equals("inspect")) {
      lines.addAll(List.of("", "Read, by what a file holds:"));
      Intake.titles().forEach(t -> lines.add("  " + t));
    }
    if (!lines.isEmpty()) {
      command.getCommandSpec().usageMessage().footer(lines.toArray(String[]::new));
    }
  }

  private static List<String> written() {
    List<String> out = new ArrayList<>();
    String last = "";
    for (DeliveryFormat f : DeliveryFormat.all()) {
      String endings = String.join(" ", f.endings());
      out.add(String.format("  %-14s %s", endings.equals(last) ? "" : endings, f.title()));
      last = endings;
    }
    return out;
  }
}
