/** What lies between places that were picked: distances, slopes, areas. */
package wellspan.core.measure;
