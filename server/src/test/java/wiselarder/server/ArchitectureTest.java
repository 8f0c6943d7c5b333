package wiselarder.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The server stays thin: HTTP knows plans, plans know files, files know the core. */
class ArchitectureTest {
  private static final JavaClasses SERVER =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("wiselarder.server");

  @Test
  void packagesFormNoCircle() {
    slices().matching("wiselarder.server.(*)..").should().beFreeOfCycles().check(SERVER);
  }

  @Test
  void onlyRepositoriesSpeakSql() {
    noClasses()
        .that()
        .haveSimpleNameNotEndingWith("Repository")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.springframework.jdbc..", "java.sql..")
        .check(SERVER);
  }

  @Test
  void filesAndTheCommandNeedNoSpring() {
    classes()
        .that()
        .resideInAnyPackage("wiselarder.server.file..", "wiselarder.server.cli..")
        .should()
        .onlyDependOnClassesThat()
        .resideOutsideOfPackage("org.springframework..")
        .check(SERVER);
  }
}
