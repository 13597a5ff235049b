/**
 * The list of checks with definitions and limits, and the one place where findings are gathered.
 */
package wellspan.core.check;
