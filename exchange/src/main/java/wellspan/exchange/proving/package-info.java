/** Compares two files from anywhere, each with the position file that may lie beside it. */
package wellspan.exchange.proving;
