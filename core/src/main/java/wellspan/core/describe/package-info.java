/**
 * What each item is called in the delivered model and which properties it says: classes, property
 * sets, known facts.
 */
package wellspan.core.describe;
