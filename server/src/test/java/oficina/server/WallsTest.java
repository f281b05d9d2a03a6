package oficina.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "oficina.server", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
  @ArchTest
  static final ArchRule only_stores_speak_with_the_database =
      noClasses()
          .that()
          .haveSimpleNameNotEndingWith("Store")
          .and()
          .haveNameNotMatching(".*Store\\$.*")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.sql", "javax.sql", "org.springframework.jdbc..");

  @ArchTest
  static final ArchRule packages_form_no_circle =
      slices().matching("oficina.server.(*)..").should().beFreeOfCycles();
}
