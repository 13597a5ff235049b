package wellspan.exchange.bcf.write;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;

/** What a finding's picture shows. */
class FromAboveTest {
  @Test
  void aBodyIsSeenThoughItsTopAndBottomLieOverEachOther() throws IOException {
    double[] xyz = {0, 0, 0, 10, 0, 0, 0, 10, 0, 0, 0, 5};
    Mesh body = new Mesh(xyz, new int[] {0, 2, 1, 0, 1, 3, 1, 2, 3, 2, 0, 3});
    assertThat(body.isClosed()).isTrue();
    Item item = Item.of("Wedge", Kind.of("course"), new Shape.Faces(body));
    FromAbove above = new FromAbove(List.of(item), i -> "id", Optional.empty());
    BcfTopic.Viewpoint view = above.view(Set.of("id"), Optional.empty(), 1);
    BufferedImage image =
        ImageIO.read(new ByteArrayInputStream(above.picture(Set.of("id"), Optional.empty(), view)));
    double scale = image.getHeight() / view.height();
    int x = (int) (image.getWidth() / 2.0 + (2 - view.x()) * scale);
    int y = (int) (image.getHeight() / 2.0 - (2 - view.y()) * scale);
    assertThat(image.getRGB(x, y) & 0xFFFFFF).isEqualTo(0xC24A35);
  }
}
