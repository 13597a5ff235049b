package wellspan.core.item;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.attribute.EntityClass;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/** Every row of the table of kinds against the schemas. */
class KindsTest {
  static Stream<Kind> kinds() {
    return Kind.all().stream();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void theClassOfAKindStandsInEachSchemaAndIsAProduct(Kind kind) {
    for (IfcSchema s : IfcSchema.values()) {
      EntityClass c = kind.classes().get(s);
      if (c.entity().isEmpty()) {
        continue; // of no class of its own, such as pictures
      }
      Schema schema = Schema.forFile(s.id()).orElseThrow();
      Optional<Entity> e = schema.entity(c.entity());
      assertThat(e).as("%s in %s", c, s).isPresent();
      assertThat(e.get().isAbstract()).as("%s in %s", c, s).isFalse();
      assertThat(schema.isA(e.get(), "IFCPRODUCT")).as("%s in %s", c, s).isTrue();
      if (!c.objectType().isEmpty()) {
        assertThat(e.get().attributes()).extracting(Attribute::name).contains("ObjectType");
      }
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aKindIsFoundByItsId(Kind kind) {
    assertThat(Kind.of(kind.id())).isSameAs(kind);
    assertThat(kind.title()).isNotBlank();
    kind.finish().ifPresent(f -> assertThat(f.rgb()).isBetween(0, 0xFFFFFF));
  }

  @Test
  void idsAreEachOfOneKind() {
    Set<String> ids = new HashSet<>();
    kinds().forEach(k -> assertThat(ids.add(k.id())).as(k.id()).isTrue());
    assertThat(ids).contains("course", "kerb", "terrain surface", "alignment");
  }

  @Test
  void receivedBodiesHaveAKindInEveryStratumOfBodies() {
    for (Band b : new Band[] {Band.STRUCTURES, Band.PAVEMENT}) {
      assertThat(Kind.body(b).stratum()).isEqualTo(b);
    }
  }

  @Test
  void anUnknownKindIsASentence() {
    assertThatThrownBy(() -> Kind.of("nonsense"))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("nonsense");
  }
}
