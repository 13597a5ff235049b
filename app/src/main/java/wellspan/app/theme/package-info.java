/** Colours, type, icons and the way figures are written. */
package wellspan.app.theme;
