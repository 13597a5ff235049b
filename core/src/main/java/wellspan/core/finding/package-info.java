/**
 * What checks found: severity, the stop it belongs to, a stable code, a figure, a place and, where
 * there is one, the mend.
 */
package wellspan.core.finding;
