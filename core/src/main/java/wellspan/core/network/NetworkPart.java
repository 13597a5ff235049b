package wellspan.core.network;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.Curved;

/** A pipe or a chamber of a network with what its body was made of. */
public sealed interface NetworkPart extends Curved {
  /** Name of the network. */
  String network();

  /** Of the network: {@code storm}, {@code sanitary}, {@code water}, {@code other} or empty. */
  String type();

  /** Its geometry. */
  Curved body();

  @Override
  default Mesh mesh(double chord) {
    return body().mesh(chord);
  }

  @Override
  default OptionalDouble planLength() {
    return body().planLength();
  }

  /** A pipe or a channel, and the chambers it lies between. */
  record Run(String network, String type, LaidPipe laid, PipeBody body) implements NetworkPart {
    @Override
    public List<PropertySet> facts() {
      return NetworkFacts.of(network, type, laid, body);
    }

    @Override
    public Optional<Run> moved(Similarity how) {
      return body.moved(how).map(b -> new Run(network, type, laid.moved(how), b));
    }
  }

  /** A chamber, gully or outfall. */
  record Node(String network, String type, Chamber chamber, ChamberBody body)
      implements NetworkPart {
    @Override
    public List<PropertySet> facts() {
      return NetworkFacts.of(network, type, chamber, body);
    }

    @Override
    public Optional<Node> moved(Similarity how) {
      return body.moved(how).map(b -> new Node(network, type, chamber.moved(how), b));
    }
  }
}
