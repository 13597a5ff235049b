/**
 * Recorded preparations of items: what was done, in which order, with which figures before and
 * after. The source is never changed; on a new revision the same steps run again.
 */
package wellspan.core.step;
