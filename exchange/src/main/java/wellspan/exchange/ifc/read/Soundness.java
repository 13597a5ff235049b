package wellspan.exchange.ifc.read;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Tells whether an instance can be read whole: itself and everything that it is made of, down to
 * the last point. Each instance is looked at once, so the cost of a whole model is that of its
 * parts. For one thread.
 */
final class Soundness {
  /** The context says how precise a shape is and how its axes are called, not where it lies. */
  private static final int[] NONE = {};

  private static final byte SOUND = 1;
  private static final byte ENTERED = 2;

  private static final Set<String> NOT_FOLLOWED = Set.of("OwnerHistory", "ContextOfItems");

  private final IfcModel model;
  private final SchemaCheck check;

  /** Of each instance by its slot: 0 not looked at. */
  private final byte[] state;

  private final Map<Integer, String> faults = new HashMap<>();

  /** The way down to the part looked at. */
  private final Deque<Part> open = new ArrayDeque<>();

  private int[] references = new int[16];
  private int found;

  Soundness(IfcModel model) {
    this.model = model;
    check = new SchemaCheck(model);
    state = new byte[model.size()];
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
    if (isSound(root.id())) {
      return Optional.empty();
    }
    open.clear();
    enter(root);
    while (!open.isEmpty()) {
      Part now = open.peek();
      int id = now.instance.id();
      String fault = faults.get(id);
      if (fault != null) {
        for (Part above : open) {
          faults.put(above.instance.id(), fault);
          state[model.slotOf(above.instance.id())] = 0;
        }
        return Optional.of(fault);
      }
      if (now.next < now.parts.length) {
        int part = now.parts[now.next++];
        if (!isSound(part)) {
          model.find(part).ifPresent(this::enter);
        }
      } else {
        state[model.slotOf(id)] = SOUND;
        open.pop();
      }
    }
    return Optional.empty();
  }

  private boolean isSound(int id) {
    int slot = model.slotOf(id);
    return slot >= 0 && state[slot] == SOUND;
  }

  private void enter(Instance i) {
    if (!faults.containsKey(i.id())) {
      int slot = model.slotOf(i.id());
      if (state[slot] == ENTERED) {
        faults.put(i.id(), said(i, "it is made of itself"));
      } else {
        state[slot] = ENTERED;
        check.fault(i).ifPresent(f -> faults.put(i.id(), said(i, f)));
      }
    }
    open.push(new Part(i, faults.containsKey(i.id()) ? NONE : parts(i)));
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

  private int[] parts(Instance i) {
    found = 0;
    for (int k = 0; k < i.values().size(); k++) {
      Value v = i.values().get(k);
      if (holdsReferences(v) && !NOT_FOLLOWED.contains(i.entity().attributes().get(k).name())) {
        collect(v);
      }
    }
    return found == 0 ? NONE : Arrays.copyOf(references, found);
  }

  private static boolean holdsReferences(Value v) {
    return v instanceof Value.Ref || v instanceof Value.Many || v instanceof Value.Typed;
  }

  private void collect(Value v) {
    switch (v) {
      case Value.Ref(int id) -> {
        if (found == references.length) {
          references = Arrays.copyOf(references, 2 * found);
        }
        references[found++] = id;
      }
      case Value.Many(List<Value> all) -> all.forEach(this::collect);
      case Value.Typed(String type, Value inner) -> collect(inner);
      default -> {}
    }
  }

  private static String said(Instance i, String fault) {
    return "#" + i.id() + " " + i.entity().name() + ": " + fault;
  }
}
