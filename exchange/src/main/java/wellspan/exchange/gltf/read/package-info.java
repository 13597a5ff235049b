/** Reads meshes from glTF 2.0, as text with buffers beside it or as one binary file. */
package wellspan.exchange.gltf.read;
