/**
 * Reads LandXML 1.0, 1.1 and 1.2 by streaming: surfaces, alignments, profiles, coordinate points.
 */
package wellspan.exchange.landxml.read;
