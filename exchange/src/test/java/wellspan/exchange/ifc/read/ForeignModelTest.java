package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.ProfileSegment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.item.Band;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/**
 * Models as other programs write them: other order, other units, comments, things that are not
 * read.
 */
class ForeignModelTest {
  private static final String UNITS_MM =
      "#2=IFCUNITASSIGNMENT((#3,#7));\n#3=IFCSIUNIT(*,.LENGTHUNIT.,.MILLI.,.METRE.);\n#7=IFCSIUNIT(*,.AREAUNIT.,.MILLI.,.SQUARE_METRE.);\n";
  private static final String COMMON =
      "#1=IFCPROJECT('0000000000000000000001',$,'p',$,$,$,$,(#4),#2);\n#4=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,$,#6,$);\n"
          + "#5=IFCCARTESIANPOINT((0.,0.,0.));\n#6=IFCAXIS2PLACEMENT3D(#5,$,$);\n#8=IFCLOCALPLACEMENT($,#6);\n";
  private static final String MAP =
      "#10=IFCMAPCONVERSION(#4,#11,412000.,6534500.,10.,0.93041756798202457,-0.36650122672429725,0.001);\n"
          + "#11=IFCPROJECTEDCRS('EPSG:25832',$,'ETRS89','NN2000',$,$,#12);\n#12=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);\n";

  @TempDir Path dir;

  private Received read(String schema, String data) throws IOException {
    Path f = dir.resolve("foreign.ifc");
    // IFC4.3 gives lists of points a list of tags
    String own = schema.startsWith("IFC4X3") ? data.replace("2000.)));", "2000.)),$);") : data;
    Files.writeString(
        f,
        "ISO-10303-21;\r\nHEADER;\r\nFILE_DESCRIPTION((''),'2;1');\r\nFILE_SCHEMA (( '"
            + schema
            + "' ));\r\nENDSEC;\r\nDATA;\r\n/* made by hand; with 'quotes' and ; in it */\r\n"
            + own
            + "ENDSEC;\r\nEND-ISO-10303-21;\r\n");
    return IfcReader.read(f, Progress.NONE);
  }

  private static final String TERRAIN =
      "#30=IFCGEOGRAPHICELEMENT('0000000000000000000003',$,'Shore',$,$,#8,#31,$,.TERRAIN.);\n#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n"
          + "#32=IFCSHAPEREPRESENTATION(#4,'Body','Tessellation',(#33));\n#33=IFCTRIANGULATEDFACESET(#34,$,.F.,((1,2,3)),$);\n#34=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(10000.,0.,1000.),(0.,10000.,2000.)));\n";

  @Test
  void millimetresOnAMapInMetresComeToTheirPlace() throws IOException {
    Received r = read("IFC4X3_ADD2", MAP + UNITS_MM + COMMON + TERRAIN);
    Frame f = r.frame().orElseThrow();
    assertThat(f.crs()).isEqualTo("EPSG:25832");
    assertThat(f.verticalDatum()).isEqualTo("NN2000");
    assertThat(f.rotationDegrees()).isCloseTo(21.5, within(1e-9));
    Shape.Faces s = (Shape.Faces) r.items().getFirst().shape();
    double a = Math.toRadians(-21.5);
    assertThat(s.mesh().east(1)).isCloseTo(412_000 + 10 * Math.cos(a), within(1e-8));
    assertThat(s.mesh().north(1)).isCloseTo(6_534_500 + 10 * Math.sin(a), within(1e-8));
    assertThat(s.mesh().level(2)).isCloseTo(12, within(1e-9));
    assertThat(r.unit()).isEqualTo("millimetre");
    assertThat(r.findings()).isEmpty();
  }

  @Test
  void aModelWithoutAPlaceSaysSo() throws IOException {
    Received r = read("IFC4", UNITS_MM + COMMON + TERRAIN);
    assertThat(r.frame()).isEmpty();
    assertThat(r.findings()).extracting(Finding::code).containsExactly("ifc.place");
    assertThat(((Shape.Faces) r.items().getFirst().shape()).mesh().east(1))
        .isCloseTo(10, within(1e-12));
  }

  @Test
  void aGridScaleIsTakenAndSaid() throws IOException {
    Received r = read("IFC4", MAP.replace("0.001);", "0.0009996);") + UNITS_MM + COMMON + TERRAIN);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("ifc.scale");
    assertThat(((Shape.Faces) r.items().getFirst().shape()).mesh().level(2))
        .isCloseTo(10 + 2 * 0.9996, within(1e-9));
  }

  @Test
  void terrainNetworksLeaveOutTheirVoids() throws IOException {
    String tin =
        TERRAIN
            .replace(
                "#33=IFCTRIANGULATEDFACESET(#34,$,.F.,((1,2,3)),$);",
                "#33=IFCTRIANGULATEDIRREGULARNETWORK(#34,$,.F.,((1,2,3),(1,3,2)),$,(0,-1));")
            .replace(".TERRAIN.", ".NOTDEFINED.");
    Received r = read("IFC4X3_ADD2", UNITS_MM + COMMON + tin);
    assertThat(r.items().getFirst())
        .satisfies(s -> assertThat(s.ground().orElseThrow().triangleCount()).isEqualTo(1));
  }

  @Test
  void placementsStandOnEachOther() throws IOException {
    String nested =
        "#40=IFCCARTESIANPOINT((1000.,2000.,3000.));\n#41=IFCDIRECTION((0.,0.,1.));\n#42=IFCDIRECTION((0.,1.,0.));\n#43=IFCAXIS2PLACEMENT3D(#40,#41,#42);\n#44=IFCLOCALPLACEMENT(#45,#43);\n#45=IFCLOCALPLACEMENT($,#43);\n";
    Received r =
        read("IFC4", UNITS_MM + COMMON + TERRAIN.replace("$,$,#8,#31", "$,$,#44,#31") + nested);
    Shape.Faces s = (Shape.Faces) r.items().getFirst().shape();
    assertThat(s.mesh().vertex(0).east())
        .isCloseTo(1 - 2, within(1e-12)); // the second shift is turned by a quarter
    assertThat(s.mesh().vertex(0).north()).isCloseTo(2 + 1, within(1e-12));
    assertThat(s.mesh().vertex(0).level()).isCloseTo(6, within(1e-12));
    assertThat(s.mesh().vertex(1).east())
        .isCloseTo(-1 - 10, within(1e-12)); // two quarters: x runs backwards
  }

  @Test
  void propertiesComeInMetresWithTheirKinds() throws IOException {
    String sets =
        "#50=IFCPROPERTYSET('0000000000000000000005',$,'Client_Set',$,(#51,#52,#53,#54,#55,#56,#57));\n#51=IFCPROPERTYSINGLEVALUE('Length',$,IFCLENGTHMEASURE(2500.),$);\n#52=IFCPROPERTYSINGLEVALUE('Area',$,IFCAREAMEASURE(4000000.),$);\n"
            + "#53=IFCPROPERTYSINGLEVALUE('Ready',$,IFCBOOLEAN(.T.),$);\n#54=IFCPROPERTYSINGLEVALUE('N',$,IFCINTEGER(12),$);\n#55=IFCPROPERTYSINGLEVALUE('Text',$,IFCLABEL('\\X2\\00C5\\X0\\s'),$);\n"
            + "#56=IFCPROPERTYENUMERATEDVALUE('Status',$,(IFCLABEL('NEW'),IFCLABEL('EXISTING')),$);\n#57=IFCPROPERTYSINGLEVALUE('None',$,$,$);\n#58=IFCRELDEFINESBYPROPERTIES('0000000000000000000006',$,$,$,(#30),#50);\n";
    Received r = read("IFC4", sets + UNITS_MM + COMMON + TERRAIN);
    PropertySet s = r.items().getFirst().said().propertySets().getFirst();
    assertThat(s.name()).isEqualTo("Client_Set");
    assertThat(s.values())
        .containsAllEntriesOf(
            Map.of(
                "Length",
                new PropertyValue.Length(2.5),
                "Area",
                new PropertyValue.Area(4),
                "Ready",
                new PropertyValue.Flag(true),
                "N",
                new PropertyValue.Count(12),
                "Text",
                new PropertyValue.Label("Ås"),
                "Status",
                new PropertyValue.Several(
                    true,
                    List.of(new PropertyValue.Label("NEW"), new PropertyValue.Label("EXISTING"))),
                "None",
                new PropertyValue.Empty()));
  }

  @Test
  void thingsLieInTheStratumOfTheirClass() throws IOException {
    for (Map.Entry<String, Band> e :
        Map.of(
                "IFCKERB",
                Band.EDGES,
                "IFCCOURSE",
                Band.PAVEMENT,
                "IFCEARTHWORKSFILL",
                Band.EARTHWORKS,
                "IFCRAILING",
                Band.FURNITURE)
            .entrySet()) {
      String thing = TERRAIN.replace("IFCGEOGRAPHICELEMENT", e.getKey()).replace(".TERRAIN.", "$");
      if (e.getKey().equals("IFCKERB")) {
        thing = thing.replace("#31,$,$)", "#31,$,.F.,$)").replace("#31,$,.F.,$)", "#31,$,$)");
      }
      Received r = read("IFC4X3_ADD2", UNITS_MM + COMMON + thing);
      assertThat(r.items().getFirst().kind().stratum()).as(e.getKey()).isEqualTo(e.getValue());
    }
  }

  @Test
  void unknownEntitiesAndMissingNamesAreSaid() throws IOException {
    Received r =
        read(
            "IFC4",
            "#90=IFCSOMETHINGNEW('x');\n" + UNITS_MM + COMMON + TERRAIN.replace("'Shore'", "$"));
    assertThat(r.findings())
        .anySatisfy(
            f -> assertThat(f.message()).contains("IFCSOMETHINGNEW is not an entity of IFC4"));
    assertThat(r.items().getFirst().name()).isEqualTo("GeographicElement #30");
    assertThat(r.counts())
        .containsEntry("IfcGeographicElement", 1)
        .containsEntry("IFCSOMETHINGNEW", 1);
  }

  private static final String ALIGNMENT =
      "#60=IFCALIGNMENT('0000000000000000000007',$,'Axis',$,$,#8,$,$);\n#61=IFCALIGNMENTHORIZONTAL('0000000000000000000008',$,$,$,$,#8,$);\n#62=IFCALIGNMENTVERTICAL('0000000000000000000009',$,$,$,$,#8,$);\n"
          + "#63=IFCRELNESTS('0000000000000000000010',$,$,$,#60,(#61,#62));\n#64=IFCRELNESTS('0000000000000000000011',$,$,$,#61,(#70,#71,#72));\n#65=IFCRELNESTS('0000000000000000000012',$,$,$,#62,(#80,#81));\n"
          + "#70=IFCALIGNMENTSEGMENT('0000000000000000000013',$,$,$,$,#8,$,#73);\n#71=IFCALIGNMENTSEGMENT('0000000000000000000014',$,$,$,$,#8,$,#74);\n#72=IFCALIGNMENTSEGMENT('0000000000000000000015',$,$,$,$,#8,$,#75);\n"
          + "#73=IFCALIGNMENTHORIZONTALSEGMENT($,$,#76,0.,0.,0.,50000.,$,.LINE.);\n#74=IFCALIGNMENTHORIZONTALSEGMENT($,$,#77,0.,100000.,100000.,78539.816339744828,$,.CIRCULARARC.);\n"
          + "#75=IFCALIGNMENTHORIZONTALSEGMENT($,$,#78,0.78539816339744828,0.,0.,0.,$,.LINE.);\n#76=IFCCARTESIANPOINT((0.,0.));\n#77=IFCCARTESIANPOINT((50000.,0.));\n#78=IFCCARTESIANPOINT((120710.678,29289.322));\n"
          + "#80=IFCALIGNMENTSEGMENT('0000000000000000000016',$,$,$,$,#8,$,#82);\n#81=IFCALIGNMENTSEGMENT('0000000000000000000017',$,$,$,$,#8,$,#83);\n"
          + "#82=IFCALIGNMENTVERTICALSEGMENT($,$,0.,100000.,5000.,0.02,0.02,$,.CONSTANTGRADIENT.);\n#83=IFCALIGNMENTVERTICALSEGMENT($,$,100000.,28000.,7000.,0.02,-0.01,$,.CIRCULARARC.);\n";

  @Test
  void alignmentsInMillimetresAreReadByTheirLayout() throws IOException {
    Received r = read("IFC4X3_ADD2", MAP + UNITS_MM + COMMON + ALIGNMENT);
    assertThat(r.findings()).isEmpty();
    Alignment a = ((Shape.Axis) r.items().getFirst().shape()).alignment();
    assertThat(a.name()).isEqualTo("Axis");
    assertThat(a.elements()).hasSize(2);
    assertThat(a.length()).isCloseTo(50 + 25 * Math.PI, within(1e-9));
    PlanElement.Arc arc = (PlanElement.Arc) a.elements().get(1);
    assertThat(arc.radius()).isCloseTo(100, within(1e-9));
    assertThat(a.elements().get(0).start().azimuthDegrees()).isCloseTo(111.5, within(1e-9));
    assertThat(a.at(50).level()).isCloseTo(10 + 5 + 1, within(1e-9));
    ProfileSegment.Circle c = (ProfileSegment.Circle) a.profile().orElseThrow().segments().get(1);
    assertThat(c.radius()).isNegative();
    assertThat(c.gradeAt(c.length())).isCloseTo(-0.01, within(1e-9));
  }

  @Test
  void segmentsThatAreNotReadLeaveTheAlignmentOut() throws IOException {
    Received r =
        read(
            "IFC4X3_ADD2",
            UNITS_MM + COMMON + ALIGNMENT.replace("-0.01,$,.CIRCULARARC.", "-0.01,$,.CLOTHOID."));
    assertThat(r.items()).isEmpty();
    assertThat(r.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.unread");
              assertThat(f.message()).contains("CLOTHOID");
            });
    Received none =
        read(
            "IFC4X3_ADD2",
            UNITS_MM
                + COMMON
                + ALIGNMENT.replace(
                    "#63=IFCRELNESTS('0000000000000000000010',$,$,$,#60,(#61,#62));\n", ""));
    assertThat(none.findings())
        .anySatisfy(f -> assertThat(f.message()).contains("no horizontal layout"));
  }
}
