package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class DrawingTest {
  private static final String LETTERS = "prism.lcdtext";

  private String before;

  @BeforeEach
  void keep() {
    before = System.getProperty(LETTERS);
  }

  @AfterEach
  void putBack() {
    if (before == null) {
      System.clearProperty(LETTERS);
    } else {
      System.setProperty(LETTERS, before);
    }
  }

  @Test
  void lettersHaveNoColouredFringesUnlessSomebodyWantsThem() {
    System.clearProperty(LETTERS);
    Drawing.choose();
    assertThat(System.getProperty(LETTERS)).isEqualTo("false");
    System.setProperty(LETTERS, "true");
    Drawing.choose();
    assertThat(System.getProperty(LETTERS)).isEqualTo("true");
  }
}
