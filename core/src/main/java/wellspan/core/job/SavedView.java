package wellspan.core.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import wellspan.core.geom.Position;
import wellspan.core.place.PlacementJson;

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
    n.set("at", PlacementJson.position(at));
    n.put("reach", reach).put("turn", turn).put("tilt", tilt).put("levels", levels);
    return n;
  }

  /**
   * @throws IllegalArgumentException with a reason, if it is no view
   */
  static SavedView read(Members m) {
    String word = m.text("picture");
    Picture picture =
        Arrays.stream(Picture.values())
            .filter(p -> p.word.equals(word))
            .findFirst()
            .orElseThrow(
                () -> new IllegalArgumentException("the picture \"" + word + "\" is not known"));
    return new SavedView(
        m.text("name"),
        picture,
        PlacementJson.position(m.get("at").orElse(MissingNode.getInstance())),
        number(m, "reach"),
        number(m, "turn"),
        number(m, "tilt"),
        number(m, "levels"));
  }

  private static double number(Members m, String name) {
    JsonNode n = m.get(name).orElse(MissingNode.getInstance());
    if (!n.isNumber()) {
      throw new IllegalArgumentException("\"" + name + "\" is missing or no number");
    }
    return n.asDouble();
  }
}
