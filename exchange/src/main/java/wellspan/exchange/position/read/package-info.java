/**
 * Reads what only says where something lies: projection files, world files, the keys of GeoTIFF
 * images.
 */
package wellspan.exchange.position.read;
