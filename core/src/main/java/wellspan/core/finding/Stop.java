package wellspan.core.finding;

/** The six stops of the route, in order. */
public enum Stop {
  RECEIVE("Receive"),
  PLACE("Place"),
  SHAPE("Shape"),
  DESCRIBE("Describe"),
  DRAW("Draw"),
  DELIVER("Deliver");

  private final String title;

  Stop(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
