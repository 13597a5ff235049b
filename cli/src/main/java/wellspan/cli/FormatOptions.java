package wellspan.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.unit.LinearUnit;

/** What is written: schema of a model, release of a drawing, unit of lengths. */
final class FormatOptions {
  @Option(names = "--unit", paramLabel = "m|mm|ft", description = "length unit of the written file")
  private String unit = "m";

  @Option(
      names = "--schema",
      paramLabel = "IFC4X3|IFC4|IFC2X3",
      description = "schema of the written file")
  private String schema = "IFC4X3";

  @Option(
      names = "--drawing",
      paramLabel = "R12|2000|2018",
      description = "release of a written drawing")
  private String drawing = "2000";

  @Option(names = "--mesh", description = "surfaces of a drawing as one mesh each (release 2018)")
  private boolean mesh;

  @Option(
      names = "--swept",
      description =
          "parts of roads and sections swept along an alignment as outlines along it, round pipes drawn out along their axis, instead of triangles (IFC4X3)")
  private boolean swept;

  /** By the ending of the output, and by --schema or --drawing where there are several. */
  DeliveryFormat format(Path out) {
    String ending = out.toString().toLowerCase(Locale.ROOT);
    List<DeliveryFormat> ofEnding =
        DeliveryFormat.all().stream()
            .filter(f -> f.endings().stream().anyMatch(ending::endsWith))
            .toList();
    if (swept && ofEnding.stream().noneMatch(f -> f.schema().isPresent())) {
      throw new IllegalArgumentException("--swept is for models: name the output .ifc.");
    }
    if (ofEnding.size() == 1) {
      return ofEnding.getFirst();
    }
    if (ofEnding.isEmpty()) {
      throw new IllegalArgumentException(
          out
              + ": name the output with one of the endings "
              + DeliveryFormat.all().stream()
                  .flatMap(f -> f.endings().stream())
                  .distinct()
                  .collect(Collectors.joining(", "))
              + ".");
    }
    boolean model = ofEnding.getFirst().schema().isPresent();
    String id =
        model ? schema + (swept ? IfcFormat.SWEPT : "") : "DXF " + drawing + (mesh ? " mesh" : "");
    return DeliveryFormat.named(id)
        .filter(ofEnding::contains)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    swept && DeliveryFormat.named(schema).isPresent()
                        ? "--swept needs --schema IFC4X3: only there alignments are curves that sections can follow."
                        : model
                            ? "--schema "
                                + schema
                                + " cannot be written; IFC4X3, IFC4 and IFC2X3 can."
                            : "--drawing "
                                + drawing
                                + (mesh ? " with --mesh" : "")
                                + " cannot be written; R12, 2000 and 2018 can, meshes in 2018 only."));
  }

  LinearUnit unit() {
    return LinearUnit.named(unit)
        .orElseThrow(
            () ->
                new IllegalArgumentException("--unit " + unit + " is not one of m, mm, ft, ftUS."));
  }
}
