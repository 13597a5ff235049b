package wellspan.app.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import wellspan.core.item.Band;

/** Colours and type of the window, light or dark. */
public enum Theme {
  LIGHT(
      "#F4F0E6", "#FBF9F3", "#DAD3C2", "#22303A", "#5E6A72", "#0B5C6B", "#2C7A57", "#9A6403",
      "#C8402A", "#D6C9A4", "#B39B63"),
  DARK(
      "#17222A", "#1F2C35", "#33444F", "#E9E4D6", "#9FACB3", "#4FB3C1", "#5FBF93", "#E0AA45",
      "#F07A63", "#4A4A3C", "#8A7A50");

  private static final List<String> FONTS =
      List.of(
          "Manrope-Regular",
          "Manrope-Medium",
          "Manrope-SemiBold",
          "Manrope-Bold",
          "JetBrainsMono-Regular",
          "JetBrainsMono-SemiBold");

  private final Color paper;
  private final Color panel;
  private final Color line;
  private final Color ink;
  private final Color muted;
  private final Color accent;
  private final Color proven;
  private final Color warning;
  private final Color error;
  private final Color contour;
  private final Color majorContour;

  Theme(String... c) {
    paper = Color.web(c[0]);
    panel = Color.web(c[1]);
    line = Color.web(c[2]);
    ink = Color.web(c[3]);
    muted = Color.web(c[4]);
    accent = Color.web(c[5]);
    proven = Color.web(c[6]);
    warning = Color.web(c[7]);
    error = Color.web(c[8]);
    contour = Color.web(c[9]);
    majorContour = Color.web(c[10]);
  }

  public Color paper() {
    return paper;
  }

  public Color panel() {
    return panel;
  }

  public Color line() {
    return line;
  }

  public Color ink() {
    return ink;
  }

  public Color muted() {
    return muted;
  }

  public Color accent() {
    return accent;
  }

  public Color proven() {
    return proven;
  }

  public Color warning() {
    return warning;
  }

  public Color error() {
    return error;
  }

  /** Behind the line at the lower edge, which is dark in both. */
  public Color reading() {
    return Color.web(this == LIGHT ? "#22303A" : "#0F181E");
  }

  public Color onReading() {
    return Color.web(this == LIGHT ? "#F4F0E6" : "#E9E4D6");
  }

  public Color contour() {
    return contour;
  }

  public Color majorContour() {
    return majorContour;
  }

  /** Loads the bundled fonts; once, before the first scene. */
  public static void loadFonts() {
    for (String f : FONTS) {
      try (InputStream in = Theme.class.getResourceAsStream("fonts/" + f + ".ttf")) {
        javafx.scene.text.Font.loadFont(in, 13);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  /** Dresses a scene. */
  public void apply(Scene scene) {
    Application.setUserAgentStylesheet(
        (this == LIGHT ? new PrimerLight() : new PrimerDark()).getUserAgentStylesheet());
    String css = Theme.class.getResource("wellspan.css").toExternalForm();
    if (!scene.getStylesheets().contains(css)) {
      scene.getStylesheets().add(css);
    }
    scene.getRoot().getStyleClass().remove("dark");
    if (this == DARK) {
      scene.getRoot().getStyleClass().add("dark");
    }
  }

  /** The colour of a stratum. */
  public static Color of(Band band) {
    return Color.web(
        switch (band) {
          case LINES_AND_POINTS -> "#B5476B";
          case FURNITURE -> "#7C8F3C";
          case STRUCTURES -> "#7A5C99";
          case DRAINAGE -> "#2F74A8";
          case EDGES -> "#8E989B";
          case PAVEMENT -> "#4F5A61";
          case EARTHWORKS -> "#B88A5B";
          case GROUND -> "#93804F";
          case DRAWINGS -> "#6E7A80";
        });
  }
}
