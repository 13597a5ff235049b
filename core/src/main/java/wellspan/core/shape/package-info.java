/**
 * The geometry of items, whatever they stand for. Moving, extent, triangles and comparison ask the
 * shape; only formats and the stage, which draw shapes, take them apart.
 */
package wellspan.core.shape;
