/** Items coloured by what they say: by class, source, layer, or any property. */
package wellspan.core.colouring;
