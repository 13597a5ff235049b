package wellspan.core.attribute;

/**
 * What an item's own source says of how it stands to another item of that source.
 *
 * @param kind title of the other item's kind
 * @param name of the other item
 */
public record Reference(RelationType type, String kind, String name) {}
