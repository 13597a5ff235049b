/** Finds items of a job by words and by what they are. */
package wellspan.core.search;
