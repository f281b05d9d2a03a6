package oficina.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import org.jspecify.annotations.NullMarked;

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
              "java.io",
              "java.net",
              "java.nio..",
              "java.security", // sums
              "java.text",
              "java.time..",
              "java.util..",
              "javax.crypto..",
              "javax.sound.sampled",
              "org.jspecify.annotations",
              "com.google.i18n.phonenumbers..",
              "com.nulabinc.zxcvbn..",
              "ezvcard..",
              "org.apache.commons.csv..");

  /** Every room says what happens in it, where to begin and which rules hold. */
  @ArchTest
  static final ArchRule every_package_is_described_and_null_marked =
      classes()
          .should(
              new ArchCondition<>("be in a package with a package-info and @NullMarked") {
                @Override
                public void check(JavaClass each, ConditionEvents events) {
                  if (!each.getPackage().isAnnotatedWith(NullMarked.class)) {
                    events.add(SimpleConditionEvent.violated(each, each.getPackageName()));
                  }
                }
              });

  @ArchTest
  static final ArchRule packages_form_no_circle =
      slices().matching("oficina.core.(*)..").should().beFreeOfCycles();
}
