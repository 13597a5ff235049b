package wellspan.exchange.bcf.write;

import java.io.IOException;
import java.io.OutputStream;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes topics as BCF 3.0 or 2.1, in the order of elements that their schemas ask for. */
public final class BcfWriter {
  private static final String AUTHOR = "Wellspan";
  private static final List<String> TYPES = List.of("Requirement", "Finding");
  private static final String STATUS = "Open";

  private final BcfVersion version;
  private final String model;
  private final String project;
  private final Instant at;

  private BcfWriter(BcfVersion version, String model, String project, Instant at) {
    this.version = version;
    this.model = model;
    this.project = project;
    this.at = at.truncatedTo(ChronoUnit.SECONDS);
  }

  /**
   * @param model name of the model's file
   * @param project GlobalId of the project in it, empty if there is none
   */
  public static void write(
      Path file,
      BcfVersion version,
      String model,
      String project,
      List<BcfTopic> topics,
      Instant at)
      throws IOException {
    try (OutputStream out = Files.newOutputStream(file);
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      new BcfWriter(version, model, project, at).all(zip, topics);
    } catch (XMLStreamException e) {
      throw new IOException("The topics could not be written as XML.", e);
    }
  }

  private boolean three() {
    return version == BcfVersion.V3_0;
  }

  private void all(ZipOutputStream zip, List<BcfTopic> topics)
      throws IOException, XMLStreamException {
    entry(
        zip,
        "bcf.version",
        xml(
            x -> {
              x.writeStartElement("Version");
              x.writeAttribute("VersionId", version.id());
              if (!three()) {
                leaf(x, "DetailedVersion", version.id());
              }
              x.writeEndElement();
            }));
    if (three()) {
      entry(zip, "extensions.xml", xml(this::extensions));
    }
    for (BcfTopic t : topics) {
      UUID viewpoint = UUID.nameUUIDFromBytes((t.guid() + "view").getBytes(StandardCharsets.UTF_8));
      entry(zip, t.guid() + "/markup.bcf", xml(x -> markup(x, t, viewpoint)));
      entry(zip, t.guid() + "/viewpoint.bcfv", xml(x -> viewpoint(x, t, viewpoint)));
      zip.putNextEntry(new ZipEntry(t.guid() + "/snapshot.png"));
      zip.write(t.picture());
      zip.closeEntry();
    }
  }

  /** Writes the elements of a document. */
  private interface Part {
    void write(XMLStreamWriter x) throws XMLStreamException;
  }

  private static String xml(Part part) throws XMLStreamException {
    StringWriter out = new StringWriter();
    XMLStreamWriter x = XMLOutputFactory.newFactory().createXMLStreamWriter(out);
    x.writeStartDocument("UTF-8", "1.0");
    part.write(x);
    x.writeEndDocument();
    x.close();
    return out.toString();
  }

  private static void entry(ZipOutputStream zip, String name, String text) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  private static void leaf(XMLStreamWriter x, String name, String text) throws XMLStreamException {
    x.writeStartElement(name);
    x.writeCharacters(text);
    x.writeEndElement();
  }

  private static void leaf(XMLStreamWriter x, String name, double number)
      throws XMLStreamException {
    leaf(x, name, java.math.BigDecimal.valueOf(number).toPlainString());
  }

  private void extensions(XMLStreamWriter x) throws XMLStreamException {
    x.writeStartElement("Extensions");
    x.writeStartElement("TopicTypes");
    for (String type : TYPES) {
      leaf(x, "TopicType", type);
    }
    x.writeEndElement();
    x.writeStartElement("TopicStatuses");
    leaf(x, "TopicStatus", STATUS);
    x.writeEndElement();
    x.writeStartElement("Users");
    leaf(x, "User", AUTHOR);
    x.writeEndElement();
    x.writeEndElement();
  }

  private void markup(XMLStreamWriter x, BcfTopic t, UUID viewpoint) throws XMLStreamException {
    x.writeStartElement("Markup");
    x.writeStartElement("Header");
    if (three()) {
      x.writeStartElement("Files");
    }
    x.writeStartElement("File");
    if (!project.isEmpty()) {
      x.writeAttribute("IfcProject", project);
    }
    x.writeAttribute(three() ? "IsExternal" : "isExternal", "true");
    leaf(x, "Filename", model);
    leaf(x, "Date", at.toString());
    x.writeEndElement();
    if (three()) {
      x.writeEndElement();
    }
    x.writeEndElement();
    x.writeStartElement("Topic");
    x.writeAttribute("Guid", t.guid().toString());
    x.writeAttribute("TopicType", t.type());
    x.writeAttribute("TopicStatus", STATUS);
    leaf(x, "Title", t.title());
    leaf(x, "CreationDate", at.toString());
    leaf(x, "CreationAuthor", AUTHOR);
    if (!t.description().isBlank()) {
      leaf(x, "Description", t.description());
    }
    if (three()) {
      x.writeStartElement("Viewpoints");
      listed(x, "ViewPoint", viewpoint);
      x.writeEndElement();
    }
    x.writeEndElement();
    if (!three()) {
      listed(x, "Viewpoints", viewpoint);
    }
    x.writeEndElement();
  }

  private static void listed(XMLStreamWriter x, String element, UUID viewpoint)
      throws XMLStreamException {
    x.writeStartElement(element);
    x.writeAttribute("Guid", viewpoint.toString());
    leaf(x, "Viewpoint", "viewpoint.bcfv");
    leaf(x, "Snapshot", "snapshot.png");
    x.writeEndElement();
  }

  private void viewpoint(XMLStreamWriter x, BcfTopic t, UUID guid) throws XMLStreamException {
    x.writeStartElement("VisualizationInfo");
    x.writeAttribute("Guid", guid.toString());
    x.writeStartElement("Components");
    if (!t.objects().isEmpty()) {
      x.writeStartElement("Selection");
      for (String id : t.objects()) {
        x.writeEmptyElement("Component");
        x.writeAttribute("IfcGuid", id);
      }
      x.writeEndElement();
    }
    x.writeEmptyElement("Visibility");
    x.writeAttribute("DefaultVisibility", "true");
    x.writeEndElement();
    BcfTopic.Viewpoint v = t.viewpoint();
    x.writeStartElement("OrthogonalCamera");
    point(x, "CameraViewPoint", v.x(), v.y(), v.z());
    point(x, "CameraDirection", 0, 0, -1);
    point(x, "CameraUpVector", 0, 1, 0);
    leaf(x, "ViewToWorldScale", v.height());
    if (three()) {
      leaf(x, "AspectRatio", v.aspect());
    }
    x.writeEndElement();
    x.writeEndElement();
  }

  private static void point(XMLStreamWriter x, String name, double a, double b, double c)
      throws XMLStreamException {
    x.writeStartElement(name);
    leaf(x, "X", a);
    leaf(x, "Y", b);
    leaf(x, "Z", c);
    x.writeEndElement();
  }
}
