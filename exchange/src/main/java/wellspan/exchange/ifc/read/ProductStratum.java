package wellspan.exchange.ifc.read;

import wellspan.core.item.Band;

/** The stratum that a class of products lies in. */
final class ProductStratum {
  private ProductStratum() {}

  static Band of(String entity) {
    return switch (entity) {
      case "IfcGeographicElement", "IfcGeotechnicalStratum" -> Band.GROUND;
      case "IfcEarthworksElement", "IfcEarthworksFill", "IfcEarthworksCut", "IfcReinforcedSoil" ->
          Band.EARTHWORKS;
      case "IfcPavement", "IfcCourse" -> Band.PAVEMENT;
      case "IfcKerb" -> Band.EDGES;
      case "IfcPipeSegment", "IfcPipeFitting", "IfcDistributionChamberElement", "IfcFlowSegment" ->
          Band.DRAINAGE;
      case "IfcRailing", "IfcSign", "IfcSurfaceFeature", "IfcFurniture" -> Band.FURNITURE;
      default -> Band.STRUCTURES;
    };
  }
}
