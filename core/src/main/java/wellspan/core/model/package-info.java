/**
 * A model as what it says of its objects: classes, attributes, sets, classification, materials,
 * groups and what is part of what, with the values of types merged in.
 */
package wellspan.core.model;
