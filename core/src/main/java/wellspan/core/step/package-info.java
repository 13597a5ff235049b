/**
 * Operations that prepare an item, each a record with its parameters. The source is never changed;
 * on a new revision the same steps run again.
 */
package wellspan.core.step;
