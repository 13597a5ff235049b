/**
 * Reads ISO 10303-21 text of IFC models into items. Shares nothing with the writer but the schema
 * tables.
 */
package wellspan.exchange.ifc.read;
