/** Reads tables of texts: CSV and workbooks. */
package wellspan.exchange.table.read;
