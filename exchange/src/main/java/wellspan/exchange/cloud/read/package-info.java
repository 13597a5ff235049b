/** Reads point clouds: LAS 1.0 to 1.4, plain and compressed (LAZ), by class. */
package wellspan.exchange.cloud.read;
