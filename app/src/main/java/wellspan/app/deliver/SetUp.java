package wellspan.app.deliver;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Deliveries;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.geom.Position;
import wellspan.core.unit.LinearUnit;

/** What a delivery is: its schema, unit, and where the zero of its file lies. */
final class SetUp extends VBox {
  private static final List<String> ZEROS = List.of("base point", "shared coordinates", "own zero");

  private final Session session;
  private final Delivery delivery;

  SetUp(Session session, Delivery delivery) {
    super(6);
    this.session = session;
    this.delivery = delivery;
    Deliveries desk = session.deliveries();
    String name = delivery.name();
    ComboBox<String> format = new ComboBox<>();
    format.setId("schema");
    format.setPrefWidth(190);
    List<DeliveryFormat> formats = DeliveryFormat.all();
    formats.forEach(f -> format.getItems().add(f.title()));
    format.setValue(delivery.format().title());
    Choices.onChosen(
        format,
        e -> {
          DeliveryFormat f = formats.get(format.getSelectionModel().getSelectedIndex());
          desk.change("Deliver " + name + " as " + f.title(), name, d -> d.withFormat(f));
        });
    ComboBox<String> unit = new ComboBox<>();
    unit.setId("delivery-unit");
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
    ComboBox<String> zero = new ComboBox<>();
    zero.setId("zero");
    zero.getItems().addAll(ZEROS);
    zero.setValue(delivery.zero().title());
    Choices.onChosen(zero, e -> zero(zero.getValue()));
    getChildren()
        .addAll(
            Parts.row(Parts.label("Format", "muted"), format),
            Parts.row(Parts.label("Lengths in", "muted"), unit),
            Parts.row(Parts.label("Zero at", "muted"), zero));
    if (delivery.zero() instanceof LocalZero.Own own) {
      getChildren().add(ownZero(own.zero()));
    }
    Button add = Parts.button("Add a delivery", "small", desk::add);
    add.setId("add-delivery");
    Button remove = Parts.button("Remove", "small", () -> desk.remove(name));
    remove.setId("remove-delivery");
    getChildren().add(new HBox(4, add, Parts.space(), remove));
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

  private TextField ownZero(Position p) {
    TextField f =
        new TextField(
            Figures.number(p.east(), 3)
                + ", "
                + Figures.number(p.north(), 3)
                + ", "
                + Figures.number(p.level(), 3));
    f.setId("own-zero");
    f.setAccessibleText("Own zero: easting, northing, height");
    f.getStyleClass().add("field");
    f.setOnAction(
        e -> {
          String[] w = f.getText().split("[,;]");
          try {
            if (w.length != 3) {
              throw new NumberFormatException();
            }
            Position q =
                new Position(Figures.parse(w[0]), Figures.parse(w[1]), Figures.parse(w[2]));
            session
                .deliveries()
                .change(
                    "Put the zero of " + delivery.name(),
                    delivery.name(),
                    d -> d.withZero(new LocalZero.Own(q)));
          } catch (NumberFormatException x) {
            session.complain(
                "\"" + f.getText() + "\" is no position. Type E, N, H with commas between them.");
          }
        });
    return f;
  }
}
