/** Sections of a road as they are meant to be: strips, courses, and how they are laid out. */
package wellspan.core.typical;
