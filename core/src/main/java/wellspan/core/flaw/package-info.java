/**
 * Errors in received ground: levels that are no levels, spikes, and triangles that make no surface;
 * and what of alignments receivers stumble over. Everything here only looks; dropping what was
 * found is a step of the job.
 */
package wellspan.core.flaw;
