package wellspan.core.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import wellspan.core.geom.Position;

/**
 * Where one looked, kept by name. It holds whatever the size of the window.
 *
 * @param at what stands in the middle of the picture, shared coordinates; the level means nothing
 *     in plan
 * @param reach in plan the height of ground in the picture, in space the distance of the eye,
 *     metres
 * @param turn of the eye about the vertical, degrees; 0 in plan
 * @param tilt of the eye from straight down, degrees; 0 in plan
 * @param levels how many times higher levels are shown
 */
public record SavedView(
    String name,
    Picture picture,
    Position at,
    double reach,
    double turn,
    double tilt,
    double levels) {

  /** What was looked at. */
  public enum Picture {
    PLAN("plan"),
    SPACE("3D");

    private final String word;

    Picture(String word) {
      this.word = word;
    }

    /** As it is called in the window and in the job's file. */
    public String word() {
      return word;
    }
  }

  public SavedView {
    if (name.isBlank()) {
      throw new IllegalArgumentException("a view needs a name");
    }
    boolean finite =
        Double.isFinite(at.east())
            && Double.isFinite(at.north())
            && Double.isFinite(turn)
            && Double.isFinite(tilt);
    if (!finite || !(reach > 0) || !(levels > 0)) {
      throw new IllegalArgumentException("it says not where one looks");
    }
  }

  ObjectNode node(ObjectMapper json) {
    ObjectNode n = json.createObjectNode();
    n.put("name", name).put("picture", picture.word);
    n.putArray("at").add(at.east()).add(at.north()).add(Double.isNaN(at.level()) ? 0 : at.level());
    n.put("reach", reach).put("turn", turn).put("tilt", tilt).put("levels", levels);
    return n;
  }

  /**
   * @throws IllegalArgumentException with a reason, if it is no view
   */
  static SavedView read(JsonNode n) {
    JsonNode at = n.path("at");
    for (Picture p : Picture.values()) {
      if (p.word.equals(n.path("picture").asText()) && at.size() == 3) {
        return new SavedView(
            n.path("name").asText(),
            p,
            new Position(at.get(0).asDouble(), at.get(1).asDouble(), at.get(2).asDouble()),
            n.path("reach").asDouble(),
            n.path("turn").asDouble(),
            n.path("tilt").asDouble(),
            n.path("levels").asDouble(1));
      }
    }
    throw new IllegalArgumentException("it names no picture, or no place in it");
  }
}
