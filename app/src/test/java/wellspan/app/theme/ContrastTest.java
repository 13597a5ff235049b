package wellspan.app.theme;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Contrast by WCAG 2.1: (L₁ + 0.05)/(L₂ + 0.05) of relative luminances. */
class ContrastTest {
  private static double luminance(Color c) {
    double[] v = {c.getRed(), c.getGreen(), c.getBlue()};
    for (int i = 0; i < 3; i++) {
      v[i] = v[i] <= 0.03928 ? v[i] / 12.92 : Math.pow((v[i] + 0.055) / 1.055, 2.4);
    }
    return 0.2126 * v[0] + 0.7152 * v[1] + 0.0722 * v[2];
  }

  private static double contrast(Color a, Color b) {
    double x = luminance(a);
    double y = luminance(b);
    return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
  }

  @ParameterizedTest
  @EnumSource(Theme.class)
  void textCanBeReadOnEverySurface(Theme t) {
    for (Color ground : new Color[] {t.paper(), t.panel()}) {
      assertThat(contrast(t.ink(), ground)).isGreaterThan(7);
      assertThat(contrast(t.muted(), ground)).isGreaterThan(4.5);
      assertThat(contrast(t.accent(), ground)).isGreaterThan(4.5);
      assertThat(contrast(t.error(), ground)).isGreaterThan(4);
      assertThat(contrast(t.warning(), ground)).isGreaterThan(4);
      assertThat(contrast(t.proven(), ground)).isGreaterThan(4);
    }
  }
}
