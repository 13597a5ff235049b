/**
 * How received coordinates become shared ones: the placement of each source, fits from point pairs,
 * hypotheses where a source does not say, and the tally of control points.
 */
package wellspan.core.place;
