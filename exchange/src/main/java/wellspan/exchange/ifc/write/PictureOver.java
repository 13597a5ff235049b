package wellspan.exchange.ifc.write;

import wellspan.core.picture.Texture;

/**
 * A picture over a surface.
 *
 * @param file name of the picture's file, which lies beside the model
 */
record PictureOver(Texture texture, String file) {}
