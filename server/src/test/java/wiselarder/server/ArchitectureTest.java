package wiselarder.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** The server stays thin, goes by the words of the job, and lists who may use whom. */
class ArchitectureTest {
  private static final JavaClasses SERVER =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("wiselarder.server");

  private static final Map<String, Set<String>> ALLOWED =
      Map.ofEntries(
          Map.entry("json", Set.of("problem")),
          Map.entry("people", Set.of("problem")),
          Map.entry("problem", Set.of()),
          Map.entry("watch", Set.of("problem", "people")),
          Map.entry("catalogue", Set.of()),
          Map.entry("lists", Set.of("problem", "json")),
          Map.entry("file", Set.of("problem", "json", "lists")),
          Map.entry("cli", Set.of("problem", "file", "json")),
          Map.entry("plan", Set.of("problem", "json", "people")),
          Map.entry("records", Set.of("problem", "json", "people", "plan")),
          Map.entry("farm", Set.of("problem", "file", "people", "plan", "records")),
          Map.entry("http", Set.of("problem", "farm", "json", "lists", "people", "plan")),
          Map.entry("weather", Set.of("problem", "http", "people", "plan", "records", "watch")),
          Map.entry(
              "year",
              Set.of("catalogue", "json", "people", "plan", "problem", "records", "weather")),
          Map.entry("closing", Set.of("problem", "farm", "file", "people", "plan", "weather")),
          Map.entry("seasons", Set.of("closing", "people", "plan", "weather")),
          Map.entry("jobs", Set.of("problem", "http", "people", "plan", "weather")),
          Map.entry("work", Set.of("problem")),
          Map.entry(
              "morning",
              Set.of("work", "people", "plan", "records", "jobs", "json", "http", "file", "lists")),
          Map.entry("live", Set.of("people", "plan")),
          Map.entry("walk", Set.of("people", "plan", "records", "year", "http", "file", "lists")),
          Map.entry(
              "instruments",
              Set.of("problem", "people", "plan", "records", "year", "http", "lists")),
          Map.entry("herd", Set.of("people", "plan", "year")),
          Map.entry("winter", Set.of("people", "plan", "year")),
          Map.entry("store", Set.of("problem", "people", "plan", "year")),
          Map.entry("land", Set.of("problem", "file", "http", "lists", "people", "plan", "year")),
          Map.entry("laboratory", Set.of("problem", "people", "plan", "records", "year")),
          Map.entry(
              "papers",
              Set.of(
                  "problem", "farm", "file", "http", "lists", "people", "plan", "records",
                  "year")));

  @Test
  void onlyListedEdgesBetweenPackages() {
    Set<String> wrong = new TreeSet<>();
    for (JavaClass from : SERVER) {
      for (Dependency d : from.getDirectDependenciesFromSelf()) {
        String source = word(from.getPackageName());
        String target = word(d.getTargetClass().getPackageName());
        if (!source.isEmpty()
            && !target.isEmpty()
            && !source.equals(target)
            && !ALLOWED.getOrDefault(source, Set.of()).contains(target)) {
          wrong.add(source + " -> " + target + ": " + d.getDescription());
        }
      }
    }
    assertThat(wrong).as("edges that no rule allows").isEmpty();
  }

  private static String word(String packageName) {
    String root = "wiselarder.server.";
    return packageName.startsWith(root) ? packageName.substring(root.length()) : "";
  }

  @Test
  void packagesFormNoCircle() {
    slices().matching("wiselarder.server.(*)..").should().beFreeOfCycles().check(SERVER);
  }

  @Test
  void onlyRepositoriesSpeakSql() {
    noClasses()
        .that()
        .haveSimpleNameNotEndingWith("Repository")
        .and()
        .doNotHaveSimpleName("DatabaseTrouble") // which reads what a fault says
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.springframework.jdbc..", "java.sql..")
        .check(SERVER);
  }

  @Test
  void filesAndTheCommandNeedNoSpring() {
    classes()
        .that()
        .resideInAnyPackage(
            "wiselarder.server.file..", "wiselarder.server.lists..", "wiselarder.server.cli..")
        .should()
        .onlyDependOnClassesThat()
        .resideOutsideOfPackage("org.springframework..")
        .check(SERVER);
  }
}
