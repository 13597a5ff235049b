package wellspan.exchange.ifc.read;

import java.util.ArrayDeque;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Tells whether an instance can be read whole: itself and everything that it is made of, down to
 * the last point. Each instance is looked at once, so the cost of a whole model is that of its
 * parts.
 */
final class Soundness {
  /** The context says how precise a shape is and how its axes are called, not where it lies. */
  private static final Set<String> NOT_FOLLOWED = Set.of("OwnerHistory", "ContextOfItems");

  private final IfcModel model;
  private final SchemaCheck check;
  private final BitSet sound = new BitSet();
  private final Map<Integer, String> faults = new HashMap<>();

  Soundness(IfcModel model) {
    this.model = model;
    check = new SchemaCheck(model);
  }

  SchemaCheck check() {
    return check;
  }

  /** What is wrong with an instance itself, without what it refers to. */
  Optional<String> ofItself(Instance i) {
    return check.fault(i).map(f -> said(i, f));
  }

  /** The first thing that is wrong with an instance or with anything it is made of. */
  Optional<String> whole(Instance root) {
    Deque<Part> open = new ArrayDeque<>();
    Set<Integer> path = new HashSet<>();
    enter(root, open, path);
    while (!open.isEmpty()) {
      Part now = open.peek();
      int id = now.instance.id();
      String fault = faults.get(id);
      if (fault != null) {
        open.forEach(above -> faults.put(above.instance.id(), fault));
        return Optional.of(fault);
      }
      if (now.next < now.parts.length) {
        model.find(now.parts[now.next++]).ifPresent(p -> enter(p, open, path));
      } else {
        sound.set(id);
        path.remove(id);
        open.pop();
      }
    }
    return Optional.empty();
  }

  private void enter(Instance i, Deque<Part> open, Set<Integer> path) {
    if (sound.get(i.id())) {
      return;
    }
    if (!faults.containsKey(i.id())) {
      if (path.add(i.id())) {
        check.fault(i).ifPresent(f -> faults.put(i.id(), said(i, f)));
      } else {
        faults.put(i.id(), said(i, "it is made of itself"));
      }
    }
    open.push(new Part(i, faults.containsKey(i.id()) ? new int[0] : parts(i)));
  }

  /** An instance on the way down, and which of its parts comes next. */
  private static final class Part {
    final Instance instance;
    final int[] parts;
    int next;

    Part(Instance instance, int[] parts) {
      this.instance = instance;
      this.parts = parts;
    }
  }

  private static int[] parts(Instance i) {
    java.util.stream.IntStream.Builder out = java.util.stream.IntStream.builder();
    for (int k = 0; k < i.values().size(); k++) {
      if (!NOT_FOLLOWED.contains(i.entity().attributes().get(k).name())) {
        collect(i.values().get(k), out);
      }
    }
    return out.build().toArray();
  }

  private static void collect(Value v, java.util.stream.IntStream.Builder out) {
    switch (v) {
      case Value.Ref(int id) -> out.add(id);
      case Value.Many(List<Value> all) -> all.forEach(x -> collect(x, out));
      case Value.Typed(String type, Value inner) -> collect(inner, out);
      default -> {}
    }
  }

  private static String said(Instance i, String fault) {
    return "#" + i.id() + " " + i.entity().name() + ": " + fault;
  }
}
