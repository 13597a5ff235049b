/** Reads BCF 2.1 and 3.0: topics with their viewpoints. */
package wellspan.exchange.bcf.read;
