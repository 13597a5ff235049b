/** Units of length, and how they are found out where a file does not say. */
package wellspan.core.unit;
