package wellspan.core.packing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.PropertySet;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.describe.ClassRules;
import wellspan.core.describe.KnownFacts;
import wellspan.core.extract.ChainageRange;
import wellspan.core.extract.Extract;
import wellspan.core.extract.Split;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.item.Relations;
import wellspan.core.job.Source;
import wellspan.core.place.Control;
import wellspan.core.place.SourcePlacement;
import wellspan.core.recipe.Triangulation;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.rulebook.Ruling;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.BreaklineChains;
import wellspan.core.unit.LinearUnit;

/** Decides what goes into a parcel and what is said of each piece. */
public final class Packing {
  /** What is put behind a surface's name for its breaklines. */
  public static final String BREAKLINES = " breaklines";

  private Packing() {}

  /** Everything that a delivery sends from a job as it is now. */
  public static Parcel parcel(Build build, Delivery delivery) {
    return parcel(build, delivery, i -> build.sends(delivery, i));
  }

  /**
   * What a delivery would say of one item, also if the rulebook holds it back. Where it stands is
   * told among all items of the job, in time of their number.
   */
  public static Description description(Build build, Build.BuiltItem i, Delivery delivery) {
    Parcel.Piece piece =
        piece(build, new GlobalIds(build.job().id()), new DealtItem(i, ""), delivery);
    Parcel alone =
        new Parcel(
            build.job().name(),
            delivery.format(),
            delivery.zero().frame(build.job().frame()),
            delivery.unit(),
            new GlobalIds(build.job().id()),
            ReceivedIds.kept(List.of(piece)),
            Control.NONE,
            build.job().project(),
            List.of(),
            Optional.empty());
    return StructurePlaces.settled(
            alone, build.items().values().stream().map(Build.BuiltItem::item).toList())
        .pieces()
        .getFirst()
        .description();
  }

  /** The same with what the rulebook holds back, to see what would be said of it. */
  public static Parcel whole(Build build, Delivery delivery) {
    return parcel(build, delivery, i -> delivery.sends(i.id(), i.item()));
  }

  private static Parcel parcel(Build build, Delivery delivery, Predicate<Build.BuiltItem> sent) {
    List<DealtItem> items = sent(build, delivery, sent).map(i -> new DealtItem(i, "")).toList();
    return parcel(build, delivery, items, items);
  }

  /**
   * What a delivery sends from a job as it is now, dealt to the files that it asks for. All have
   * the same frame, and what they share (project, site, roads) has the same GlobalIds in each.
   *
   * @return by what stands behind the stem of a file's name; empty for a delivery of one file
   */
  public static Map<String, Parcel> parcels(Build build, Delivery delivery) {
    if (delivery.split().isEmpty()) {
      return Map.of("", parcel(build, delivery));
    }
    List<Build.BuiltItem> sent = sent(build, delivery, i -> build.sends(delivery, i)).toList();
    Map<String, List<DealtItem>> dealt = DealtItem.deal(sent, delivery.split().get());
    List<DealtItem> all = dealt.values().stream().flatMap(List::stream).toList();
    Map<String, Parcel> out = new LinkedHashMap<>();
    dealt.forEach((part, items) -> out.put(part, parcel(build, delivery, items, all)));
    return out;
  }

  private static Stream<Build.BuiltItem> sent(
      Build build, Delivery delivery, Predicate<Build.BuiltItem> sent) {
    return build.items().values().stream().filter(sent).flatMap(i -> part(i, delivery).stream());
  }

  private static Parcel parcel(
      Build build, Delivery delivery, List<DealtItem> items, List<DealtItem> all) {
    GlobalIds ids = new GlobalIds(build.job().id());
    List<Parcel.Piece> pieces =
        items.stream().flatMap(i -> pieces(build, ids, i, delivery)).toList();
    return StructurePlaces.settled(
        new Parcel(
            build.job().name(),
            delivery.format(),
            delivery.zero().frame(build.job().frame()),
            delivery.unit(),
            ids,
            ReceivedIds.kept(asSent(pieces, delivery.format())),
            build.job().control(),
            build.job().project(),
            DealtItem.relations(build.relations(), items),
            Optional.empty()),
        all.stream().map(i -> i.built().item()).toList());
  }

  private static List<Parcel.Piece> asSent(List<Parcel.Piece> pieces, DeliveryFormat format) {
    List<Item> items = format.asSent(pieces.stream().map(Parcel.Piece::item).toList());
    List<Parcel.Piece> out = new ArrayList<>();
    for (int i = 0; i < pieces.size(); i++) {
      out.add(pieces.get(i).with(items.get(i)));
    }
    return out;
  }

  /** An item; for LandXML also the breaklines that are edges of a surface. */
  private static Stream<Parcel.Piece> pieces(
      Build build, GlobalIds ids, DealtItem dealt, Delivery delivery) {
    Build.BuiltItem i = dealt.built();
    Parcel.Piece whole = piece(build, ids, dealt, delivery);
    if (!delivery.format().takesBreaklines()
        || !(i.item().kind().is(Kind.TERRAIN) && i.item().shape() instanceof Shape.Faces s)) {
      return Stream.of(whole);
    }
    List<Polyline> lines = BreaklineChains.of(s.mesh(), breaklines(build, i));
    return lines.isEmpty()
        ? Stream.of(whole)
        : Stream.of(
            whole, breaklines(whole, ids, Item.string(i.item().name() + BREAKLINES, lines)));
  }

  /** What of an item lies in the delivery's range of chainages. */
  private static Optional<Build.BuiltItem> part(Build.BuiltItem i, Delivery delivery) {
    return delivery.range().isEmpty()
        ? Optional.of(i)
        : Extract.inRange(i.item(), delivery.range().get(), Curved.USUAL_CHORD)
            .map(p -> new Build.BuiltItem(i.id(), p, i.source(), i.origin()));
  }

  /** What the rulebook decides of an item, or of the part of it that is sent. */
  @SuppressWarnings("ReferenceEquality") // equality would compare all of the geometry
  private static Ruled ruled(Build build, Build.BuiltItem i, Delivery delivery) {
    boolean whole = build.items().get(i.id()).item() == i.item();
    return whole || build.job().rulebook().equals(Rulebook.NONE)
        ? build.ruled(i.id(), delivery.schema())
        : new Ruling(build.job().rulebook(), delivery.schema())
            .of(build.subjects().get(i.id()).of(i.item()));
  }

  private static Parcel.Piece breaklines(Parcel.Piece of, GlobalIds ids, Item lines) {
    String key = of.key() + Parcel.Piece.PART + BREAKLINES;
    Description d =
        new Description(
            ClassRules.standard(lines, IfcSchema.IFC4X3), ids.of(key, "product"), List.of());
    return new Parcel.Piece(key, lines, d, of.fingerprint(), of.key());
  }

  /** The lines that a surface was made of here, or that its source gives as its breaklines. */
  private static List<Polyline> breaklines(Build build, Build.BuiltItem i) {
    List<ItemId> from =
        build
            .results()
            .maker(i.id())
            .map(m -> m.recipe() instanceof Triangulation t ? t.breaklines() : null)
            .orElseGet(
                () -> List.of(ItemId.of(i.source(), "string", i.item().name() + BREAKLINES)));
    List<Polyline> out = new ArrayList<>();
    for (ItemId id : from) {
      Build.BuiltItem lines = build.items().get(id);
      if (lines != null && lines.item().shape() instanceof Shape.Lines l) {
        out.addAll(l.lines());
      }
    }
    return out;
  }

  /**
   * One piece: its GlobalId comes from the job and the item's identity, so it is the same in every
   * run.
   */
  private static Parcel.Piece piece(
      Build build, GlobalIds ids, DealtItem dealt, Delivery delivery) {
    Build.BuiltItem i = dealt.built();
    EntityClass c = build.classOf(i, delivery.schema());
    PropertySet facts = KnownFacts.of(i.item(), i.origin().file(), i.origin().revision());
    Saying saying = new Saying(build.job().rulebook(), ruled(build, i, delivery), facts);
    return new Parcel.Piece(
        dealt.key(),
        i.item(),
        saying.of(c, ids.of(dealt.key(), "product"), i.item(), delivery.format()),
        fingerprint(build, i, c, delivery));
  }

  /**
   * Tells one state of an item as it is sent from another without looking at its geometry: source
   * revision, placement, steps, class, frame, unit, zero, schema. Frames differ by what reaches the
   * file: a lock or the unit of readings does not.
   */
  public static String fingerprint(Build build, ItemId id, Delivery delivery) {
    Build.BuiltItem i = build.items().get(id);
    return i == null ? "" : fingerprint(build, i, build.classOf(i, delivery.schema()), delivery);
  }

  private static String fingerprint(
      Build build, Build.BuiltItem i, EntityClass c, Delivery delivery) {
    String state =
        String.join(
            "\u0000",
            i.id().value(),
            state(build, i.id(), new HashSet<>()),
            c.toString(),
            delivery.zero().frame(build.job().frame()).asDelivered().toString(),
            delivery.unit().symbol(),
            delivery.format().id(),
            delivery.range().map(ChainageRange::toString).orElse("")
                + delivery.split().map(Split::word).orElse(""));
    String said = said(build, i, delivery);
    return new GlobalIds(build.job().id())
        .of(said.isEmpty() ? state : state + "\u0000" + said, "state");
  }

  /** What rules and hands say of an item; empty where they say nothing. */
  private static String said(Build build, Build.BuiltItem i, Delivery delivery) {
    Ruled ruled = build.ruled(i.id(), delivery.schema());
    Map<String, String> byHand = build.job().settingsOf(i.id()).attributes();
    return ruled.equals(Ruled.NOTHING) && byHand.isEmpty()
        ? ""
        : ruled.sets()
            + "\u0001"
            + ruled.codes()
            + "\u0001"
            + ruled.structure()
            + "\u0001"
            + byHand
            + "\u0001"
            + build.job().rulebook().withoutSets();
  }

  /** Where an item comes from and what was done to it, and the same of everything that went in. */
  private static String state(Build build, ItemId id, Set<ItemId> told) {
    Build.BuiltItem i = build.items().get(id);
    if (i == null || !told.add(id)) {
      return "";
    }
    List<String> parts = new ArrayList<>();
    parts.add(i.origin().content());
    parts.add(
        build
            .job()
            .source(i.source())
            .map(Source::placement)
            .orElse(SourcePlacement.SHARED)
            .toString());
    parts.add(i.item().name().equals(Build.MARKS) ? build.job().marks().toString() : "");
    parts.add(build.results().recorded(id));
    build.results().uses(id).forEach(u -> parts.add(state(build, u, told)));
    return String.join("\u0001", parts);
  }

  /**
   * One piece without a job around it, for conversion of single files.
   *
   * @param id of the item, unlike that of any other in the parcel
   */
  public static Parcel.Piece loosePiece(
      GlobalIds ids, ItemId id, Item item, DeliveryFormat format, String file) {
    return loosePiece(ids, id, item, format, file, Rulebook.NONE, Ruled.NOTHING);
  }

  /**
   * The same as a rulebook has it.
   *
   * @param ruled what the rulebook decides of the item in the format's schema
   */
  public static Parcel.Piece loosePiece(
      GlobalIds ids,
      ItemId id,
      Item item,
      DeliveryFormat format,
      String file,
      Rulebook book,
      Ruled ruled) {
    IfcSchema schema = format.schema().orElse(IfcSchema.IFC4X3);
    EntityClass c =
        ruled.entityClass().orElseGet(() -> ClassRules.of(item, item.said().entityClass(), schema));
    return new Parcel.Piece(
        id.value(),
        item,
        new Saying(book, ruled, KnownFacts.stillTrue(KnownFacts.of(item, file, ""), item))
            .of(c, ids.of(id.value(), "product"), item, format),
        "");
  }

  /** The same for an item that no file says anything of. */
  public static Parcel.Piece loosePiece(
      GlobalIds ids, ItemId id, Item item, IfcSchema schema, String file) {
    return loosePiece(ids, id, item, new IfcFormat(schema), file);
  }

  /** The same of a project of which nothing but its name is stated. */
  public static Parcel loose(
      String project,
      DeliveryFormat format,
      Frame frame,
      LinearUnit unit,
      GlobalIds ids,
      List<Parcel.Piece> pieces) {
    return loose(project, ProjectInfo.NONE, format, frame, unit, ids, pieces);
  }

  /** The same of one file that goes out by itself. */
  public static Parcel loose(
      String project,
      ProjectInfo info,
      DeliveryFormat format,
      Frame frame,
      LinearUnit unit,
      GlobalIds ids,
      List<Parcel.Piece> pieces) {
    List<Item> all = pieces.stream().map(Parcel.Piece::item).toList();
    return loose(project, info, format, frame, unit, ids, pieces, all);
  }

  /**
   * The parcel of pieces without a job around them; received GlobalIds stay where they can.
   *
   * @param all what goes out together, this parcel's and that of others beside it
   */
  public static Parcel loose(
      String project,
      ProjectInfo info,
      DeliveryFormat format,
      Frame frame,
      LinearUnit unit,
      GlobalIds ids,
      List<Parcel.Piece> pieces,
      List<Item> all) {
    Map<ItemId, Item> items = new LinkedHashMap<>();
    pieces.forEach(p -> items.put(new ItemId(p.key()), p.item()));
    return StructurePlaces.settled(
        new Parcel(
            project,
            format,
            frame,
            unit,
            ids,
            ReceivedIds.kept(asSent(pieces, format)),
            Control.NONE,
            info,
            Relations.of(items),
            Optional.empty()),
        all);
  }
}
