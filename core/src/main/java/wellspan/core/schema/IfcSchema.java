package wellspan.core.schema;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The versions of ISO 16739 that models are delivered in. */
public enum IfcSchema {
  IFC4X3("IFC4X3_ADD2", "IFC4.3"),
  IFC4("IFC4", "IFC4"),
  IFC2X3("IFC2X3", "IFC2x3");

  private final String id;
  private final String title;

  IfcSchema(String id, String title) {
    this.id = id;
    this.title = title;
  }

  /** As it stands in the header of a file. */
  public String id() {
    return id;
  }

  public String title() {
    return title;
  }

  /** Finds a version by its id, or by the short form {@code IFC4X3}. */
  public static Optional<IfcSchema> named(String text) {
    String t = text.strip().toUpperCase(Locale.ROOT);
    return Arrays.stream(values()).filter(s -> s.id.equals(t) || s.name().equals(t)).findFirst();
  }
}
