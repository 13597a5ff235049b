package wellspan.core.rulebook;

import wellspan.core.attribute.EntityClass;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** Classes as they are named in a rulebook. */
final class ClassNames {
  private ClassNames() {}

  /** The name in the schema's own letters; an own word where the class lists no such type. */
  static EntityClass of(ClassRule.Named named, IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    String entity = tables.entity(named.entity()).map(e -> e.name()).orElse(named.entity());
    String type = named.predefinedType();
    return type.isEmpty() || ProductClasses.has(tables, entity, type)
        ? new EntityClass(entity, type)
        : new EntityClass(entity, "USERDEFINED", type);
  }
}
