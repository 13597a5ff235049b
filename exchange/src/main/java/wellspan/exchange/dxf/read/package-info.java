/**
 * Drawings in DXF: text and binary, of the versions R12 to 2018. Groups of code and value become
 * entities, entities become shapes, blocks are laid out, and each layer's shapes become items.
 */
package wellspan.exchange.dxf.read;
