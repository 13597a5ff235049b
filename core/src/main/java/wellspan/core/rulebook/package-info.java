/**
 * The rulebook of a client: by rules it is decided what every item is called and what it says.
 * Rules are data; {@link wellspan.core.rulebook.Ruling} applies them to what is known of an item.
 */
package wellspan.core.rulebook;
