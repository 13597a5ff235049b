/** The stop Place: frame, base point, rotation, search for a system. */
package wellspan.app.place;
