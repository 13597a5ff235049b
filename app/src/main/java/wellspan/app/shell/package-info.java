/** The parts of the window that are always there: route, strata, docket, findings, reading line. */
package wellspan.app.shell;
