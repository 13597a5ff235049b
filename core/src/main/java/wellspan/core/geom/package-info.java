/** Plain geometry in shared coordinates: boxes, positions and triangle meshes held in arrays. */
package wellspan.core.geom;
