/** Features of geographic files as items: points, lines and outlines gathered by layer. */
package wellspan.exchange.feature;
