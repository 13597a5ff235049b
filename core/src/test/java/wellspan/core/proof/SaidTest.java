package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/** What is said where a value did not arrive as it was sent. */
class SaidTest {
  private static List<String> differences(PropertyValue sent, PropertyValue arrived) {
    Said said = new Said("Wall");
    said.properties(saying(sent), saying(arrived), false, false);
    return said.mismatches();
  }

  private static Description saying(PropertyValue v) {
    return Description.NONE.withSets(List.of(new PropertySet("Set", Map.of("Name", v))));
  }

  @Test
  void valuesThatAreShownAlikeAreToldApart() {
    assertThat(differences(new PropertyValue.Area(2.7595), new PropertyValue.Area(2.7596)))
        .containsExactly(
            "Wall: Set.Name was sent as 2.76 m\u00b2 (2.7595) and arrived as 2.76 m\u00b2 (2.7596)");
    assertThat(differences(new PropertyValue.Label("7"), new PropertyValue.Count(7)))
        .containsExactly("Wall: Set.Name was sent as 7 (Label) and arrived as 7 (Count)");
    assertThat(differences(new PropertyValue.Area(2), new PropertyValue.Area(3)))
        .containsExactly("Wall: Set.Name was sent as 2.00 m\u00b2 and arrived as 3.00 m\u00b2");
    assertThat(differences(new PropertyValue.Area(2), new PropertyValue.Area(2 + 1e-10)))
        .as("a hair is none")
        .isEmpty();
  }
}
