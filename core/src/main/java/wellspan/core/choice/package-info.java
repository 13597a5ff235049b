/** Enumerations that people choose from, by words. */
package wellspan.core.choice;
