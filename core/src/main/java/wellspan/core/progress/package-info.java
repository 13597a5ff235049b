/** How long work reports where it stands and learns that it is no longer wanted. */
package wellspan.core.progress;
