package wellspan.core.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import wellspan.core.unit.LinearUnit;

class ReadingRuleTest {
  private static ReadingRule.Columns columns(ColumnRole... roles) {
    return new ReadingRule.Columns(";", 1, List.of(roles), Optional.of(LinearUnit.MILLIMETRE));
  }

  @Test
  void rulesComeBackFromJsonAsTheyWere() {
    ReadingRule list =
        columns(ColumnRole.NORTH, ColumnRole.NONE, ColumnRole.EAST, ColumnRole.HEIGHT);
    ReadingRule cloud = new ReadingRule.CloudPart(new TreeSet<>(List.of(2, 8)), 10, 0.5);
    for (ReadingRule r : List.of(list, cloud)) {
      assertThat(ReadingRuleJson.read(ReadingRuleJson.node(r).orElseThrow())).isEqualTo(r);
    }
    assertThat(ReadingRuleJson.node(ReadingRule.AS_FOUND)).isEmpty();
  }

  @Test
  void columnsMustGiveAPlace() {
    assertThatThrownBy(() -> columns(ColumnRole.NAME, ColumnRole.EAST))
        .hasMessageContaining("Say which columns");
    assertThatThrownBy(() -> columns(ColumnRole.EAST, ColumnRole.EAST, ColumnRole.NORTH))
        .hasMessage("Two columns are taken as easting. Choose one of them.");
    assertThatThrownBy(
            () ->
                columns(
                    ColumnRole.EAST, ColumnRole.NORTH, ColumnRole.LATITUDE, ColumnRole.LONGITUDE))
        .hasMessageContaining("not both");
    assertThat(columns(ColumnRole.LATITUDE, ColumnRole.LONGITUDE).geographic()).isTrue();
  }

  @Test
  void rolesHaveShortForms() {
    assertThat(ColumnRole.named("e")).contains(ColumnRole.EAST);
    assertThat(ColumnRole.named("North")).contains(ColumnRole.NORTH);
    assertThat(ColumnRole.named("lon")).contains(ColumnRole.LONGITUDE);
    assertThat(ColumnRole.named("-")).contains(ColumnRole.NONE);
    assertThat(ColumnRole.named("l")).isEmpty();
    assertThat(ColumnRole.named("n")).contains(ColumnRole.NORTH);
    assertThat(ColumnRole.named("na")).contains(ColumnRole.NAME);
    assertThat(ColumnRole.named("weight")).isEmpty();
  }
}
