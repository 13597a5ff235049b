package wellspan.core.network;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.attribute.PropertyValue.Area;
import wellspan.core.attribute.PropertyValue.Label;
import wellspan.core.attribute.PropertyValue.Length;
import wellspan.core.attribute.PropertyValue.Measure;

/** What is known of pipes and chambers: own facts, and the standard sets of their classes. */
final class NetworkFacts {
  private NetworkFacts() {}

  static List<PropertySet> of(String network, String type, Chamber c, ChamberBody body) {
    Map<String, PropertyValue> own = new LinkedHashMap<>();
    own.put("Network", new Label(network));
    put(own, "NetworkType", type);
    own.put("RimLevel", new Length(body.rim()));
    own.put("FloorLevel", new Length(body.floor()));
    c.lowestInvert().ifPresent(l -> own.put("LowestInvert", new Length(l)));
    own.put("Depth", new Length(body.depth()));
    switch (body.form()) {
      case Chamber.Form.Round r -> own.put("InnerDiameter", new Length(r.diameter()));
      case Chamber.Form.Rectangular b -> {
        own.put("InnerLength", new Length(b.length()));
        own.put("InnerWidth", new Length(b.width()));
      }
      default -> {}
    }
    own.put("WallThickness", new Length(body.wall()));
    own.put("WallThicknessAssumed", new PropertyValue.Flag(!(c.wall() > 0)));
    own.put("CoverThickness", new Length(body.cover()));
    put(own, "Material", c.material());
    Map<String, PropertyValue> common = new LinkedHashMap<>();
    common.put("InvertLevel", new Length(body.floor()));
    common.put("SoffitLevel", new Length(body.rim() - body.cover()));
    common.put("WallThickness", positive(body.wall()));
    common.put("BaseThickness", positive(body.base()));
    Map<String, PropertyValue> q = new LinkedHashMap<>();
    q.put("Depth", new Length(body.depth()));
    q.put("NetVolume", new Measure("IfcVolumeMeasure", body.volume()));
    List<PropertySet> out = new ArrayList<>();
    out.add(new PropertySet("Wellspan_Chamber", own));
    boolean chamber =
        c.form() instanceof Chamber.Form.Round || c.form() instanceof Chamber.Form.Rectangular;
    if (chamber) {
      out.add(new PropertySet("Pset_DistributionChamberElementTypeManhole", common));
      out.add(new PropertySet("Qto_DistributionChamberElementBaseQuantities", q, true));
    }
    return out;
  }

  static List<PropertySet> of(String network, String type, LaidPipe l, PipeBody body) {
    Pipe p = l.pipe();
    PipeSection s = p.section();
    Map<String, PropertyValue> own = new LinkedHashMap<>();
    own.put("Network", new Label(network));
    put(own, "NetworkType", type);
    own.put("StartChamber", new Label(p.start()));
    own.put("EndChamber", new Label(p.end()));
    own.put("StartInvert", new Length(l.from().level()));
    own.put("EndInvert", new Length(l.to().level()));
    own.put("Slope", new PropertyValue.Real(l.slope()));
    own.put("Length", new Length(l.planLength()));
    own.put("EndsAt", new Label("outer face of the chambers' walls"));
    own.put("InnerHeight", new Length(s.height()));
    own.put("InnerWidth", new Length(s.width()));
    own.put("WallThickness", new Length(body.wall()));
    own.put("WallThicknessAssumed", new PropertyValue.Flag(!(p.wall() > 0)));
    put(own, "Material", p.material());
    Map<String, PropertyValue> common = new LinkedHashMap<>();
    if (s instanceof PipeSection.Circle c) {
      common.put("InnerDiameter", positive(c.diameter()));
      common.put("OuterDiameter", positive(c.diameter() + 2 * body.wall()));
      common.put("NominalDiameter", positive(c.diameter()));
    }
    common.put("Length", positive(body.length()));
    Map<String, PropertyValue> occurrence = new LinkedHashMap<>();
    if (l.slope() > 0) {
      occurrence.put("Gradient", new Measure("IfcPositiveRatioMeasure", l.slope()));
    }
    occurrence.put("InvertElevation", new Length(l.from().level()));
    Map<String, PropertyValue> q = new LinkedHashMap<>();
    double ring = body.volume() / body.length();
    q.put("Length", new Length(body.length()));
    q.put("GrossCrossSectionArea", new Area(ring + s.area()));
    q.put("NetCrossSectionArea", new Area(ring));
    List<PropertySet> out = new ArrayList<>();
    out.add(new PropertySet("Wellspan_Pipe", own));
    out.add(new PropertySet("Pset_PipeSegmentTypeCommon", common));
    out.add(new PropertySet("Pset_PipeSegmentOccurrence", occurrence));
    out.add(new PropertySet("Qto_PipeSegmentBaseQuantities", q, true));
    return out;
  }

  private static PropertyValue positive(double metres) {
    return new Measure("IfcPositiveLengthMeasure", metres);
  }

  private static void put(Map<String, PropertyValue> v, String name, String text) {
    if (!text.isEmpty()) {
      v.put(name, new Label(text));
    }
  }
}
