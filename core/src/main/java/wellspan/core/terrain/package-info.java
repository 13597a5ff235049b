/**
 * Terrain surfaces: finding triangles by place, levels, contours, comparison and simplification for
 * the view.
 */
package wellspan.core.terrain;
