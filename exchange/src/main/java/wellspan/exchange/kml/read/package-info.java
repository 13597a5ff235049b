/** Reads KML 2.2 and KMZ: placemarks with points, lines and areas, in their folders. */
package wellspan.exchange.kml.read;
