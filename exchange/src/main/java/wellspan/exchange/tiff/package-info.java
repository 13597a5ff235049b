/** Reads the tags of TIFF files, which say what a raster is and where it lies. */
package wellspan.exchange.tiff;
