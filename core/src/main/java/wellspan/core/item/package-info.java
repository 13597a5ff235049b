/** The kinds of things a job is made of and their identity over source revisions. */
package wellspan.core.item;
