package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.attribute.Holder;
import wellspan.core.finding.Finding;
import wellspan.core.receive.Received;

/** Structures that are odd: what is taken is told. */
class StructureReadingTest {
  @TempDir Path dir;

  private static final String LEVELS =
      "#60=IFCSITE('0000000000000000000011',$,'North',$,$,$,$,$,$,$,$,$,$,$);\n"
          + "#61=IFCBUILDING('0000000000000000000012',$,'Pump house',$,$,$,$,$,$,$,$,$);\n"
          + "#62=IFCBUILDING('0000000000000000000013',$,'Gate house',$,$,$,$,$,$,$,$,$);\n"
          + "#63=IFCRELAGGREGATES('0000000000000000000014',$,$,$,#1,(#60));\n"
          + "#64=IFCRELAGGREGATES('0000000000000000000015',$,$,$,#60,(#61,#62));\n";

  private static String contains(int id, int level) {
    return "#"
        + id
        + "=IFCRELCONTAINEDINSPATIALSTRUCTURE('00000000000000000000"
        + id
        + "',$,$,$,(#30),#"
        + level
        + ");\n";
  }

  private Received read(String more) throws IOException {
    return read(LEVELS, more);
  }

  private Received read(String levels, String more) throws IOException {
    return new HandMadeModel(dir)
        .read(
            "IFC4",
            HandMadeModel.HEAD
                + HandMadeModel.PLACEMENT
                + HandMadeModel.WALL
                + HandMadeModel.BOX
                + levels
                + more);
  }

  private static List<String> path(Received r) {
    return r.items().getFirst().said().structure().stream().map(Holder::name).toList();
  }

  private static List<String> told(Received r, String code) {
    return r.findings().stream().filter(f -> f.code().equals(code)).map(Finding::message).toList();
  }

  @Test
  void ofTwoLevelsThatHoldAThingTheFirstCounts() throws IOException {
    Received r = read(contains(70, 61) + contains(71, 62));
    assertThat(path(r)).containsExactly("Pump house");
    assertThat(told(r, "ifc.structure.twice"))
        .singleElement()
        .satisfies(m -> assertThat(m).contains("Wall (#30)", "Pump house", "Gate house"));
  }

  @Test
  void theSameLevelSaidTwiceIsNoDoubt() throws IOException {
    Received r = read(contains(70, 61) + contains(71, 61));
    assertThat(told(r, "ifc.structure.twice")).isEmpty();
  }

  private static final String SOUTH =
      "#80=IFCSITE('0000000000000000000016',$,'South',$,$,$,$,$,$,$,$,$,$,$);\n"
          + "#81=IFCBUILDING('0000000000000000000017',$,'Weir',$,$,$,$,$,$,$,$,$);\n"
          + "#82=IFCRELAGGREGATES('0000000000000000000018',$,$,$,#80,(#81));\n";

  @Test
  void aSiteBesideTheFirstIsALevel() throws IOException {
    Received r =
        read(
            contains(70, 81)
                + SOUTH
                + "#83=IFCRELAGGREGATES('0000000000000000000019',$,$,$,#1,(#80));\n");
    assertThat(path(r)).containsExactly("South", "Weir");
    assertThat(r.root().orElseThrow().site().orElseThrow().name()).isEqualTo("North");
    assertThat(told(r, "ifc.sites")).isEmpty();
  }

  @Test
  void aSiteWithinTheFirstIsTold() throws IOException {
    assertThat(told(read(contains(70, 61)), "ifc.sites")).isEmpty();
    Received r =
        read(
            contains(70, 81)
                + SOUTH
                + "#83=IFCRELAGGREGATES('0000000000000000000019',$,$,$,#60,(#80));\n");
    assertThat(path(r)).containsExactly("South", "Weir");
    assertThat(told(r, "ifc.sites"))
        .singleElement()
        .satisfies(m -> assertThat(m).contains("South is a site within the site North"));
  }

  /**
   * Also where an instance was read anew meanwhile: those 4096 numbers apart push each other out.
   */
  @Test
  void aSiteWithinTheFirstIsToldWhateverWasReadBetween() throws IOException {
    Received r =
        read(
            LEVELS.replace(
                "'North',$,$,$,$,$,$,$,$", "'North',$,$,$,$,$,.ELEMENT.,(59,0,0),(10,30,0)"),
            "#79=IFCRELAGGREGATES('0000000000000000000019',$,$,$,#60,(#4156));\n"
                + SOUTH.replace("#80", "#4156"));
    assertThat(told(r, "ifc.sites")).hasSize(1);
  }

  @Test
  void theSiteThatOthersArePartsOfComesFirst() throws IOException {
    Received r =
        read(
            LEVELS.replace("#1,(#60)", "#1,(#80)"),
            contains(70, 61)
                + SOUTH
                + "#83=IFCRELAGGREGATES('0000000000000000000019',$,$,$,#80,(#60));\n");
    assertThat(r.root().orElseThrow().site().orElseThrow().name()).isEqualTo("South");
    assertThat(path(r)).containsExactly("North", "Pump house");
    assertThat(told(r, "ifc.sites")).hasSize(1);
  }
}
