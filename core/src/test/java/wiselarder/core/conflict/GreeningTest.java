package wiselarder.core.conflict;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.plan.Season;

/** Green is not useful yet. */
class GreeningTest {
  private static Farms three() {
    Farms f = new Farms();
    f.fields.add(Farms.stand("fescue", 10, "tall_fescue_novel", null, 1900));
    f.fields.add(Farms.stand("bermuda", 10, "bermudagrass", null, 1400));
    f.fields.add(Farms.stand("native", 10, "native_warm_mix", null, 2600));
    return f;
  }

  private static Greening of(List<Greening> all, String field) {
    return all.stream().filter(g -> g.fieldId().equals(field)).findFirst().orElseThrow();
  }

  /** Cool grass first, then the warm ones; each is of use some weeks after it is green. */
  @Test
  void warmStandsLagBehindCoolOnes() {
    YearBalance y = ENGINE.simulate(three().build());
    List<Greening> all = Greening.of(y);
    assertThat(all).extracting(Greening::fieldId).startsWith("fescue");
    Greening cool = of(all, "fescue");
    Greening warm = of(all, "bermuda");
    assertThat(y.year().date(cool.greenDay()))
        .isBetween(LocalDate.of(2027, 2, 15), LocalDate.of(2027, 4, 5));
    assertThat(y.year().date(warm.greenDay()))
        .isBetween(LocalDate.of(2027, 4, 10), LocalDate.of(2027, 5, 25));
    assertThat(warm.greenDay() - cool.greenDay()).isGreaterThan(25);
    for (Greening g : all) {
      assertThat(g.usefulDay() - g.greenDay()).as(g.fieldId()).isBetween(7, 60);
    }
    assertThat(warm.nightC()).isGreaterThan(cool.nightC() + 3);
  }

  /** By hand: new growth from green-up on adds up to what lies between leaving and entering. */
  @Test
  void usefulIsOnceSoMuchHasComeAsLiesBetweenLeavingAndEntering() {
    YearBalance y = ENGINE.simulate(three().build());
    Greening g = of(Greening.of(y), "fescue");
    var stand = y.resolved().fields[0].base();
    double wanted = stand.turnIn - stand.residual;
    double until = 0;
    for (int d = g.greenDay(); d < g.usefulDay(); d++) {
      until += y.grownKg(0, d) / 10;
    }
    assertThat(until).isLessThan(wanted);
    assertThat(until + y.grownKg(0, g.usefulDay()) / 10).isGreaterThanOrEqualTo(wanted);
  }

  /** A spring is early or late: the day is that of the year looked at. */
  @Test
  void itIsOfTheYearLookedAt() {
    List<Integer> days =
        List.of("seed:1", "seed:2", "seed:3", "seed:4").stream()
            .map(s -> ENGINE.in(Season.parse(s)).simulate(three().build()))
            .map(y -> of(Greening.of(y), "fescue").greenDay())
            .toList();
    assertThat(days).doesNotHaveDuplicates();
  }

  /** What does not sleep has no green-up: ryegrass in a mild winter. */
  @Test
  void whatDoesNotSleepDoesNotGreenUp() {
    Farms f = new Farms();
    f.climate = "temperate_humid_south";
    f.fields.add(Farms.stand("a", 10, "ryegrass_white_clover", null, 1800));
    assertThat(Greening.of(ENGINE.simulate(f.build()))).isEmpty();
  }
}
