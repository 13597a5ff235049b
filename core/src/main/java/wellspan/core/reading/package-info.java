/**
 * What can be read off at a place of a job: coordinates, chainage, levels, and points to snap to.
 */
package wellspan.core.reading;
