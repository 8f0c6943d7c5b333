package wiselarder.server.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.server.farm.DemoFarms;

class FarmFileTest {
  private static final Path EXAMPLE = Path.of("../docs/examples/smallholding.json");
  private static final Path VERSION_2 = Path.of("src/test/resources/files/version-2.json");
  private static final Path OLD = Path.of("src/test/resources/files/version-1.json");

  @Test
  void writesWhatItReads() {
    FarmPlan demo = DemoFarms.read("quillback");
    FarmFile.Content whole =
        new FarmFile.Content(
            "Quillback", List.of(demo, new FarmPlan(demo.farm(), demo.plan().named("Second"))));
    assertThat(FarmFile.read(FarmFile.write(whole))).isEqualTo(whole);
  }

  @Test
  void aFileOfVersionOneIsStillRead() {
    FarmFile.Content old = FarmFile.read(OLD);
    FarmFile.Content example = FarmFile.read(EXAMPLE);
    assertThat(old.plans()).isEqualTo(example.plans());
    assertThat(old.name()).isEqualTo(example.name());
  }

  @Test
  void aFileOfVersionTwoHasNoSoilsAndNothingSown() {
    FarmFile.Content old = FarmFile.read(VERSION_2);
    assertThat(old).isEqualTo(FarmFile.read(EXAMPLE));
    assertThat(old.plans().get(0).plan().sowings()).isEmpty();
    assertThat(old.plans().get(0).farm().fields()).allMatch(f -> f.soil() == null);
  }

  @Test
  void aFileOfVersionFourHasNobodyComingAndNothingTested() {
    FarmFile.Content old = FarmFile.read(Path.of("src/test/resources/files/version-4.json"));
    assertThat(old).isEqualTo(FarmFile.read(EXAMPLE));
    assertThat(old.plans().get(0).farm().groups())
        .allMatch(g -> g.changes().isEmpty() && g.keeping().besidesKgPerDay() == 0);
    assertThat(old.plans().get(0).farm().lots()).allMatch(l -> l.tests().isEmpty());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"version\": 5 | \"version\": 7 | \"version\" is 7, from a newer product; this one reads up to 5",
        "\"version\": 5 | \"version\": \"two\" | \"version\" should be a number from 1 to 5",
        "wise-larder-farm | other | \"format\" should be \"wise-larder-farm\"",
        "\"areaHa\": 2.4 | \"areaHa\": -2 | plans[0].farm.fields[0]: field.areaHa is -2.0; accepted is 0.01 to 5000.0",
        "\"head\": 9 | \"tail\": 1, \"head\": 9 | this name is not known here",
        "\"groupId\": \"pony\" | \"groupId\": \"mule\" | plans[0]: step.groupId: there is no mule",
        "\"start\": \"2027-10-01\" | \"start\": \"soon\" | plans[0].plan.year.start: cannot be read as a date like 2027-09-01",
        "\"head\": 9, | \"name\": \"Ewes\", | plans[0].farm.groups[0].head: is missing",
        "\"head\": 9 | \"head\": \"nine\" | plans[0].farm.groups[0].head: cannot be read as a whole number",
        "\"farm\": { | \"farm\" { | not JSON at line",
        "\"plans\": [ | \"plans\": null, \"x\": [ | this name is not known here",
      })
  void aBrokenFileIsToldWhatIsWrongAndWhere(String good, String bad, String message)
      throws IOException {
    String whole = Files.readString(EXAMPLE);
    String broken = whole.replaceFirst(Pattern.quote(good), Matcher.quoteReplacement(bad));
    assertThat(broken).isNotEqualTo(whole);
    assertThatThrownBy(() -> FarmFile.read(broken))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(message);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"''", "[]", "null", "7", "{}", "{\"format\": []}", "\"x\"", "{\"a\": 1} x"})
  void whatIsNoFarmFileIsRefused(String text) {
    assertThatThrownBy(() -> FarmFile.read(text)).isInstanceOf(Refused.class);
  }

  @Test
  void aFileNestedWithoutEndIsRefused() {
    assertThatThrownBy(() -> FarmFile.read("[".repeat(100_000))).isInstanceOf(Refused.class);
  }
}
