/**
 * Recorded operations: the list of all there are, how they stand in the job file, and carrying them
 * out with figures before and after.
 */
package wellspan.core.replay;
