package wiselarder.server.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.server.plan.DemoFarm;

class PlanFileTest {
  private static final Path SMALLHOLDING = Path.of("../docs/examples/smallholding.json");

  @Test
  void writesWhatItReads() {
    FarmPlan demo = DemoFarm.quillback();
    assertThat(PlanFile.read(PlanFile.write(demo))).isEqualTo(demo);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"version\": 1 | \"version\": 7 | \"version\" is 7; this product reads 1",
        "wise-larder-plan | other | \"format\" should be \"wise-larder-plan\"",
        "\"areaHa\": 2.4 | \"areaHa\": -2 | farm.fields[0]: field.areaHa is -2.0; accepted is 0.01 to 5000.0",
        "\"head\": 9 | \"tail\": 1, \"head\": 9 | this name is not known here",
        "\"groupId\": \"pony\" | \"groupId\": \"mule\" | step.groupId: there is no mule",
        "\"start\": \"2027-10-01\" | \"start\": \"soon\" | plan.year.start: cannot be read as a date like 2027-09-01",
        "\"head\": 9, | \"name\": \"Ewes\", | farm.groups[0].head: is missing",
        "\"head\": 9 | \"head\": \"nine\" | farm.groups[0].head: cannot be read as a whole number",
        "\"farm\": { | \"farm\" { | not JSON at line 4",
      })
  void aBrokenFileIsToldWhatIsWrongAndWhere(String good, String bad, String message)
      throws IOException {
    String broken =
        Files.readString(SMALLHOLDING)
            .replaceFirst(
                java.util.regex.Pattern.quote(good), java.util.regex.Matcher.quoteReplacement(bad));
    assertThat(broken).isNotEqualTo(Files.readString(SMALLHOLDING));
    assertThatThrownBy(() -> PlanFile.read(broken))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(message);
  }
}
