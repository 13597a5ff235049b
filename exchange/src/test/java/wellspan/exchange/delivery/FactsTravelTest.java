package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.attribute.MaterialSet;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.ifc.read.IfcReader;

/**
 * What a model says of a thing goes on with it: properties made of others, descriptions, measures
 * with their units, layers of materials, what is seen through. What is altered on the way is found.
 */
class FactsTravelTest extends DeliveredInTest {
  private static final String MODEL =
      """
      ISO-10303-21;
      HEADER;
      FILE_DESCRIPTION((''),'2;1');
      FILE_NAME('b.ifc','2026-11-20T10:00:00',(''),(''),'','','');
      FILE_SCHEMA(('IFC4'));
      ENDSEC;
      DATA;
      #1=IFCCARTESIANPOINT((0.,0.,0.));
      #2=IFCAXIS2PLACEMENT3D(#1,$,$);
      #3=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,1.E-6,#2,$);
      #4=IFCSIUNIT(*,.LENGTHUNIT.,.MILLI.,.METRE.);
      #5=IFCSIUNIT(*,.MASSUNIT.,$,.GRAM.);
      #6=IFCSIUNIT(*,.THERMODYNAMICTEMPERATUREUNIT.,$,.DEGREE_CELSIUS.);
      #7=IFCUNITASSIGNMENT((#4,#5,#6,#9));
      #9=IFCSIUNIT(*,.AREAUNIT.,$,.SQUARE_METRE.);
      #8=IFCPROJECT('00000000000000000000PR',$,'Harbour works',$,$,$,$,(#3),#7);
      #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1000.,0.,0.),(0.,1000.,0.),(0.,0.,1000.)));
      #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
      #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
      #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
      #24=IFCLOCALPLACEMENT($,#2);
      #30=IFCWALL('00000000000000000000W1',$,'Wall',$,$,#24,#23,$,$);
      #31=IFCWALL('00000000000000000000W2',$,'Parapet',$,$,#24,#23,$,$);
      #40=IFCPROPERTYSINGLEVALUE('Owner','who looks after it',IFCLABEL('Port of Brindle'),$);
      #41=IFCPROPERTYSINGLEVALUE('Temperature',$,IFCTHERMODYNAMICTEMPERATUREMEASURE(20.),$);
      #42=IFCPROPERTYSINGLEVALUE('Mass',$,IFCMASSMEASURE(1500.),$);
      #43=IFCPROPERTYSINGLEVALUE('Depth','from the top',IFCLENGTHMEASURE(250.),$);
      #44=IFCPROPERTYSINGLEVALUE('Kind',$,IFCLABEL('bored'),$);
      #45=IFCCOMPLEXPROPERTY('Anchor',$,'fixing',(#43,#44));
      #46=IFCPROPERTYBOUNDEDVALUE('Level',$,IFCLENGTHMEASURE(3000.),IFCLENGTHMEASURE(1000.),$,IFCLENGTHMEASURE(2000.));
      #47=IFCPROPERTYLISTVALUE('Nothing',$,$,$);
      #48=IFCMATERIAL('Brick',$,$);
      #49=IFCPROPERTYREFERENCEVALUE('Of',$,$,#48);
      #50=IFCPROPERTYSET('00000000000000000000e1',$,'Client','of the port',(#40,#41,#42,#45,#46,#47,#49));
      #51=IFCRELDEFINESBYPROPERTIES('00000000000000000000e2',$,$,$,(#30),#50);
      #52=IFCDOORLININGPROPERTIES('00000000000000000000e3',$,'Lining',$,100.,$,$,$,$,$,$,$,$,$,$,$,$);
      #53=IFCRELDEFINESBYPROPERTIES('00000000000000000000e4',$,$,$,(#31),#52);
      #54=IFCQUANTITYAREA('Area',$,$,2.5,$);
      #55=IFCPHYSICALCOMPLEXQUANTITY('Face','seen',(#54),'side',$,$);
      #56=IFCELEMENTQUANTITY('00000000000000000000e5',$,'Client_Quantities',$,$,(#55));
      #57=IFCRELDEFINESBYPROPERTIES('00000000000000000000e6',$,$,$,(#30),#56);
      #60=IFCMATERIALLAYER(#48,115.,.U.,'Outer','facing','LoadBearing',$);
      #61=IFCMATERIALLAYER($,40.,.T.,'Air',$,$,$);
      #62=IFCMATERIALLAYERSET((#60,#61),'Cavity wall',$);
      #63=IFCMATERIALLAYERSETUSAGE(#62,.AXIS2.,.POSITIVE.,0.,$);
      #64=IFCRELASSOCIATESMATERIAL('00000000000000000000e7',$,$,$,(#30),#63);
      #65=IFCMATERIALCONSTITUENT('Core',$,#48,0.75,$);
      #66=IFCMATERIALCONSTITUENTSET('Mixed',$,(#65));
      #67=IFCRELASSOCIATESMATERIAL('00000000000000000000e8',$,$,$,(#31),#66);
      #70=IFCCOLOURRGB($,0.2,0.4,0.6);
      #71=IFCSURFACESTYLERENDERING(#70,0.25,$,$,$,$,$,$,.NOTDEFINED.);
      #72=IFCSURFACESTYLE($,.BOTH.,(#71));
      #73=IFCSTYLEDITEM(#21,(#72),$);
      ENDSEC;
      END-ISO-10303-21;
      """;

  private Received received() throws IOException {
    return IfcReader.read(Files.writeString(dir.resolve("b.ifc"), MODEL), Progress.NONE);
  }

  private static PropertySet set(Item i, String name) {
    return i.said().propertySets().stream()
        .filter(s -> s.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private static double number(PropertySet s, String name) {
    return ((PropertyValue.Measure) s.values().get(name)).number();
  }

  @ParameterizedTest
  @EnumSource
  void allOfItStaysThroughEverySchema(IfcSchema schema) throws IOException {
    Received first = received();
    assertThat(first.findings()).filteredOn(Finding::isError).isEmpty();
    DeliveryRun.Outcome out = run(onward(first, schema));
    assertThat(out.receipt().proof().pass())
        .as(out.receipt().proof().findings().toString())
        .isTrue();
    for (Received r : List.of(first, IfcReader.read(dir.resolve("a.ifc"), Progress.NONE))) {
      PropertySet client = set(item(r, "Wall"), "Client");
      assertThat(client.description()).isEqualTo("of the port");
      assertThat(client.notes()).isEqualTo(Map.of("Owner", "who looks after it"));
      assertThat(number(client, "Temperature")).isCloseTo(293.15, within(1e-9));
      assertThat(number(client, "Mass")).isCloseTo(1.5, within(1e-12));
      assertThat(client.values().get("Of")).isEqualTo(new PropertyValue.Label("Brick"));
      PropertyValue.Complex anchor = (PropertyValue.Complex) client.values().get("Anchor");
      assertThat(anchor.usage()).isEqualTo("fixing");
      assertThat(anchor.values())
          .containsEntry("Depth", new PropertyValue.Length(0.25))
          .containsEntry("Kind", new PropertyValue.Label("bored"));
      assertThat(anchor.notes()).isEqualTo(Map.of("Depth", "from the top"));
      PropertySet quantities = set(item(r, "Wall"), "Client_Quantities");
      assertThat(quantities.quantities()).isTrue();
      assertThat(quantities.notes()).isEqualTo(Map.of("Face", "seen"));
      assertThat(((PropertyValue.Complex) quantities.values().get("Face")).values())
          .containsEntry("Area", new PropertyValue.Area(2.5));
      assertThat(set(item(r, "Parapet"), "Lining").values().get("LiningDepth").show())
          .startsWith("0.1");
      assertThat(item(r, "Wall").said().finish().orElseThrow().transparency()).isEqualTo(0.25);
      assertThat(item(r, "Wall").attributes().material()).isEqualTo("Brick, Air");
    }
  }

  @Test
  void layersAndPartsStayWhereTheSchemaHasThem() throws IOException {
    Received first = received();
    MaterialSet wall = item(first, "Wall").said().materials().orElseThrow();
    assertThat(wall.name()).isEqualTo("Cavity wall");
    assertThat(wall.parts())
        .containsExactly(
            new MaterialSet.Part("Outer", "Brick", "LoadBearing", OptionalDouble.of(0.115), false),
            new MaterialSet.Part("Air", "", "", OptionalDouble.of(0.04), true));
    run(onward(first, IfcSchema.IFC4X3));
    Received there = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(item(there, "Wall").said().materials()).contains(wall);
    assertThat(item(there, "Parapet").said().materials())
        .isEqualTo(item(first, "Parapet").said().materials());
    DeliveryRun.Outcome bare = run(onward(first, IfcSchema.IFC2X3));
    there = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(item(there, "Wall").said().materials().orElseThrow().parts())
        .containsExactly(
            new MaterialSet.Part("", "Brick", "", OptionalDouble.of(0.115), false),
            new MaterialSet.Part("", "Air", "", OptionalDouble.of(0.04), true));
    assertThat(item(there, "Parapet").said().materials().orElseThrow().form())
        .isEqualTo(MaterialSet.Form.LIST);
    assertThat(bare.receipt().proof().findings())
        .extracting(Finding::code)
        .contains("deliver.materials", "deliver.values");
  }

  static Stream<Arguments> damages() {
    return Stream.of(
        Arguments.of("'who looks after it'", "'who pays for it'", Difference.What.PROPERTY),
        Arguments.of("'of the port'", "$", Difference.What.PROPERTY),
        Arguments.of("'from the top'", "'from below'", Difference.What.PROPERTY),
        Arguments.of("'fixing'", "'fixture'", Difference.What.PROPERTY),
        Arguments.of("'bored'", "'driven'", Difference.What.PROPERTY),
        Arguments.of("'side'", "'back'", Difference.What.QUANTITY),
        Arguments.of("293.15", "293.16", Difference.What.PROPERTY),
        Arguments.of(".MASSUNIT.,.KILO.", ".MASSUNIT.,$", Difference.What.PROPERTY),
        Arguments.of(".KELVIN.", ".DEGREE_CELSIUS.", Difference.What.PROPERTY),
        Arguments.of("'Cavity wall'", "'Solid wall'", Difference.What.MATERIAL),
        Arguments.of(",0.115,", ",0.12,", Difference.What.MATERIAL),
        Arguments.of("'Outer'", "'Inner'", Difference.What.MATERIAL),
        Arguments.of("'LoadBearing'", "$", Difference.What.MATERIAL),
        Arguments.of(",0.75,", ",0.7,", Difference.What.MATERIAL),
        Arguments.of(",0.25);", ",$);", Difference.What.COLOUR));
  }

  @ParameterizedTest
  @MethodSource("damages")
  void whatIsAlteredIsFound(String whole, String broken, Difference.What what) throws IOException {
    Parcel p = onward(received(), IfcSchema.IFC4);
    run(p);
    Path f = dir.resolve("a.ifc");
    String text = Files.readString(f);
    assertThat(text).contains(whole);
    Proof proof =
        Prover.compare(
            p,
            IfcReader.read(Files.writeString(f, text.replace(whole, broken)), Progress.NONE),
            Progress.NONE);
    assertThat(proof.pass()).isFalse();
    assertThat(proof.differences()).extracting(Difference::what).contains(what);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "WITHOFFSET(#11,.THERMODYNAMICTEMPERATUREUNIT.,'fahrenheit',#10,-459.67)",
        "(#11,.THERMODYNAMICTEMPERATUREUNIT.,'fahrenheit',#10)"
      })
  void degreesWhoseZeroCannotBeToldAreADoubt(String unit) throws IOException {
    String odd =
        MODEL.replace(
            "#6=IFCSIUNIT(*,.THERMODYNAMICTEMPERATUREUNIT.,$,.DEGREE_CELSIUS.);",
            "#12=IFCSIUNIT(*,.THERMODYNAMICTEMPERATUREUNIT.,$,.KELVIN.);\n#10=IFCMEASUREWITHUNIT(IFCREAL(0.5556),#12);\n#11=IFCDIMENSIONALEXPONENTS(0,0,0,0,1,0,0);\n#6=IFCCONVERSIONBASEDUNIT"
                + unit
                + ";");
    Received r = IfcReader.read(Files.writeString(dir.resolve("b.ifc"), odd), Progress.NONE);
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f -> assertThat(f.message()).contains("unit of IfcThermodynamicTemperatureMeasure"));
  }
}
