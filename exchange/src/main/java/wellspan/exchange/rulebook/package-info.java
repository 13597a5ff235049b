/** Rulebooks as files: readable JSON, and their property rules as tables to work on. */
package wellspan.exchange.rulebook;
