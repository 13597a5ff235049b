package wellspan.exchange.ids.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wellspan.core.requirement.Constraint;
import wellspan.core.requirement.XsdPattern;
import wellspan.exchange.file.ReadException;

/** Reads a restriction of XML Schema. */
final class IdsRestriction {
  private static final Set<String> BASES =
      Set.of(
          "string",
          "double",
          "integer",
          "boolean",
          "date",
          "dateTime",
          "time",
          "duration",
          "decimal",
          "float",
          "int",
          "long",
          "anyURI");

  private IdsRestriction() {}

  static Constraint of(IdsElement r) throws ReadException {
    String base = r.needAttribute("base");
    String plain = base.substring(base.indexOf(':') + 1);
    if (!BASES.contains(plain)) {
      throw r.wrong("the base " + base + " is not known");
    }
    List<String> enumeration = new ArrayList<>();
    List<XsdPattern> patterns = new ArrayList<>();
    Optional<Constraint.Bound> lower = Optional.empty();
    Optional<Constraint.Bound> upper = Optional.empty();
    Optional<Integer> length = Optional.empty();
    Optional<Integer> min = Optional.empty();
    Optional<Integer> max = Optional.empty();
    for (IdsElement f : r.children()) {
      if (f.is("annotation")) {
        continue;
      }
      String value = f.needAttribute("value");
      switch (f.name()) {
        case "enumeration" -> enumeration.add(value);
        case "pattern" -> patterns.add(pattern(f, value));
        case "minInclusive" -> lower = Optional.of(bound(f, value, true));
        case "minExclusive" -> lower = Optional.of(bound(f, value, false));
        case "maxInclusive" -> upper = Optional.of(bound(f, value, true));
        case "maxExclusive" -> upper = Optional.of(bound(f, value, false));
        case "length" -> length = Optional.of(count(f, value));
        case "minLength" -> min = Optional.of(count(f, value));
        case "maxLength" -> max = Optional.of(count(f, value));
        default -> throw f.wrong("the restriction <" + f.name() + "> is not known");
      }
    }
    if (lower.isPresent() && upper.isPresent() && lower.get().number() > upper.get().number()) {
      throw r.wrong("the lower bound is greater than the upper one");
    }
    return new Constraint.Restriction(enumeration, patterns, lower, upper, length, min, max);
  }

  private static XsdPattern pattern(IdsElement f, String value) throws ReadException {
    try {
      return XsdPattern.of(value);
    } catch (IllegalArgumentException e) {
      throw f.wrong(e.getMessage());
    }
  }

  private static Constraint.Bound bound(IdsElement f, String value, boolean inclusive)
      throws ReadException {
    if (!Constraint.NUMBER.matcher(value.strip()).matches()) {
      throw f.wrong("the bound \"" + value + "\" is no number");
    }
    return new Constraint.Bound(Double.parseDouble(value.strip()), inclusive, value.strip());
  }

  private static int count(IdsElement f, String value) throws ReadException {
    if (!value.strip().matches("\\d{1,9}")) {
      throw f.wrong("the length \"" + value + "\" is no whole number");
    }
    return Integer.parseInt(value.strip());
  }
}
