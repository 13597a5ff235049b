/**
 * Earthworks of roads: side slopes that run out on the ground, and what is cut and filled along an
 * alignment. Offsets are positive to the right, metres.
 */
package wellspan.core.earthwork;
