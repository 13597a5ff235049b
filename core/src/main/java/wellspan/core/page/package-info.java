/** Readable pages for people outside the application: one HTML file that needs nothing else. */
package wellspan.core.page;
