/** Records of runs of deliveries, as JSON and as pages for people. */
package wellspan.core.receipt;
