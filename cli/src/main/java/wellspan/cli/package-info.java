/**
 * The command line: the same work as in the window, without a screen. Results on standard output,
 * messages on standard error.
 */
package wellspan.cli;
