package wiselarder.core;

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

/** The core's packages and every edge that is allowed between them. */
class ArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("wiselarder.core");

  private static final Map<String, Set<String>> ALLOWED =
      Map.ofEntries(
          Map.entry("reference", Set.of()),
          Map.entry(
              "walk",
              Set.of(
                  "balance",
                  "calendar",
                  "day",
                  "engine",
                  "forage",
                  "gap",
                  "herd",
                  "land",
                  "plan",
                  "quantity",
                  "records",
                  "resolved",
                  "weather")),
          Map.entry("bales", Set.of("land", "quantity")),
          Map.entry(
              "carry",
              Set.of(
                  "balance",
                  "bales",
                  "calendar",
                  "cost",
                  "day",
                  "diet",
                  "edit",
                  "engine",
                  "forage",
                  "herd",
                  "land",
                  "plan",
                  "quantity",
                  "resolved",
                  "store",
                  "winter")),
          Map.entry(
              "winter",
              Set.of(
                  "balance",
                  "bales",
                  "calendar",
                  "engine",
                  "forage",
                  "herd",
                  "land",
                  "plan",
                  "quantity",
                  "reference",
                  "resolved",
                  "store",
                  "weather")),
          Map.entry("quantity", Set.of()),
          Map.entry("calendar", Set.of("quantity")),
          Map.entry("weather", Set.of("quantity", "calendar", "reference")),
          Map.entry("forage", Set.of("quantity", "calendar", "reference", "weather")),
          Map.entry("land", Set.of("quantity", "calendar", "reference", "weather", "forage")),
          Map.entry("herd", Set.of("quantity", "calendar", "reference", "weather")),
          Map.entry("store", Set.of("quantity", "reference")),
          Map.entry("price", Set.of("quantity", "reference")),
          Map.entry("records", Set.of("quantity", "weather", "forage", "land", "herd", "store")),
          Map.entry(
              "plan",
              Set.of(
                  "bales",
                  "quantity",
                  "calendar",
                  "weather",
                  "forage",
                  "land",
                  "herd",
                  "store",
                  "price")),
          Map.entry(
              "caution",
              Set.of(
                  "reference",
                  "calendar",
                  "weather",
                  "forage",
                  "land",
                  "herd",
                  "store",
                  "records",
                  "plan")),
          Map.entry(
              "resolved",
              Set.of(
                  "quantity",
                  "calendar",
                  "forage",
                  "land",
                  "herd",
                  "store",
                  "records",
                  "plan",
                  "caution",
                  "weather")),
          Map.entry(
              "day", Set.of("resolved", "forage", "herd", "land", "plan", "store", "weather")),
          Map.entry(
              "balance",
              Set.of(
                  "resolved",
                  "day",
                  "calendar",
                  "forage",
                  "herd",
                  "plan",
                  "quantity",
                  "store",
                  "weather")),
          Map.entry(
              "diet",
              Set.of(
                  "price",
                  "day",
                  "resolved",
                  "balance",
                  "plan",
                  "land",
                  "herd",
                  "store",
                  "records",
                  "calendar",
                  "forage",
                  "weather")),
          Map.entry(
              "cost",
              Set.of(
                  "price",
                  "diet",
                  "day",
                  "resolved",
                  "balance",
                  "plan",
                  "land",
                  "herd",
                  "store",
                  "calendar",
                  "forage",
                  "weather")),
          Map.entry(
              "gap",
              Set.of(
                  "day",
                  "diet",
                  "resolved",
                  "balance",
                  "plan",
                  "land",
                  "caution",
                  "calendar",
                  "herd",
                  "weather")),
          Map.entry(
              "conflict",
              Set.of(
                  "day",
                  "forage",
                  "resolved",
                  "balance",
                  "plan",
                  "land",
                  "herd",
                  "calendar",
                  "weather")),
          Map.entry("edit", Set.of("quantity", "calendar", "land", "herd", "store", "plan")),
          Map.entry(
              "engine",
              Set.of(
                  "forage",
                  "land",
                  "resolved",
                  "balance",
                  "calendar",
                  "plan",
                  "edit",
                  "records",
                  "caution",
                  "conflict",
                  "gap",
                  "weather")),
          Map.entry(
              "check",
              Set.of(
                  "balance",
                  "calendar",
                  "day",
                  "engine",
                  "forage",
                  "herd",
                  "land",
                  "plan",
                  "resolved",
                  "store",
                  "weather")),
          Map.entry(
              "morning",
              Set.of("engine", "records", "jobs", "seasons", "gap", "calendar", "balance", "plan")),
          Map.entry(
              "jobs",
              Set.of(
                  "engine",
                  "price",
                  "records",
                  "calendar",
                  "caution",
                  "cost",
                  "day",
                  "edit",
                  "forage",
                  "resolved",
                  "balance",
                  "herd",
                  "land",
                  "plan",
                  "quantity",
                  "store",
                  "winter")),
          Map.entry(
              "seasons",
              Set.of(
                  "engine",
                  "records",
                  "closing",
                  "price",
                  "calendar",
                  "edit",
                  "resolved",
                  "balance",
                  "cost",
                  "herd",
                  "land",
                  "plan",
                  "quantity",
                  "store",
                  "weather")),
          Map.entry(
              "closing",
              Set.of(
                  "cost",
                  "price",
                  "day",
                  "resolved",
                  "engine",
                  "edit",
                  "records",
                  "quantity",
                  "gap",
                  "diet",
                  "balance",
                  "plan",
                  "land",
                  "store",
                  "herd",
                  "caution",
                  "calendar",
                  "weather",
                  "forage")));

  @Test
  void onlyListedEdgesBetweenPackages() {
    Set<String> wrong = new TreeSet<>();
    for (JavaClass from : CORE) {
      for (Dependency d : from.getDirectDependenciesFromSelf()) {
        String source = word(from.getPackageName());
        String target = word(d.getTargetClass().getPackageName());
        if (!target.isEmpty()
            && !source.equals(target)
            && !ALLOWED.getOrDefault(source, Set.of()).contains(target)) {
          wrong.add(source + " -> " + target + ": " + d.getDescription());
        }
      }
    }
    assertThat(wrong).as("edges that no rule allows").isEmpty();
  }

  @Test
  void packagesFormNoCircle() {
    slices().matching("wiselarder.core.(*)..").should().beFreeOfCycles().check(CORE);
  }

  @Test
  void coreKnowsNoFramework() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "org.springframework..",
            "tools.jackson..",
            "com.fasterxml..",
            "java.sql..",
            "jakarta..",
            "wiselarder.server..")
        .check(CORE);
  }

  @Test
  void coreAsksNoClockAndNoChance() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .haveFullyQualifiedName("java.time.Clock")
        .orShould()
        .dependOnClassesThat()
        .haveFullyQualifiedName("java.util.Random")
        .orShould()
        .callMethod(java.time.LocalDate.class, "now")
        .orShould()
        .callMethod(Math.class, "random")
        .check(CORE);
  }

  private static String word(String packageName) {
    return packageName.startsWith("wiselarder.core.")
        ? packageName.substring("wiselarder.core.".length())
        : "";
  }
}
