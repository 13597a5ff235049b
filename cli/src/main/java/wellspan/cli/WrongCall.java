package wellspan.cli;

import java.util.Arrays;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/** Says what is wrong with a call. */
final class WrongCall {
  private WrongCall() {}

  /**
   * One sentence. An option that is not known comes first: whatever else seems to be missing may be
   * what it was taken for.
   */
  static String sentence(ParameterException e, String[] args) {
    CommandSpec command = e.getCommandLine().getCommandSpec();
    String how =
        " ("
            + (command.parent() == null ? "wellspan" : command.qualifiedName())
            + " --help shows how)";
    List<String> unknown =
        Arrays.stream(args).filter(a -> isOption(a) && !isKnown(command, a)).toList();
    if (!unknown.isEmpty()) {
      return "There is no option "
          + String.join(", ", unknown)
          + "; there is "
          + String.join(
              ", ", command.options().stream().map(o -> o.longestName()).sorted().toList())
          + how;
    }
    return e.getMessage().lines().findFirst().orElse("The call is wrong.") + how;
  }

  private static boolean isOption(String arg) {
    return arg.startsWith("--") && arg.length() > 2
        || arg.length() > 1 && arg.charAt(0) == '-' && Character.isLetter(arg.charAt(1));
  }

  private static boolean isKnown(CommandSpec command, String arg) {
    String name = arg.contains("=") ? arg.substring(0, arg.indexOf('=')) : arg;
    return command.optionsMap().containsKey(name);
  }
}
