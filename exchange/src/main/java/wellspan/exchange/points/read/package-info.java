/** Reads lists of named points from delimited text. */
package wellspan.exchange.points.read;
