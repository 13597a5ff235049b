package wellspan.core.deliver;

import static wellspan.core.deliver.Content.*;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/**
 * A drawing.
 *
 * @param mesh whether surfaces go as one mesh each, not as faces; only in R2018
 */
public record DxfFormat(DxfRelease release, boolean mesh) implements DeliveryFormat {
  private static final Coverage COVERAGE =
      Coverage.of(
          "DXF",
          EnumSet.of(POSITIONS, TRIANGLES, NAMES, COLOURS, LAYERS, UNIT, PLACE),
          EnumSet.of(TEXT_HEIGHTS, DESIGN_LOOKS));

  /**
   * @throws IllegalArgumentException if the release has no mesh entity
   */
  public DxfFormat {
    if (mesh && release != DxfRelease.R2018) {
      throw new IllegalArgumentException(
          "A drawing of release " + release.title() + " has no mesh entity; take 3D faces.");
    }
  }

  @Override
  public String id() {
    return "DXF " + release.title() + (mesh ? " mesh" : "");
  }

  @Override
  public String title() {
    return "DXF " + release.title() + (mesh ? ", one mesh each" : ", 3D faces");
  }

  @Override
  public String ending() {
    return ".dxf";
  }

  @Override
  public int decimals(LinearUnit unit) {
    return unit.metres() >= 0.1 ? 7 : 4;
  }

  @Override
  public boolean saysUnit() {
    return release != DxfRelease.R12;
  }

  @Override
  public Carriage carriageOfContent(Item item, Frame frame) {
    List<Finding> out = new ArrayList<>();
    out.add(
        Losses.note(
            "deliver.plain",
            item,
            "a drawing carries it on a layer of its own, without class and properties."));
    Losses.invisible(item, out);
    Losses.faceColours(item, out);
    if (item.kind().is(Kind.COVER)) {
      out.add(Losses.note("deliver.material", item, "a drawing has no materials; it stays here."));
    }
    if (item.shape() instanceof Shape.Axis) {
      out.add(
          Losses.note(
              "deliver.chords",
              item,
              "it goes as a 3D line with a point every metre and at every element end; elements, profile and chainages stay here."));
    }
    if (item.shape() instanceof Shape.Points p
        && p.points().stream().anyMatch(q -> !q.code().isEmpty())) {
      out.add(Losses.note("deliver.codes", item, "codes of points stay here."));
    }
    Losses.texture(item, this, out);
    return Carriage.with(out);
  }

  @Override
  public List<PropertySet> sets(Item item, PropertySet facts) {
    return List.of();
  }

  @Override
  public Coverage coverage() {
    return COVERAGE;
  }

  @Override
  public boolean isTitled(String title) {
    return title.startsWith("DXF");
  }
}
