/** Tables as files: CSV and workbooks. */
package wellspan.exchange.table.write;
