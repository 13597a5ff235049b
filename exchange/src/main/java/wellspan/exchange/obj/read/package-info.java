/** Reads meshes from OBJ text. */
package wellspan.exchange.obj.read;
