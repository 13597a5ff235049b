package wellspan.app.deliver;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Deliveries;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.FigureEntry;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.extract.ChainageRange;
import wellspan.core.geom.Position;
import wellspan.core.unit.LinearUnit;

/** What a delivery is: its schema, unit, and where the zero of its file lies. */
final class SetUp extends VBox {
  /** How wide choices are, pixels. */
  static final double CHOICE = 190;

  private static final List<String> ZEROS = List.of("base point", "shared coordinates", "own zero");

  private final Session session;
  private final Delivery delivery;

  SetUp(Session session, Delivery delivery) {
    super(6);
    this.session = session;
    this.delivery = delivery;
    Deliveries desk = session.deliveries();
    String name = delivery.name();
    ChoiceBox<String> format = new ChoiceBox<>();
    format.setId("schema");
    format.setPrefWidth(CHOICE);
    List<DeliveryFormat> formats = DeliveryFormat.all();
    formats.forEach(f -> format.getItems().add(f.title()));
    format.setValue(delivery.format().title());
    Choices.onChosen(
        format,
        e -> {
          DeliveryFormat f = formats.get(format.getSelectionModel().getSelectedIndex());
          desk.change("Deliver " + name + " as " + f.title(), name, d -> d.withFormat(f));
        });
    ChoiceBox<String> unit = new ChoiceBox<>();
    unit.setId("delivery-unit");
    unit.setPrefWidth(CHOICE);
    unit.getItems().addAll("m", "mm", "ft", "ftUS");
    unit.setValue(delivery.unit().symbol());
    Choices.onChosen(
        unit,
        e ->
            LinearUnit.named(unit.getValue())
                .ifPresent(
                    u ->
                        desk.change(
                            "Deliver " + name + " in " + u.title(), name, d -> d.withUnit(u))));
    ChoiceBox<String> zero = new ChoiceBox<>();
    zero.setId("zero");
    zero.setPrefWidth(CHOICE);
    zero.getItems().addAll(ZEROS);
    zero.setValue(delivery.zero().title());
    Choices.onChosen(zero, e -> zero(zero.getValue()));
    getChildren().add(Parts.row(Parts.label("Format", "muted"), format));
    if (!delivery.format().about().isEmpty()) {
      getChildren().add(Parts.wrapped(delivery.format().about(), "muted"));
    }
    getChildren()
        .addAll(
            Parts.row(Parts.label("Lengths in", "muted"), unit),
            Parts.row(Parts.label("Zero at", "muted"), zero));
    if (delivery.zero() instanceof LocalZero.Own own) {
      getChildren().add(ownZero(own.zero()));
    }
    getChildren().addAll(range(), new SplitChoice(session, delivery));
    Button add = Parts.button("Add a delivery", "small", desk::add);
    add.setId("add-delivery");
    Button remove = Parts.button("Remove", "small", () -> desk.remove(name));
    remove.setId("remove-delivery");
    getChildren().add(new HBox(4, add, Parts.space(), remove));
  }

  /** Roads need not go whole. */
  private FigureEntry range() {
    double from = delivery.range().map(ChainageRange::from).orElse(Double.NEGATIVE_INFINITY);
    double to = delivery.range().map(ChainageRange::to).orElse(Double.POSITIVE_INFINITY);
    return new FigureEntry(
            "take-range",
            "Cut roads there",
            List.of(
                new FigureEntry.Row(
                    "",
                    List.of(
                        new FigureEntry.Cell(
                            "range-from",
                            "From chainage, m",
                            "all",
                            FigureEntry.Takes.NUMBER_OR_NONE),
                        new FigureEntry.Cell(
                            "range-to",
                            "to chainage, m",
                            "all",
                            FigureEntry.Takes.NUMBER_OR_NONE)))),
            t -> cut(t.number("range-from"), t.number("range-to")))
        .show("range-from", Double.isInfinite(from) ? "" : Figures.number(from, 3))
        .show("range-to", Double.isInfinite(to) ? "" : Figures.number(to, 3));
  }

  private void cut(double from, double to) {
    try {
      Optional<ChainageRange> range =
          Double.isNaN(from) && Double.isNaN(to)
              ? Optional.empty()
              : Optional.of(
                  new ChainageRange(
                      Double.isNaN(from) ? Double.NEGATIVE_INFINITY : from,
                      Double.isNaN(to) ? Double.POSITIVE_INFINITY : to));
      session.deliveries().change("Cut " + delivery.name(), delivery.name(), d -> d.within(range));
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }

  private void zero(String title) {
    LocalZero z =
        switch (ZEROS.indexOf(title)) {
          case 0 -> new LocalZero.BasePoint();
          case 1 -> new LocalZero.Shared();
          default -> new LocalZero.Own(session.job().frame().basePoint());
        };
    session
        .deliveries()
        .change("Put the zero of " + delivery.name(), delivery.name(), d -> d.withZero(z));
  }

  private FigureEntry ownZero(Position p) {
    FigureEntry entry =
        new FigureEntry(
            "take-own-zero",
            "Put it there",
            List.of(
                new FigureEntry.Row(
                    "",
                    List.of(
                        new FigureEntry.Cell(
                            "own-zero-e", "E, m", "412000.000", FigureEntry.Takes.NUMBER),
                        new FigureEntry.Cell(
                            "own-zero-n", "N, m", "6534000.000", FigureEntry.Takes.NUMBER),
                        new FigureEntry.Cell(
                            "own-zero-h", "H, m", "0.000", FigureEntry.Takes.NUMBER)))),
            t ->
                session
                    .deliveries()
                    .change(
                        "Put the zero of " + delivery.name(),
                        delivery.name(),
                        d ->
                            d.withZero(
                                new LocalZero.Own(
                                    t.position("own-zero-e", "own-zero-n", "own-zero-h")))));
    return entry
        .show("own-zero-e", Figures.number(p.east(), 3))
        .show("own-zero-n", Figures.number(p.north(), 3))
        .show("own-zero-h", Figures.number(p.level(), 3));
  }
}
