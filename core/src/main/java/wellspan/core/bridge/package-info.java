/** Bridges: a deck along an alignment, and what bears it down to the ground. */
package wellspan.core.bridge;
