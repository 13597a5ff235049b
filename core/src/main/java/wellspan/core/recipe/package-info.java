/** Operations that make items which no source holds, each a record with its parameters. */
package wellspan.core.recipe;
