/** Reads the feature tables of GeoPackages. */
package wellspan.exchange.gpkg.read;
