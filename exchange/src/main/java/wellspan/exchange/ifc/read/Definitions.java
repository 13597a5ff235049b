package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import wellspan.core.attribute.EntityClass;
import wellspan.core.finding.Finding;

/**
 * By what the relations of a file define objects: property and quantity sets, and types. Made once;
 * any thread may ask it.
 */
final class Definitions {
  private static final int[] NONE = {};

  private final IfcModel model;

  /** Numbers of definitions by the number of the object; most objects have few. */
  private final Map<Integer, int[]> setsOf = new HashMap<>();

  private final Map<Integer, Instance> typeOf = new HashMap<>();

  /**
   * @param findings takes relations that cannot be read
   */
  Definitions(IfcModel model, Soundness soundness, List<Finding> findings) {
    this.model = model;
    for (Instance rel : sound(model, "IFCRELDEFINESBYPROPERTIES", soundness, findings)) {
      int[] sets = definitions(rel);
      for (int o : rel.ids("RelatedObjects")) {
        setsOf.merge(o, sets, Definitions::joined);
      }
    }
    for (Instance rel : sound(model, "IFCRELDEFINESBYTYPE", soundness, findings)) {
      rel.ref("RelatingType")
          .ifPresent(t -> Arrays.stream(rel.ids("RelatedObjects")).forEach(o -> typeOf.put(o, t)));
    }
  }

  private static int[] joined(int[] a, int[] b) {
    int[] out = Arrays.copyOf(a, a.length + b.length);
    System.arraycopy(b, 0, out, a.length, b.length);
    return out;
  }

  /** One definition, or in IFC4 a set of them. */
  private static int[] definitions(Instance rel) {
    OptionalInt one = rel.id("RelatingPropertyDefinition");
    return one.isPresent() ? new int[] {one.getAsInt()} : rel.ids("RelatingPropertyDefinition");
  }

  private static List<Instance> sound(
      IfcModel model, String relation, Soundness soundness, List<Finding> findings) {
    List<Instance> out = new ArrayList<>();
    for (Instance rel : model.all(relation)) {
      Optional<String> fault = soundness.ofItself(rel);
      if (fault.isPresent()) {
        findings.add(
            Finding.error(
                RECEIVE,
                "ifc.relation",
                "",
                fault.get() + ". What it says of its objects is left out."));
      } else {
        out.add(rel);
      }
    }
    return out;
  }

  /** Sets and other definitions of an object itself, without those of its type. */
  List<Instance> sets(Instance object) {
    int[] ids = setsOf.getOrDefault(object.id(), NONE);
    List<Instance> out = new ArrayList<>(ids.length);
    for (int id : ids) {
      model.find(id).ifPresent(out::add);
    }
    return out;
  }

  /** The type object of an occurrence. */
  Optional<Instance> typeOf(Instance object) {
    return Optional.ofNullable(typeOf.get(object.id()));
  }

  /** The class of an occurrence; its type says what it does not say itself. */
  EntityClass classOf(Instance p) {
    String type =
        p.entity()
            .typeAttribute()
            .map(a -> p.literal(a.name()))
            .filter(l -> !p.entity().isUnsaid(l))
            .orElse("");
    String own = p.text("ObjectType");
    if (type.isEmpty() || type.equals("NOTDEFINED")) {
      Optional<Instance> t = typeOf(p);
      String byType = t.map(i -> i.literal("PredefinedType")).orElse("");
      if (!byType.isEmpty() && !byType.equals("NOTDEFINED")) {
        type = byType;
        own = own.isEmpty() ? t.map(i -> i.text("ElementType")).orElse("") : own;
      }
    }
    if (type.equals("USERDEFINED") && own.isEmpty()) { // many files leave the word to the type
      own = typeOf(p).map(i -> i.text("ElementType")).orElse("");
    }
    return new EntityClass(p.entity().name(), type, own);
  }
}
