/**
 * The kinds of things a job is made of, their identity over source revisions, and what a received
 * file turned out to hold.
 */
package wellspan.core.item;
