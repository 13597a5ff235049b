/** Before a job is open: recent jobs, a new one, and the windows that jobs are open in. */
package wellspan.app.start;
