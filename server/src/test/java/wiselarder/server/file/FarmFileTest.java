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
import org.junit.jupiter.params.provider.ValueSource;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Portion;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.ConditionSeen;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.LotCounted;
import wiselarder.core.records.LotFed;
import wiselarder.server.farm.DemoFarms;

class FarmFileTest {
  private static final Path EXAMPLE = Path.of("../docs/examples/smallholding.json");

  @Test
  void writesWhatItReads() {
    FarmFile.Content demo = DemoFarms.read("quillback");
    FarmPlan plan = demo.plans().get(0);
    FarmFile.Content whole =
        new FarmFile.Content(
            "Quillback",
            List.of(plan, new FarmPlan(plan.farm(), plan.plan().named("Second"))),
            demo.records());
    assertThat(demo.records()).hasSize(3);
    assertThat(FarmFile.read(FarmFile.write(whole))).isEqualTo(whole);
  }

  /** Every version that was ever written says the same of the same farm. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18})
  void aFileOfEveryOlderVersionIsStillRead(int version) {
    FarmFile.Content old =
        FarmFile.read(Path.of("src/test/resources/files/version-%d.json".formatted(version)));
    assertThat(old).isEqualTo(FarmFile.read(EXAMPLE));
  }

  @Test
  void whatStoodInAPlanAsRecordsIsWrittenDownOnce() {
    FarmFile.Content old =
        FarmFile.read(Path.of("src/test/resources/files/version-5-with-records.json"));
    assertThat(old.plans()).hasSize(2);
    assertThat(old.records())
        .extracting(FarmRecord::id)
        .containsExactly(
            "score-cows-2027-09-01",
            "test-fescue-rounds-fescue-2027",
            "test-orchard-rounds-orchard-2027",
            "test-bought-bought-2027",
            "r1",
            "r2");
    assertThat(old.records())
        .extracting(FarmRecord::fact)
        .contains(
            new ConditionSeen("cows", 5.5, null),
            new LotFed("fescue-rounds", 5, "cows", null, "from the east end"),
            new LotCounted("fescue-rounds", 170, ""));
    FarmRecords known = FarmRecords.of(old.records());
    assertThat(known.lot(old.plans().get(0).plan().purchases().get(0).lot()).tests())
        .extracting(t -> t.proteinPct())
        .containsExactly(11.0);
    assertThat(FarmFile.read(FarmFile.write(old))).isEqualTo(old);
  }

  @Test
  void theMostOfAStepBecomesAPortion() throws IOException {
    String old = Files.readString(Path.of("src/test/resources/files/version-6.json"));
    String third = old.replaceFirst("\"mostShare\": null", "\"mostShare\": 0.3");
    assertThat(third).isNotEqualTo(old);
    assertThat(FarmFile.read(third).plans().get(0).plan().steps().get(0).portion())
        .isEqualTo(Portion.atMost(0.3));
    assertThat(FarmFile.read(old).plans().get(0).plan().steps().get(0).portion()).isNull();
  }

  /** Of bales set out nothing was known of pads, strings and mixing. */
  @Test
  void balesSetOutBeforeLieAsTheyLay() throws IOException {
    String old =
        Files.readString(Path.of("src/test/resources/files/version-18.json"))
            .replace(
                "\"bales\": []",
                "\"bales\": [{\"id\": \"b\", \"fieldId\": \"croft\", \"lotId\": \"squares\","
                    + " \"bales\": 20, \"atOnce\": 4, \"counts\": [], \"spacing\": {\"alongM\": 6,"
                    + " \"acrossM\": 8, \"rowsDeg\": 0, \"shiftAlongM\": 0, \"shiftAcrossM\": 0},"
                    + " \"edgeM\": 5, \"waterM\": 10, \"fromLast\": false,"
                    + " \"mostHeadDaysPerHa\": null, \"places\": []}]");
    BaleField read = FarmFile.read(old).plans().get(0).plan().bales().get(0);
    assertThat(read.padWinters()).isEqualTo(2);
    assertThat(read.onEnd() || read.stringsOnDay()).isFalse();
    assertThat(read.mixed()).isNull();
    assertThat(read.counts()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"version\": 21 | \"version\": 22 | file_version {version=22, newest=21}",
        "\"version\": 21 | \"version\": \"two\" | file_version {version=-1, newest=21}",
        "wise-larder-farm | other | foreign_file {format=wise-larder-farm}",
        "\"areaHa\": 2.4 | \"areaHa\": -2 | plans[0].farm.fields[0]: field.areaHa: out_of_range {value=-2.0, min=0.01, max=5000.0}",
        "\"head\": 9 | \"tail\": 1, \"head\": 9 | unknown_name {name=tail, known=",
        "\"groupId\": \"pony\" | \"groupId\": \"mule\" | plans[0]: step.groupId: unknown_id {id=mule}",
        "\"start\": \"2027-10-01\" | \"start\": \"soon\" | plans[0].plan.year.start: plan.year.start: unreadable {wanted=day}",
        "\"head\": 9, | \"name\": \"Ewes\", | plans[0].farm.groups[0].head: farm.groups[0].head: missing",
        "\"head\": 9 | \"head\": \"nine\" | plans[0].farm.groups[0].head: farm.groups[0].head: unreadable {wanted=whole_number}",
        "\"farm\": { | \"farm\" { | not_json {line=",
        "\"plans\": [ | \"plans\": null, \"x\": [ | unknown_name {name=x, known=format, version, name, plans, records}",
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
