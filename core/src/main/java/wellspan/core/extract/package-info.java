/** Parts of what was received: by name, kind, chainage or outline, thinned or split. */
package wellspan.core.extract;
