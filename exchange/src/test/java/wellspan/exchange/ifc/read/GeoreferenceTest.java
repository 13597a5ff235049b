package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.place.Contradictions;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** What foreign models say of their place, at every level. */
class GeoreferenceTest {
  @TempDir Path dir;

  private Received read(String schema, String... records) throws IOException {
    StringBuilder s =
        new StringBuilder("ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_SCHEMA(('");
    s.append(schema).append("'));\nENDSEC;\nDATA;\n");
    for (String r : records) {
      s.append(r).append('\n');
    }
    s.append("ENDSEC;\nEND-ISO-10303-21;\n");
    return IfcReader.read(Files.writeString(dir.resolve("m.ifc"), s), Progress.NONE);
  }

  private static final String METRES =
      "#2=IFCUNITASSIGNMENT((#3));\n#3=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);";
  private static final String FEET =
      "#2=IFCUNITASSIGNMENT((#3));\n#3=IFCCONVERSIONBASEDUNIT(#90,.LENGTHUNIT.,'FOOT',#91);\n#90=IFCDIMENSIONALEXPONENTS(1,0,0,0,0,0,0);\n#91=IFCMEASUREWITHUNIT(IFCLENGTHMEASURE(0.3048),#92);\n#92=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);";
  private static final String PROJECT =
      "#1=IFCPROJECT('0000000000000000000001',$,'p',$,$,$,$,(#4),#2);\n#5=IFCCARTESIANPOINT((0.,0.,0.));\n#6=IFCAXIS2PLACEMENT3D(#5,$,$);";
  private static final String CONTEXT = "#4=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,$,#6,$);";
  private static final String LOCAL = "#8=IFCLOCALPLACEMENT($,#6);";
  private static final String POINT =
      "#30=IFCANNOTATION('0000000000000000000003',$,'K1','bolt',$,#8,#31);\n#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Annotation','GeometricSet',(#33));\n#33=IFCGEOMETRICSET((#34));\n#34=IFCCARTESIANPOINT((10.,20.,3.));";

  private static String site(String placement, String latitude, String longitude, String height) {
    return "#20=IFCSITE('0000000000000000000002',$,'s',$,$,"
        + placement
        + ",$,$,.ELEMENT.,"
        + latitude
        + ","
        + longitude
        + ","
        + height
        + ",$,$);";
  }

  private static Position point(Received r) {
    return ((Shape.Points) r.items().getFirst().shape()).points().getFirst().position();
  }

  @Test
  void theScaledMapConversionScalesLevelsByItself() throws IOException {
    Received r =
        read(
            "IFC4X3_ADD2",
            METRES,
            PROJECT,
            CONTEXT,
            LOCAL,
            POINT.replace("#8,#31)", "#8,#31,$)"),
            "#10=IFCMAPCONVERSIONSCALED(#4,#11,412000.,6534500.,5.,1.,0.,1.,0.9996,0.9996,1.);",
            "#11=IFCPROJECTEDCRS('EPSG:25832',$,$,$,$,$,$);");
    assertThat(point(r).east()).isCloseTo(412_000 + 9.996, within(1e-9));
    assertThat(point(r).north()).isCloseTo(6_534_500 + 19.992, within(1e-9));
    assertThat(point(r).level()).isEqualTo(8);
    assertThat(r.frame().orElseThrow().scale()).isCloseTo(1 / 0.9996, within(1e-12));
  }

  @Test
  void aRigidOperationIsAPureShift() throws IOException {
    Received r =
        read(
            "IFC4X3_ADD2",
            METRES,
            PROJECT,
            CONTEXT,
            LOCAL,
            POINT.replace("#8,#31)", "#8,#31,$)"),
            "#10=IFCRIGIDOPERATION(#4,#11,IFCLENGTHMEASURE(412000.),IFCLENGTHMEASURE(6534500.),5.);",
            "#11=IFCPROJECTEDCRS('EPSG:25832',$,$,'NN2000',$,$,$);");
    assertThat(point(r)).isEqualTo(new Position(412_010, 6_534_520, 8));
    assertThat(r.frame().orElseThrow().verticalDatum()).isEqualTo("NN2000");
    assertThat(r.places().getFirst().where()).isEqualTo("the rigid operation");
  }

  @Test
  void conventionalSetsPlaceAnOlderModelInFeet() throws IOException {
    Received r =
        read(
            "IFC2X3",
            FEET,
            PROJECT,
            CONTEXT,
            LOCAL,
            site("#8", "$", "$", "$"),
            POINT,
            "#40=IFCPROPERTYSET('0000000000000000000004',$,'ePSet_MapConversion',$,(#41,#42,#43,#44));",
            "#41=IFCPROPERTYSINGLEVALUE('Eastings',$,IFCREAL(412000.),$);",
            "#42=IFCPROPERTYSINGLEVALUE('Northings',$,IFCLENGTHMEASURE(21438648.293963254),$);",
            "#43=IFCPROPERTYSINGLEVALUE('OrthogonalHeight',$,IFCREAL(5.),$);",
            "#44=IFCPROPERTYSINGLEVALUE('XAxisOrdinate',$,IFCREAL(0.),$);",
            "#45=IFCRELDEFINESBYPROPERTIES('0000000000000000000005',$,$,$,(#20),#40);",
            "#50=IFCPROPERTYSET('0000000000000000000006',$,'EPset_ProjectedCRS',$,(#51,#52));",
            "#51=IFCPROPERTYSINGLEVALUE('Name',$,IFCLABEL('EPSG:25832'),$);",
            "#52=IFCPROPERTYSINGLEVALUE('MapUnit',$,IFCLABEL('METRE'),$);",
            "#55=IFCRELDEFINESBYPROPERTIES('0000000000000000000007',$,$,$,(#20),#50);");
    assertThat(point(r).east()).isCloseTo(412_000 + 3.048, within(1e-9));
    assertThat(point(r).north()).isCloseTo(6_534_500 + 6.096, within(1e-5));
    assertThat(point(r).level()).isCloseTo(5 + 0.9144, within(1e-9));
    assertThat(r.crs()).isEqualTo("EPSG:25832");
    assertThat(r.places().getFirst().level()).isEqualTo(50);
    assertThat(r.places().getFirst().where()).isEqualTo("ePSet_MapConversion");
    assertThat(r.findings()).extracting(Finding::code).doesNotContain("ifc.place", "ifc.scale");
  }

  @Test
  void everyLevelIsGradedAndContradictionsAreFound() throws IOException {
    Received r =
        read(
            "IFC4",
            METRES,
            PROJECT,
            CONTEXT,
            "#8=IFCLOCALPLACEMENT($,#61);",
            "#60=IFCCARTESIANPOINT((412000.,6534500.,0.));",
            "#61=IFCAXIS2PLACEMENT3D(#60,$,$);",
            "#70=IFCPOSTALADDRESS($,$,$,$,$,$,'Brindle Ness',$,'0000','Nowhere');",
            site("#8", "(58,56,27,974000)", "(8,28,14,953000)", "0.").replace(",$,$);", ",$,#70);"),
            POINT);
    assertThat(r.places()).extracting(PlaceStatement::level).containsExactly(30, 20, 10);
    PlaceStatement.LonLat at = r.places().get(1).geographic().orElseThrow();
    assertThat(at.latitude()).isCloseTo(58.9411039, within(1e-7));
    assertThat(at.longitude()).isCloseTo(8.4708203, within(1e-7));
    assertThat(r.places().get(2).says()).contains("Brindle Ness").contains("Nowhere");
    assertThat(point(r))
        .as("the placement is in the geometry")
        .isEqualTo(new Position(412_010, 6_534_520, 3));
    assertThat(Contradictions.check("m", r.places()))
        .as("without a system a placement cannot contradict degrees")
        .isEmpty();
    Received mapped =
        read(
            "IFC4",
            METRES,
            PROJECT,
            CONTEXT,
            LOCAL,
            site("#8", "(58,56,27,974000)", "(8,28,14,953000)", "0."),
            "#10=IFCMAPCONVERSION(#4,#11,412000.,6534500.,0.,$,$,$);",
            "#11=IFCPROJECTEDCRS('EPSG:25832',$,$,$,$,$,$);");
    assertThat(Contradictions.check("m", mapped.places()))
        .singleElement()
        .satisfies(
            f -> assertThat(f.message()).contains("the map conversion says").contains("57."));
  }

  @Test
  void aFarWorldCoordinateSystemIsLevelForty() throws IOException {
    Received r =
        read(
            "IFC2X3",
            METRES,
            PROJECT,
            "#4=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,$,#62,$);",
            "#60=IFCCARTESIANPOINT((412000.,6534500.,0.));",
            "#62=IFCAXIS2PLACEMENT3D(#60,$,#63);",
            "#63=IFCDIRECTION((0.,1.,0.));");
    PlaceStatement s = r.places().getFirst();
    assertThat(s.level()).isEqualTo(40);
    assertThat(s.frame().orElseThrow().rotationDegrees()).isCloseTo(-90, within(1e-9));
    assertThat(s.frame().orElseThrow().basePoint().east()).isEqualTo(412_000);
  }

  @Test
  void southAndWestAreNegativeAndZeroIsNotAPlace() throws IOException {
    Received r =
        read(
            "IFC4",
            METRES,
            PROJECT,
            CONTEXT,
            LOCAL,
            site("#8", "(-33,-54,0)", "(-70,-40,-30)", "$"));
    PlaceStatement.LonLat at = r.places().getFirst().geographic().orElseThrow();
    assertThat(at.latitude()).isCloseTo(-33.9, within(1e-12));
    assertThat(at.longitude()).isCloseTo(-70.675, within(1e-12));
    assertThat(
            read("IFC4", METRES, PROJECT, CONTEXT, LOCAL, site("#8", "(0,0,0)", "(0,0,0)", "$"))
                .places())
        .isEmpty();
  }

  @Test
  void anOwnSystemIsReadFromItsDescription() throws IOException {
    Received r =
        read(
            "IFC4",
            METRES,
            PROJECT,
            CONTEXT,
            LOCAL,
            "#10=IFCMAPCONVERSION(#4,#11,1000.,2000.,0.,$,$,$);",
            "#11=IFCPROJECTEDCRS('Harbour grid','+proj=tmerc +lat_0=58.9 +lon_0=7.5 +k=1 +x_0=0 +y_0=0 +ellps=GRS80 +towgs84=0,0,0',$,$,$,$,$);");
    Frame f = r.frame().orElseThrow();
    assertThat(f.crs()).isEqualTo("Harbour grid");
    assertThat(f.system()).isPresent();
  }

  @Test
  void linesAndLoosePointsAreItems() throws IOException {
    Received r =
        read(
            "IFC4",
            METRES,
            PROJECT,
            CONTEXT,
            LOCAL,
            POINT,
            "#40=IFCANNOTATION('0000000000000000000008',$,'Bank top',$,$,#8,#41);",
            "#41=IFCPRODUCTDEFINITIONSHAPE($,$,(#42));",
            "#42=IFCSHAPEREPRESENTATION(#4,'Annotation','GeometricCurveSet',(#43));",
            "#43=IFCGEOMETRICCURVESET((#44));",
            "#44=IFCPOLYLINE((#45,#46));",
            "#45=IFCCARTESIANPOINT((0.,0.));",
            "#46=IFCCARTESIANPOINT((5.,5.));",
            "#50=IFCANNOTATION('0000000000000000000009',$,'Kerb',$,$,#8,#51);",
            "#51=IFCPRODUCTDEFINITIONSHAPE($,$,(#52));",
            "#52=IFCSHAPEREPRESENTATION(#4,'Axis','Curve3D',(#53));",
            "#53=IFCINDEXEDPOLYCURVE(#54,$,$);",
            "#54=IFCCARTESIANPOINTLIST3D(((0.,0.,1.),(1.,0.,2.),(2.,0.,3.)));");
    List<Item> items = r.items();
    assertThat(items)
        .extracting(i -> i.kind().title())
        .containsExactly("string", "string", "points");
    Shape.Lines flat = (Shape.Lines) items.getFirst().shape();
    assertThat(flat.lines().getFirst().point(1).level()).as("a flat line has no level").isNaN();
    assertThat(((Shape.Lines) items.get(1).shape()).pointCount()).isEqualTo(3);
    Shape.Points g = (Shape.Points) items.get(2).shape();
    assertThat(g.points().getFirst())
        .isEqualTo(new NamedPoint("K1", new Position(10, 20, 3), "bolt"));
  }
}
