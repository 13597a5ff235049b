package wellspan.core.road;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Kind;
import wellspan.core.item.SolidQuantities;

/** What is known of a part of a road: own facts, and the standard quantities of its kind. */
final class RoadFacts {
  /** Name of the own set: no standard set holds chainages, strings or numbers of courses. */
  static final String SET = "Wellspan_RoadPart";

  private RoadFacts() {}

  /**
   * @param road name of the road
   * @param volume of the part, cubic metres
   */
  static List<PropertySet> of(String road, Alignment axis, RoadPart part, double volume) {
    CarriedSection b = part.body();
    double length = rounded(b.length());
    double width = rounded(b.meanWidth());
    double thickness =
        part.thickness() > 0
            ? part.thickness()
            : width > 0 ? Math.round(1e4 * b.meanArea() / b.meanWidth()) / 1e4 : 0;
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Road", new PropertyValue.Label(road));
    v.put("Part", new PropertyValue.Label(part.name()));
    put(v, "Side", part.side());
    put(v, "LeftString", b.between().get(0));
    put(v, "RightString", b.between().get(1));
    v.put("Number", new PropertyValue.Count(part.number()));
    put(v, "Material", part.material());
    v.put("StartChainage", new PropertyValue.Length(axis.chainages().at(b.from())));
    v.put("EndChainage", new PropertyValue.Length(axis.chainages().at(b.to())));
    v.put("Length", new PropertyValue.Length(length));
    v.put("Width", new PropertyValue.Length(width));
    List<PropertySet> out = new ArrayList<>();
    if (b.isSolid()) {
      v.put("Thickness", new PropertyValue.Length(thickness));
      v.put("SectionArea", new PropertyValue.Area(b.meanArea()));
      v.put("Volume", volume(volume));
      Kind.of(part.kind())
          .quantities()
          .ifPresent(q -> out.add(quantities(q, length, width, thickness, volume)));
    }
    out.addFirst(new PropertySet(SET, v));
    return out;
  }

  /** To a thousandth of a millimetre; a mean thickness to a tenth, as finely as sections come. */
  private static double rounded(double metres) {
    return Math.round(metres * 1e6) / 1e6;
  }

  private static void put(Map<String, PropertyValue> v, String name, String text) {
    if (!text.isEmpty()) {
      v.put(name, new PropertyValue.Label(text));
    }
  }

  private static PropertyValue volume(double cubicMetres) {
    return new PropertyValue.Measure("IfcVolumeMeasure", cubicMetres);
  }

  private static PropertySet quantities(
      SolidQuantities names, double length, double width, double thickness, double volume) {
    Map<String, PropertyValue> q = new LinkedHashMap<>();
    q.put("Length", new PropertyValue.Length(length));
    q.put("Width", new PropertyValue.Length(width));
    q.put(names.thickness(), new PropertyValue.Length(thickness));
    q.put(names.volume(), volume(volume));
    return new PropertySet(names.set(), q, true);
  }
}
