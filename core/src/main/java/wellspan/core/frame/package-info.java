/**
 * Where a job lies on earth: units, coordinate reference systems, the base point and rotation that
 * make shared into local coordinates, and what single precision costs.
 */
package wellspan.core.frame;
