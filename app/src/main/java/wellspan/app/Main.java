package wellspan.app;

/** Placeholder until the window stands. */
public final class Main {
  private Main() {}
}
