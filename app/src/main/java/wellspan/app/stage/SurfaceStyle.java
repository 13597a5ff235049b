package wellspan.app.stage;

/** The ways to draw terrain that can be chosen. */
public enum SurfaceStyle {
  CONTOURS("Contours"),
  SHADE("Shade"),
  TRIANGLES("Triangles"),
  LEVELS("Levels"),
  SLOPE("Slope"),
  ASPECT("Aspect");

  private final String title;

  SurfaceStyle(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
