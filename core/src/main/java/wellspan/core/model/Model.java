package wellspan.core.model;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.finding.Finding;

/**
 * All objects of a model with what is said of them, without geometry: some 1 to 2 kilobytes for an
 * object with a property set. Immutable; any thread may read it.
 *
 * @param file name of the file
 * @param schema as the file names it
 * @param project GlobalId of the project, empty if there is none
 * @param findings what could not be read
 */
public record Model(
    String file,
    String schema,
    String project,
    List<ModelObject> objects,
    List<Finding> findings,
    Map<Integer, ModelObject> byNumber) {

  public Model(
      String file,
      String schema,
      String project,
      List<ModelObject> objects,
      List<Finding> findings) {
    this(file, schema, project, List.copyOf(objects), List.copyOf(findings), index(objects));
  }

  private static Map<Integer, ModelObject> index(List<ModelObject> objects) {
    Map<Integer, ModelObject> out = new HashMap<>();
    objects.forEach(o -> out.put(o.number(), o));
    return out;
  }

  /** The object of a number in the file. */
  public Optional<ModelObject> find(int number) {
    return Optional.ofNullable(byNumber.get(number));
  }
}
