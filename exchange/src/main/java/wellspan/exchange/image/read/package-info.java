/** Pictures of the ground: PNG, JPEG and TIFF with their world files or GeoTIFF keys. */
package wellspan.exchange.image.read;
