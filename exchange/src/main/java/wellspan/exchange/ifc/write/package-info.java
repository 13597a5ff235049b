/** Writes parcels as IFC4X3_ADD2 by streaming; what the schema does not allow cannot be written. */
package wellspan.exchange.ifc.write;
