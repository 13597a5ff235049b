/** Lists of points in rows of separated values, as deliveries write them. */
package wellspan.exchange.points.write;
