/** Reads elevation grids: text grids and rasters of levels. */
package wellspan.exchange.grid.read;
