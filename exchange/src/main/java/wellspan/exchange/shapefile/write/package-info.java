/** Shapefiles as deliveries write them. */
package wellspan.exchange.shapefile.write;
