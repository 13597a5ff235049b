package wellspan.core.attribute;

import java.util.List;
import java.util.Optional;
import wellspan.core.picture.Texture;

/**
 * What an item is besides its geometry, as received or as made.
 *
 * @param layer name of the layer or group it was received on, empty if there was none
 * @param said what its source says of it: class, identity, property sets, material and colour
 * @param texture a picture laid over it
 * @param connection what it is joined to, where it is part of a network
 * @param references how it stands to other items of its source
 */
public record Attributes(
    String layer,
    Description said,
    Optional<Texture> texture,
    Optional<Connection> connection,
    List<Reference> references) {
  public static final Attributes NONE =
      new Attributes("", Description.NONE, Optional.empty(), Optional.empty(), List.of());

  public Attributes {
    references = List.copyOf(references);
  }

  public Attributes with(Description d) {
    return new Attributes(layer, d, texture, connection, references);
  }

  public Attributes withLayer(String name) {
    return new Attributes(name, said, texture, connection, references);
  }

  public Attributes withTexture(Optional<Texture> picture) {
    return new Attributes(layer, said, picture, connection, references);
  }

  public Attributes withConnection(Optional<Connection> to) {
    return new Attributes(layer, said, texture, to, references);
  }

  public Attributes withReferences(List<Reference> others) {
    return new Attributes(layer, said, texture, connection, others);
  }

  /** Made of a material, with the colour that goes with its name. */
  public static Attributes ofMaterial(String material) {
    return NONE.with(
        Description.of(List.of(), Optional.of(new Finish(material, Finish.colour(material)))));
  }

  /** What it is made of, empty if nobody says. */
  public String material() {
    return said.finish().map(Finish::material).orElse("");
  }
}
