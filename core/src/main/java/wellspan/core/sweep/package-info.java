/**
 * Sections carried along strings and alignments, and objects set up along them. Sections are drawn
 * across the line, seen along it: x to the right, y upwards, metres.
 */
package wellspan.core.sweep;
