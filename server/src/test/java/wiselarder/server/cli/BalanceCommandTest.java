package wiselarder.server.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code larder balance} on the smallholding: nine ewes, a pony, small square bales, one winter.
 */
class BalanceCommandTest {
  private static final String FILE = "../docs/examples/smallholding.json";

  private int status;

  private String run(String... args) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PrintStream stream = new PrintStream(out, true, StandardCharsets.UTF_8);
    status = BalanceCommand.run(args, stream, stream);
    return out.toString(StandardCharsets.UTF_8);
  }

  @Test
  void theBaleNumberIsWhatTheSumByHandGives() {
    // Nine ewes at 1.4 kg and a pony at 5.4 kg eat 18 kg of dry matter a day.
    // From 15 November (day 45 of the plan) to 31 March 2028 (day 182) are 138 days: 2,484 kg.
    // A bale of 21 kg at 87% holds 18.27 kg; the rack wastes 8%: 16.8084 kg. In the barn it loses
    // 5%
    // a year, so on day t it still gives 16.8084 x 0.95^(t/365).
    // Bales = 18 / 16.8084 x sum of 0.95^(-t/365) for t = 45..182, a geometric sum:
    //   r = 0.95^(-1/365) = 1.000140541, r^45 = 1.00634, (r^138 - 1) / (r - 1) = 139.337
    //   18 / 16.8084 x 1.00634 x 139.337 = 150.16: 151 bales.
    double r = Math.pow(0.95, -1 / 365.0);
    double sum = Math.pow(r, 45) * (Math.pow(r, 138) - 1) / (r - 1);
    int byHand = (int) Math.ceil(18 / (21 * 0.87 * 0.92) * sum);
    assertThat(byHand).isEqualTo(151);
    String report = run(FILE);
    assertThat(status).isZero();
    assertThat(report).containsPattern("all groups +151, and 170 in store");
    assertThat(report).containsPattern("year +6,588 .* 151\n");
    assertThat(report).contains("No day goes bare.");
  }

  @Test
  void monthsAndDaysAddUpToTheSame() {
    double months = column(run(FILE, "--format", "csv"), 4);
    double days = column(run(FILE, "--daily", "--format", "csv"), 4);
    assertThat(months).isEqualTo(2484.0, org.assertj.core.api.Assertions.within(0.01));
    assertThat(days).isEqualTo(months, org.assertj.core.api.Assertions.within(0.5));
  }

  private static double column(String csv, int column) {
    return csv.lines().skip(1).mapToDouble(l -> Double.parseDouble(l.split(",")[column])).sum();
  }

  @Test
  void jsonCarriesGapsAndTheMassBalance() {
    JsonNode json = new JsonMapper().readTree(run(FILE, "--format", "json"));
    assertThat(json.get("lines")).hasSize(12);
    assertThat(json.get("gaps").get(0).get("kind").asString()).isEqualTo("GRAZING");
    assertThat(json.get("mass_balance").get("closingKg").asDouble()).isPositive();
  }

  @Test
  void theSameFileIsReckonedInAnotherSeason() {
    double normal = column(run(FILE, "--format", "csv"), 7);
    double dry = column(run(FILE, "--format", "csv", "--season", "dry"), 7);
    assertThat(dry).isLessThan(normal);
    assertThat(run(FILE, "--season", "rainy"))
        .contains("unknown_season {key=rainy}", "KEY is normal, dry, wet");
    assertThat(status).isEqualTo(1);
  }

  @Test
  void wrongCallsAndFilesAreToldApart() {
    assertThat(run()).startsWith("usage:");
    assertThat(status).isEqualTo(2);
    run(FILE, "--format", "xml");
    assertThat(status).isEqualTo(2);
    assertThat(run("nowhere.json")).contains("cannot read nowhere.json");
    assertThat(status).isEqualTo(1);
    assertThat(run("pom.xml")).contains("not_json {line=1, column=1}");
    assertThat(status).isEqualTo(1);
  }
}
