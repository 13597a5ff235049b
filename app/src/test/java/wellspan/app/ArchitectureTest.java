package wellspan.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "wellspan", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule CORE_KNOWS_NEITHER_WINDOW_NOR_FORMATS =
      noClasses()
          .that()
          .resideInAPackage("wellspan.core..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "javafx..", "wellspan.exchange..", "wellspan.app..", "wellspan.cli..");

  @ArchTest
  static final ArchRule FORMATS_KNOW_NO_WINDOW =
      noClasses()
          .that()
          .resideInAPackage("wellspan.exchange..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx..", "wellspan.app..", "wellspan.cli..");

  @ArchTest
  static final ArchRule THE_IFC_READER_DOES_NOT_KNOW_THE_WRITER =
      noClasses()
          .that()
          .resideInAPackage("wellspan.exchange.ifc.read..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("wellspan.exchange.ifc.write..");

  @ArchTest
  static final ArchRule THE_IFC_WRITER_DOES_NOT_KNOW_THE_READER =
      noClasses()
          .that()
          .resideInAPackage("wellspan.exchange.ifc.write..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("wellspan.exchange.ifc.read..");

  @ArchTest
  static final ArchRule PLAIN_READERS_DO_NOT_KNOW_THEIR_WRITERS =
      noClasses()
          .that()
          .resideInAnyPackage("wellspan.exchange.landxml", "wellspan.exchange.dxf")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("wellspan.exchange.landxml.write", "wellspan.exchange.dxf.write");

  @ArchTest
  static final ArchRule PLAIN_WRITERS_DO_NOT_KNOW_THEIR_READERS =
      noClasses()
          .that()
          .resideInAnyPackage("wellspan.exchange.landxml.write", "wellspan.exchange.dxf.write")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("wellspan.exchange.landxml", "wellspan.exchange.dxf");

  @ArchTest
  static final ArchRule NO_CIRCLES_IN_CORE =
      slices().matching("wellspan.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule NO_CIRCLES_IN_EXCHANGE =
      slices().matching("wellspan.exchange.(**)").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule NO_CIRCLES_IN_APP =
      slices().matching("wellspan.app.(*)..").should().beFreeOfCycles();
}
