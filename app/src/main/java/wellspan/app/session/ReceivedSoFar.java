package wellspan.app.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What became of files that were received together.
 *
 * @param told a sentence for each file that was received
 * @param items how many items they hold
 * @param refused a sentence for each file that was not
 */
record ReceivedSoFar(List<String> told, int items, List<String> refused) {
  static final ReceivedSoFar NOTHING = new ReceivedSoFar(List.of(), 0, List.of());

  ReceivedSoFar {
    told = List.copyOf(told);
    refused = List.copyOf(refused);
  }

  ReceivedSoFar and(String sentence, int itemsOfIt) {
    return new ReceivedSoFar(with(told, sentence), items + itemsOfIt, refused);
  }

  ReceivedSoFar without(String why) {
    return new ReceivedSoFar(told, items, with(refused, why));
  }

  /** What to say of the files that were received; empty if there is none. */
  Optional<String> success() {
    return switch (told.size()) {
      case 0 -> Optional.empty();
      case 1 -> Optional.of(told.getFirst());
      default -> Optional.of(told.size() + " files received: " + items + " items.");
    };
  }

  /** What to say if a file was refused: which, why, and how many were received nevertheless. */
  Optional<String> complaint() {
    if (refused.isEmpty()) {
      return Optional.empty();
    }
    String why = String.join(" ", refused);
    int all = told.size() + refused.size();
    return Optional.of(
        all == 1 ? why : told.size() + " of " + all + " files received. Not received: " + why);
  }

  private static List<String> with(List<String> list, String more) {
    List<String> out = new ArrayList<>(list);
    out.add(more);
    return out;
  }
}
