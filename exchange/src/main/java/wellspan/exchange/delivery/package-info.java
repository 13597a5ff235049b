/** Runs a delivery: gathers the parcel, writes it, reads it back, compares and leaves a receipt. */
package wellspan.exchange.delivery;
