/** Keeps results in a job's folder, so that a large job opens at once. */
package wellspan.exchange.cache;
