/**
 * The state behind the window: the job with its history, what is selected, running work. No
 * controls, so it is tested without a window.
 */
package wellspan.app.session;
