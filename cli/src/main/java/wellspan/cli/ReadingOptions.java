package wellspan.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import picocli.CommandLine.Option;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.ReadingRule;
import wellspan.core.unit.LinearUnit;

/** How point lists and clouds are read, where the reader is not to find out by itself. */
final class ReadingOptions {
  @Option(
      names = "--columns",
      paramLabel = "ROLE,…",
      split = ",",
      description =
          "what the columns of a point list hold, from the left: name, easting, northing, height, code, latitude, longitude, or - for none")
  private List<String> columns;

  @Option(
      names = "--separator",
      paramLabel = "comma|semicolon|tab|space",
      description = "between the columns of a point list")
  private String separator = "comma";

  @Option(
      names = "--head-lines",
      paramLabel = "N",
      description = "lines of a point list before its first point")
  private int headLines;

  @Option(
      names = "--list-unit",
      paramLabel = "m|mm|ft|ftUS",
      description = "unit of a point list's numbers")
  private String unit = "m";

  @Option(
      names = "--layer",
      paramLabel = "NAME",
      description = "layer of a drawing that is taken, and no other; can be given several times")
  private List<String> layers;

  @Option(
      names = "--classes",
      paramLabel = "N,…",
      split = ",",
      description = "classes of a point cloud that are taken")
  private List<Integer> classes;

  @Option(names = "--every-nth", paramLabel = "N", description = "takes each N-th point of a cloud")
  private int every = 1;

  @Option(
      names = "--cell",
      paramLabel = "M",
      description = "takes the lowest point of a cloud in each square of M metres")
  private double cell;

  /**
   * @throws IllegalArgumentException with a sentence that names the option
   */
  ReadingRule rule() {
    boolean cloud = classes != null || every != 1 || cell != 0;
    if (layers != null) {
      if (cloud || columns != null) {
        throw new IllegalArgumentException(
            "--layer is for drawings; give it without the options for point lists and clouds.");
      }
      return new ReadingRule.Layers(new TreeSet<>(layers));
    }
    if (columns == null) {
      return cloud
          ? new ReadingRule.CloudPart(
              new TreeSet<>(classes == null ? List.of() : classes), every, cell)
          : ReadingRule.AS_FOUND;
    }
    if (cloud) {
      throw new IllegalArgumentException(
          "--columns is for point lists, --classes, --every-nth and --cell are for clouds; give one or the other.");
    }
    List<ColumnRole> roles = new ArrayList<>();
    for (String c : columns) {
      roles.add(
          ColumnRole.named(c)
              .orElseThrow(
                  () ->
                      new IllegalArgumentException(
                          "--columns "
                              + c
                              + " is not one of name, easting, northing, height, code, latitude, longitude, -.")));
    }
    return new ReadingRule.Columns(separator(), headLines, roles, Optional.of(unit()));
  }

  private String separator() {
    return switch (separator) {
      case "comma" -> ",";
      case "semicolon" -> ";";
      case "tab" -> "\t";
      case "space" -> " ";
      default ->
          throw new IllegalArgumentException(
              "--separator " + separator + " is not one of comma, semicolon, tab, space.");
    };
  }

  private LinearUnit unit() {
    return LinearUnit.named(unit)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "--list-unit " + unit + " is not one of m, mm, ft, ftUS."));
  }
}
