package wiselarder.core.conflict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.conflict.LandUse.Use;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Sowing;

class LandUseTest {
  private static final LocalDate SOWN = START.plusDays(20);

  private static Sowing rye(String id, LocalDate on, LocalDate ends, Sowing.Preparation way) {
    return new Sowing(id, "saddle", "cereal_rye", on, way, null, 1, ends);
  }

  /** Ten hectares shut in autumn, six mown in May, four in which rye is sown after a burn-down. */
  private static Farms farm() {
    Farms f = new Farms().eaters("bulls", 8, 12);
    f.field("home", 10, 22, 1900).field("meadow", 6, 24, 1700).field("saddle", 4, 20, 1500);
    f.graze("bulls", null, null);
    f.shut("home", START, START.plusDays(90));
    f.cuts.add(
        new HayCut(
            "c", "meadow", START.plusDays(262), "h_hay_conditioned_grass", Farms.bale("hay", 0)));
    f.sowings.add(rye("r", SOWN, START.plusDays(250), Sowing.Preparation.BURN_DOWN));
    return f;
  }

  @Test
  void eachFieldIsForOneThing() {
    YearBalance year = ENGINE.simulate(farm().build());
    LandUse use = LandUse.of(year);
    assertThat(use.use(0, 0)).isEqualTo(Use.SHUT);
    assertThat(use.use(0, 89)).isEqualTo(Use.SHUT);
    assertThat(use.use(0, 90)).isEqualTo(Use.GRAZED);
    // fourteen days of burn-down before it is sown, and then until its roots hold
    assertThat(use.use(2, 5)).isEqualTo(Use.GRAZED);
    assertThat(use.use(2, 6)).isEqualTo(Use.BEING_SOWN);
    int ready = year.sowing(0).readyDay();
    assertThat(ready).isBetween(50, 240);
    assertThat(use.use(2, ready - 1)).isEqualTo(Use.BEING_SOWN);
    assertThat(use.use(2, ready)).isEqualTo(Use.CROP);
    assertThat(use.use(1, 262)).isEqualTo(Use.FOR_A_CUT);
    assertThat(use.use(1, 263)).isEqualTo(Use.GRAZED);
    assertThat(use.areaHa(Use.SHUT, 40)).isEqualTo(10);
    // from day 6 on ten hectares are shut and four out of use
    assertThat(use.narrowestDay()).isEqualTo(6);
    assertThat(use.areaHa(Use.GRAZED, 6)).isEqualTo(6);
  }

  /** No acre is promised twice, and none forgotten. */
  @Property(tries = 20)
  void theUsesOfADayAreTheWholeFarm(
      @ForAll @IntRange(min = 0, max = 364) int day,
      @ForAll @IntRange(min = 0, max = 200) int shutFrom) {
    Farms f = farm();
    f.shut("meadow", START.plusDays(shutFrom), START.plusDays(shutFrom + 60));
    LandUse use = LandUse.of(ENGINE.simulate(f.build()));
    double ha = 0;
    for (Use u : Use.values()) {
      ha += use.areaHa(u, day);
    }
    assertThat(ha).isCloseTo(20, within(1e-9));
    assertThat(use.wholeHa()).isEqualTo(20);
  }

  /** The next crop is prepared while the one before still stands. */
  @Test
  void aCropThatIsSownOverAnotherIsTold() {
    Farms f = farm();
    f.sowings.set(0, rye("r", SOWN, null, Sowing.Preparation.BURN_DOWN));
    LocalDate may = START.plusDays(240);
    f.sowings.add(
        new Sowing(
            "s",
            "saddle",
            "sorghum_sudangrass",
            may,
            Sowing.Preparation.FULL_SEEDBED,
            null,
            1,
            null));
    f.steps.clear();
    f.graze("bulls", null, null, "home", "meadow");
    YearBalance year = ENGINE.simulate(f.build());
    int eve = 240 - 28 - 1;
    assertThat(Conflicts.of(year))
        .filteredOn(c -> c.code() == Conflict.Code.SOWN_OVER_CROP)
        .singleElement()
        .satisfies(
            c -> {
              assertThat(c.itemId()).isEqualTo("s");
              assertThat(c.fromDay()).isEqualTo(eve + 1);
              assertThat(c.value()).isEqualTo(year.sownCoverKgPerHa(0, eve));
            });
    f.sowings.set(0, rye("r", SOWN, START.plusDays(200), Sowing.Preparation.BURN_DOWN));
    assertThat(Conflicts.of(ENGINE.simulate(f.build())))
        .noneMatch(c -> c.code() == Conflict.Code.SOWN_OVER_CROP);
  }
}
