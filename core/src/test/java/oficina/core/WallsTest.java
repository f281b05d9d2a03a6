package oficina.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "oficina.core", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
  @ArchTest
  static final ArchRule core_needs_nothing_but_the_jdk_and_small_computing_libraries =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "oficina.core..",
              "java.lang..",
              "java.net",
              "java.nio..",
              "java.text",
              "java.time..",
              "java.util..",
              "com.google.i18n.phonenumbers..");

  @ArchTest
  static final ArchRule packages_form_no_circle =
      slices().matching("oficina.core.(*)..").should().beFreeOfCycles();
}
