package wellspan.core.describe;

import java.util.Locale;

/** A property's value with its measure. Lengths and areas are in metres and square metres. */
public sealed interface PropertyValue {
  /** The value as text, with unit, for people. */
  String show();

  record Label(String text) implements PropertyValue {
    @Override
    public String show() {
      return text;
    }
  }

  record Length(double metres) implements PropertyValue {
    @Override
    public String show() {
      return String.format(Locale.ROOT, "%.3f m", metres);
    }
  }

  record Area(double squareMetres) implements PropertyValue {
    @Override
    public String show() {
      return String.format(Locale.ROOT, "%.2f m\u00b2", squareMetres);
    }
  }

  record Count(long number) implements PropertyValue {
    @Override
    public String show() {
      return Long.toString(number);
    }
  }

  record Real(double number) implements PropertyValue {
    @Override
    public String show() {
      return Double.toString(number);
    }
  }

  record Flag(boolean value) implements PropertyValue {
    @Override
    public String show() {
      return value ? "yes" : "no";
    }
  }
}
