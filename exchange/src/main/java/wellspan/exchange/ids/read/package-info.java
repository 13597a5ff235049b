/** Reads requirements in buildingSMART's IDS 1.0. */
package wellspan.exchange.ids.read;
