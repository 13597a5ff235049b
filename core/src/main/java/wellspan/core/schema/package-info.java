/**
 * The schema tables of IFC2X3, IFC4 and IFC4X3_ADD2: entities, attributes in STEP order, types,
 * enumerations and selects.
 */
package wellspan.core.schema;
