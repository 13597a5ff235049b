/** Reads GeoJSON (RFC 7946), also with the older member that names a reference system. */
package wellspan.exchange.geojson.read;
