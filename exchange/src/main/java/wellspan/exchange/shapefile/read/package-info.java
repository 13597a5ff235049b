/** Reads shapefiles with their companions: table, projection, code page. */
package wellspan.exchange.shapefile.read;
