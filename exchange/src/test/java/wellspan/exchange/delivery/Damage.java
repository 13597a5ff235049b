package wellspan.exchange.delivery;

import java.util.Random;
import java.util.regex.Pattern;

/** A kind of damage: a pattern whose group is changed at a random one of its places. */
record Damage(String what, Pattern where, Change change) {

  /** What becomes of what was found. */
  interface Change {
    String of(String found, Random r);
  }

  static Damage of(String what, String where, Change change) {
    return new Damage(what, Pattern.compile(where), change);
  }

  /** Takes the whole match out. */
  static Damage out(String what, String where) {
    return of(what, "(" + where + ")", (s, r) -> "");
  }
}
