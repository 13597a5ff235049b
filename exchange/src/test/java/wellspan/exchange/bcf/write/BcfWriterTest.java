package wellspan.exchange.bcf.write;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.zip.ZipFile;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/** Element orders are those of the schemas of BCF 3.0 and 2.1. */
class BcfWriterTest {
  private static final UUID GUID = UUID.nameUUIDFromBytes(new byte[] {1});

  @TempDir Path dir;

  private Path written(BcfVersion version) throws IOException {
    Path file = dir.resolve("found.bcf");
    BcfTopic topic =
        new BcfTopic(
            "Requirement",
            GUID,
            "Kerbs & edges",
            "two <fail>",
            List.of("0CLFusoFzTIfQabrxvD$Hu"),
            new BcfTopic.Viewpoint(1, 2, 30, 20, 4 / 3.0),
            new byte[] {1, 2, 3});
    BcfWriter.write(
        file, version, "a.ifc", "2BiMNrOMjHbOqhty6lkSl5", List.of(topic), Instant.EPOCH);
    return file;
  }

  private static Element root(ZipFile zip, String entry) throws Exception {
    try (InputStream in = zip.getInputStream(zip.getEntry(entry))) {
      Document d =
          DocumentBuilderFactory.newInstance()
              .newDocumentBuilder()
              .parse(new ByteArrayInputStream(in.readAllBytes()));
      return d.getDocumentElement();
    }
  }

  private static List<String> children(Element e) {
    List<String> out = new ArrayList<>();
    for (Node n = e.getFirstChild(); n != null; n = n.getNextSibling()) {
      if (n instanceof Element c) {
        out.add(c.getTagName());
      }
    }
    return out;
  }

  private static Element child(Element e, String name) {
    return (Element) e.getElementsByTagName(name).item(0);
  }

  @Test
  void versionThree() throws Exception {
    try (ZipFile zip = new ZipFile(written(BcfVersion.V3_0).toFile())) {
      assertThat(root(zip, "bcf.version").getAttribute("VersionId")).isEqualTo("3.0");
      assertThat(children(root(zip, "extensions.xml")))
          .containsExactly("TopicTypes", "TopicStatuses", "Users");
      Element markup = root(zip, GUID + "/markup.bcf");
      assertThat(children(markup)).containsExactly("Header", "Topic");
      assertThat(children(child(markup, "Topic")))
          .containsExactly("Title", "CreationDate", "CreationAuthor", "Description", "Viewpoints");
      assertThat(child(markup, "Title").getTextContent()).isEqualTo("Kerbs & edges");
      Element view = root(zip, GUID + "/viewpoint.bcfv");
      assertThat(view.getAttribute("Guid"))
          .isEqualTo(child(markup, "ViewPoint").getAttribute("Guid"));
      assertThat(children(view)).containsExactly("Components", "OrthogonalCamera");
      assertThat(children(child(view, "OrthogonalCamera")))
          .containsExactly(
              "CameraViewPoint",
              "CameraDirection",
              "CameraUpVector",
              "ViewToWorldScale",
              "AspectRatio");
      assertThat(child(view, "Component").getAttribute("IfcGuid"))
          .isEqualTo("0CLFusoFzTIfQabrxvD$Hu");
      assertThat(zip.getEntry(GUID + "/snapshot.png")).isNotNull();
    }
  }

  @Test
  void versionTwo() throws Exception {
    try (ZipFile zip = new ZipFile(written(BcfVersion.V2_1).toFile())) {
      assertThat(children(root(zip, "bcf.version"))).containsExactly("DetailedVersion");
      assertThat(zip.getEntry("extensions.xml")).isNull();
      Element markup = root(zip, GUID + "/markup.bcf");
      assertThat(children(markup)).containsExactly("Header", "Topic", "Viewpoints");
      assertThat(children(child(markup, "Header"))).containsExactly("File");
      assertThat(children(child(root(zip, GUID + "/viewpoint.bcfv"), "OrthogonalCamera")))
          .containsExactly(
              "CameraViewPoint", "CameraDirection", "CameraUpVector", "ViewToWorldScale");
    }
  }
}
