package wellspan.exchange.dxf.write;

/**
 * A layer as it is to be.
 *
 * @param index number of its colour in the format's own palette
 * @param rgb true colour 0xRRGGBB, −1 for none
 */
public record LayerLook(String name, int index, int rgb) {}
