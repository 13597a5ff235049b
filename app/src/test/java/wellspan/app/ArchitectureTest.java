package wellspan.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import wellspan.core.shape.Shape;

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

  /** Also of another format: what is compared never comes from a writer. */
  @ArchTest
  static final ArchRule READERS_DO_NOT_KNOW_WRITERS =
      noClasses()
          .that()
          .resideInAPackage("wellspan.exchange.*.read..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("wellspan.exchange.*.write..");

  @ArchTest
  static final ArchRule WRITERS_DO_NOT_KNOW_READERS =
      noClasses()
          .that()
          .resideInAPackage("wellspan.exchange.*.write..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("wellspan.exchange.*.read..");

  /** Whoever takes shapes apart has to learn each new one: it is left to those who must. */
  @ArchTest
  static final ArchRule SHAPES_ARE_TAKEN_APART_WHERE_THEY_ARE_DRAWN =
      noClasses()
          .that()
          .resideOutsideOfPackages(
              "wellspan.core.shape..",
              "wellspan.core.proof..",
              "wellspan.exchange.*.write..",
              "wellspan.app.stage..")
          .should(new SwitchOver(Shape.class));

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
