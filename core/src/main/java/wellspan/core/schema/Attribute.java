package wellspan.core.schema;

/** An explicit attribute of an entity in STEP order. */
public record Attribute(String name, boolean optional, boolean derived, TypeRef type) {}
