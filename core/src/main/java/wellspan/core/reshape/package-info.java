/**
 * Makes another surface of a surface: trims, clips, joins, simplifies, fills. Triangles that a
 * change does not concern stay as they are.
 */
package wellspan.core.reshape;
