package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.choice.Choice;
import wellspan.core.item.Kind;

/**
 * Sections that ship with the program. The base point, which lies on the line, is their origin.
 * Another section is another row here.
 */
public enum SectionShape implements Choice {
  GUARD_RAIL(
      "guard rail beam",
      "guard rail",
      "steel",
      "0 0.44 0.04 0.46 0.08 0.51 0.04 0.56 0.03 0.595 0.04 0.63 0.08 0.68 0.04 0.73 0 0.75 0 0.746"
          + " 0.0375 0.7275 0.075 0.68 0.0365 0.632 0.0265 0.595 0.0365 0.558 0.075 0.51 0.0375 0.4625 0 0.444"),
  UPSTAND_KERB(
      "upstand kerb",
      "kerb",
      "concrete",
      "0 -0.18 0.15 -0.18 0.15 0.12 0.025 0.12 0.005 0.1 0 0.02"),
  DROPPED_KERB("dropped kerb", "kerb", "concrete", "0 -0.18 0.15 -0.18 0.15 0.03 0.03 0.03 0 0.01"),
  EDGING("edging", "kerb", "concrete", "0 -0.2 0.08 -0.2 0.08 0 0 0"),
  BARRIER(
      "concrete barrier",
      "barrier",
      "concrete",
      "-0.3 0 0.3 0 0.3 0.08 0.12 0.33 0.075 0.9 -0.075 0.9 -0.12 0.33 -0.3 0.08"),
  CHANNEL(
      "drainage channel",
      "channel",
      "concrete",
      "-0.25 -0.25 0.25 -0.25 0.25 0 0.2 0 0.12 -0.1 -0.12 -0.1 -0.2 0 -0.25 0"),
  RETAINING_WALL(
      "retaining wall with footing",
      "retaining wall",
      "concrete",
      "-1.2 -1.2 0.5 -1.2 0.5 -0.8 0.3 -0.8 0.3 2 0 2 -0.1 -0.8 -1.2 -0.8"),
  WALL("wall", "wall", "concrete", "-0.15 0 0.15 0 0.15 1 -0.15 1"),
  HANDRAIL(
      "handrail",
      "handrail",
      "steel",
      "0.025 1.025 0.0177 1.0427 0 1.05 -0.0177 1.0427 -0.025 1.025 -0.0177 1.0073 0 1 0.0177 1.0073");

  private final String word;
  private final String kind;
  private final String material;
  private final double[] ring;

  /**
   * @param kind id of the kind of what is made of it
   * @param points x and y in turn, around the section, metres
   */
  SectionShape(String word, String kind, String material, String points) {
    this.word = word;
    this.kind = kind;
    this.material = material;
    List<Double> all = new ArrayList<>();
    for (String p : points.split(" ")) {
      all.add(Double.valueOf(p));
    }
    ring = all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  @Override
  public String word() {
    return word;
  }

  /** What is made of it. */
  public Kind kind() {
    return Kind.of(kind);
  }

  /** What it is usually made of. */
  public String material() {
    return material;
  }

  /** x and y in turn, around the section, not closed by a repeated point. */
  public double[] ring() {
    return ring.clone();
  }
}
