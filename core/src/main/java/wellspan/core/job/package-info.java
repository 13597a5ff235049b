/**
 * The job: an immutable record of everything decided, its history for undo, its folder on disk and
 * its recovery after a crash.
 */
package wellspan.core.job;
