package wellspan.exchange.bcf.read;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamException;
import wellspan.exchange.file.ReadException;

/**
 * Reads topics of BCF 2.1 and 3.0. What is required and the order of elements are those of the
 * schemas; a file that departs from them is refused, since others refuse it too.
 */
public final class BcfReader {
  private static final String TOPIC = "Markup/Topic";

  /** Elements of a topic in their order; several of one sort stand by themselves or in a list. */
  private static final List<String> OF_TOPIC =
      List.of(
          "ReferenceLink",
          "Title",
          "Priority",
          "Index",
          "Labels",
          "CreationDate",
          "CreationAuthor",
          "ModifiedDate",
          "ModifiedAuthor",
          "DueDate",
          "AssignedTo",
          "Stage",
          "Description",
          "BimSnippet",
          "DocumentReference",
          "RelatedTopic");

  private static final Set<String> LISTED_IN_3 =
      Set.of("ReferenceLink", "DocumentReference", "RelatedTopic");

  /** Elements in the order in which they have to stand, by the element that they stand in. */
  private static final Map<String, List<String>> ORDER_3 =
      Map.of(
          "Markup",
          List.of("Header", "Topic"),
          TOPIC,
          Stream.concat(
                  OF_TOPIC.stream().map(n -> LISTED_IN_3.contains(n) ? n + "s" : n),
                  Stream.of("Comments", "Viewpoints"))
              .toList(),
          "Extensions",
          List.of(
              "TopicTypes",
              "TopicStatuses",
              "Priorities",
              "TopicLabels",
              "Users",
              "SnippetTypes",
              "Stages"));

  private static final Map<String, List<String>> ORDER_2 =
      Map.of("Markup", List.of("Header", "Topic", "Comment", "Viewpoints"), TOPIC, OF_TOPIC);

  private static final Map<String, List<String>> ORDER_VIEW =
      Map.of(
          "VisualizationInfo",
          List.of(
              "Components",
              "OrthogonalCamera",
              "PerspectiveCamera",
              "Lines",
              "ClippingPlanes",
              "Bitmaps"),
          "VisualizationInfo/Components",
          List.of("ViewSetupHints", "Selection", "Visibility", "Coloring"));

  private final Path file;
  private final ZipFile zip;
  private final boolean three;

  private BcfReader(Path file, ZipFile zip, String version) throws ReadException {
    this.file = file;
    this.zip = zip;
    three = version.equals("3.0");
    if (!three && !version.equals("2.1")) {
      throw new ReadException(
          file, "it is BCF " + version + "; 2.1 and 3.0 are read. Ask for one of these.");
    }
  }

  /**
   * All topics of a file, in the order of its entries.
   *
   * @throws ReadException with the entry and what is wrong in it
   */
  public static List<ReadTopic> read(Path file) throws IOException {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      ZipEntry version = zip.getEntry("bcf.version");
      if (version == null) {
        throw new ReadException(file, "it has no bcf.version, so it is no BCF. Ask for it again.");
      }
      return new BcfReader(file, zip, paths(file, zip, version).first("Version@VersionId"))
          .topics();
    }
  }

  private List<ReadTopic> topics() throws IOException {
    if (three) {
      inOrder("extensions.xml", document("extensions.xml"), ORDER_3);
    }
    List<ReadTopic> out = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (ZipEntry e : zip.stream().toList()) {
      if (e.getName().endsWith("/markup.bcf")) {
        ReadTopic t = topic(e.getName());
        if (!seen.add(t.guid())) {
          throw new ReadException(file, e.getName() + ": a second topic " + t.guid() + ".");
        }
        out.add(t);
      }
    }
    return out;
  }

  private ReadTopic topic(String entry) throws IOException {
    XmlPaths markup = document(entry);
    inOrder(entry, markup, three ? ORDER_3 : ORDER_2);
    String folder = entry.substring(0, entry.length() - "markup.bcf".length());
    String guid = markup.first(TOPIC + "@Guid");
    if (!folder.equals(guid + "/")) {
      throw new ReadException(file, entry + ": its topic is " + guid + ", not that of the folder.");
    }
    List<String> needed =
        three
            ? List.of("@TopicType", "@TopicStatus", "/Title", "/CreationDate", "/CreationAuthor")
            : List.of("/Title", "/CreationDate", "/CreationAuthor");
    for (String n : needed) {
      if (markup.first(TOPIC + n).isBlank()) {
        throw new ReadException(file, entry + ": the topic has no " + n.substring(1) + ".");
      }
    }
    String listed = three ? TOPIC + "/Viewpoints/ViewPoint" : "Markup/Viewpoints";
    List<String> objects = new ArrayList<>();
    List<double[]> cameras = new ArrayList<>();
    List<String> views = markup.all(listed + "/Viewpoint");
    for (int i = 0; i < views.size(); i++) {
      view(folder + views.get(i), markup.all(listed + "@Guid").get(i), objects, cameras);
    }
    int pictures = 0;
    for (String s : markup.all(listed + "/Snapshot")) {
      ZipEntry picture = zip.getEntry(folder + s);
      if (picture == null || picture.getSize() == 0) {
        throw new ReadException(file, entry + ": its snapshot " + s + " is not there.");
      }
      pictures++;
    }
    return new ReadTopic(
        guid,
        markup.first(TOPIC + "@TopicType"),
        markup.first(TOPIC + "@TopicStatus"),
        markup.first(TOPIC + "/Title"),
        markup.first(TOPIC + "/Description"),
        objects,
        cameras,
        pictures);
  }

  private void view(String entry, String guid, List<String> objects, List<double[]> cameras)
      throws IOException {
    XmlPaths view = document(entry);
    inOrder(entry, view, ORDER_VIEW);
    if (!view.first("VisualizationInfo@Guid").equals(guid)) {
      throw new ReadException(file, entry + ": it is another viewpoint than the markup names.");
    }
    objects.addAll(view.all("VisualizationInfo/Components/Selection/Component@IfcGuid"));
    for (String c : List.of("OrthogonalCamera", "PerspectiveCamera")) {
      String at = "VisualizationInfo/" + c + "/CameraViewPoint/";
      if (view.has(at + "X")) {
        cameras.add(
            new double[] {
              number(entry, view, at + "X"),
              number(entry, view, at + "Y"),
              number(entry, view, at + "Z")
            });
      }
    }
    if (cameras.isEmpty()) {
      throw new ReadException(file, entry + ": it has no camera.");
    }
  }

  private double number(String entry, XmlPaths in, String path) throws ReadException {
    try {
      return Double.parseDouble(in.first(path).strip());
    } catch (NumberFormatException e) {
      throw new ReadException(
          file, entry + ": " + path + " is \"" + in.first(path) + "\", which is no number.", e);
    }
  }

  private void inOrder(String entry, XmlPaths document, Map<String, List<String>> order)
      throws ReadException {
    for (Map.Entry<String, List<String>> e : order.entrySet()) {
      int last = -1;
      for (String name : document.children().getOrDefault(e.getKey(), List.of())) {
        int at = e.getValue().indexOf(name);
        if (at <= last) {
          throw new ReadException(
              file,
              entry
                  + ": <"
                  + name
                  + "> "
                  + (at < 0 ? "does not belong in" : "stands too late in")
                  + " <"
                  + e.getKey().substring(e.getKey().lastIndexOf('/') + 1)
                  + ">.");
        }
        last = at;
      }
    }
  }

  private XmlPaths document(String entry) throws IOException {
    ZipEntry e = zip.getEntry(entry);
    if (e == null || e.isDirectory()) {
      throw new ReadException(file, entry + " is not there.");
    }
    return paths(file, zip, e);
  }

  private static XmlPaths paths(Path file, ZipFile zip, ZipEntry e) throws IOException {
    try (InputStream in = zip.getInputStream(e)) {
      return XmlPaths.of(in);
    } catch (XMLStreamException x) {
      throw new ReadException(file, e.getName() + ": this is no well-formed XML.", x);
    }
  }
}
