package wiselarder.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.forage.Readiness;
import wiselarder.core.land.Soil;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.CoverSeen.SignSeen;
import wiselarder.core.records.FarmRecord;

/** A young stand is opened when it is tall enough and its roots hold a pull, not before. */
class PullTest {
  private static final LocalDate SOWN = START.plusDays(245);
  private static final String HOLD = "leaf_tears";
  private static final String LIFT = "most_plants_lift";

  /** Four bulls beside 5 ha of pearl millet, sown in May into a seedbed. */
  private static Farms farm() {
    Farms farm = new Farms().eaters("herd", 4, 10).bales("hay", 60);
    farm.fields.add(Farms.stand("a", 5, "bermudagrass", Collections.nCopies(12, 15.0), 1500));
    farm.sowings.add(
        new Sowing(
            "s", "a", "pearl_millet", SOWN, Sowing.Preparation.FULL_SEEDBED, null, 1.0, null));
    return farm.graze("herd", START.plusDays(246), null, "a").feed("herd", null, null);
  }

  private static FarmRecord pulled(int day, double kgPerHa, String value) {
    return Farms.seen(START.plusDays(day), seen(kgPerHa, value));
  }

  private static CoverSeen seen(double kgPerHa, String value) {
    SignSeen[] signs =
        value == null ? new SignSeen[0] : new SignSeen[] {new SignSeen("anchorage_new", value)};
    return Farms.cover("a", "pearl_millet", kgPerHa, null, signs);
  }

  private static int firstGrazed(YearBalance year) {
    for (int d = 246; d < 365; d++) {
      if (year.grazedKg(0, d) > 0) {
        return d;
      }
    }
    return -1;
  }

  private static YearBalance year(FarmRecord... written) {
    return ENGINE.knowing(Farms.written(written)).simulate(farm().build());
  }

  @Test
  void wherePlantsLiftNobodyComesInUntilTheyHold() {
    YearBalance plain = year();
    int ready = plain.sowing(0).readyDay();
    assertThat(ready).isBetween(270, 320);
    assertThat(firstGrazed(plain)).isGreaterThanOrEqualTo(ready);
    double cover = plain.coverKgPerHa(0, ready - 1);
    YearBalance lifts = year(pulled(ready, cover, LIFT));
    assertThat(firstGrazed(lifts)).isEqualTo(-1);
    YearBalance holds = year(pulled(ready, cover, LIFT), pulled(ready + 12, cover + 300, HOLD));
    assertThat(firstGrazed(holds)).isGreaterThanOrEqualTo(ready + 12);
    // a reading without a pull says nothing of roots
    YearBalance looked = year(pulled(ready, cover, LIFT), pulled(ready + 12, cover + 300, null));
    assertThat(firstGrazed(looked)).isEqualTo(-1);
  }

  /** Tall and held sooner than the table has it: it is ready on the day it was tried. */
  @Test
  void rootsThatHoldAreNotWaitedFor() {
    int ready = year().sowing(0).readyDay();
    YearBalance told = year(pulled(ready - 8, 6000, HOLD));
    assertThat(told.sowing(0).readyDay()).isEqualTo(ready - 8);
    // tall alone is not enough
    YearBalance tall = year(pulled(ready - 8, 6000, null));
    assertThat(tall.sowing(0).readyDay()).isGreaterThanOrEqualTo(ready - 8);
    assertThat(year(pulled(ready - 8, 400, HOLD)).sowing(0).readyDay()).isGreaterThan(ready - 8);
  }

  @Test
  void theAnswerWantsBoth() {
    FarmPlan plan = farm().build();
    int day = year().sowing(0).readyDay() - 5;
    LocalDate on = START.plusDays(day);
    FieldToWalk young = Walk.of(ENGINE, plan, on).fields().get(0);
    assertThat(young.young()).isTrue();
    assertThat(young.forageId()).isEqualTo("pearl_millet");
    Answer tall = Answer.to(ENGINE, plan, on, seen(6000, null));
    assertThat(tall.ready()).isFalse();
    assertThat(tall.rootsHold()).isNull();
    assertThat(Answer.to(ENGINE, plan, on, seen(6000, HOLD)).ready()).isTrue();
    assertThat(Answer.to(ENGINE, plan, on, seen(6000, LIFT)).ready()).isFalse();
    Answer low = Answer.to(ENGINE, plan, on, seen(tall.openKgPerHa() - 50, HOLD));
    assertThat(low.ready()).isFalse();
    // 45 cm by the table
    double mass =
        ENGINE
            .catalogue()
            .heights()
            .massKgPerHa(
                ENGINE.catalogue().forage("pearl_millet"),
                young.season(),
                HeightTable.Density.ORDINARY,
                45);
    assertThat(tall.openKgPerHa()).isCloseTo(Math.max(young.enterKgPerHa(), mass), within(1e-9));
    Engine told = ENGINE.knowing(Farms.written(pulled(day - 2, 3000, LIFT)));
    assertThat(Walk.of(told, plan, on).fields().get(0).plantsLift()).isTrue();
    assertThat(Answer.to(told, plan, on, seen(6000, null)).rootsHold()).isFalse();
  }

  @Test
  void everyForageThatGrowsHasItsRule() {
    ENGINE
        .catalogue()
        .forages()
        .values()
        .forEach(
            f -> {
              Readiness rule = ENGINE.catalogue().readiness().get(f.id());
              assertThat(rule != null).as(f.id()).isEqualTo(f.grows());
              if (rule != null) {
                assertThat(rule.openCm(true)).isGreaterThanOrEqualTo(rule.openCm(false));
                assertThat(rule.lookCm()).isLessThanOrEqualTo(rule.openCm(false));
                assertThat(rule.downToCm()).isLessThan(rule.openCm(false));
              }
            });
    assertThat(ENGINE.catalogue().readiness().get("teff").openCm(true)).isEqualTo(30);
    assertThat(new Soil(Soil.Texture.LOAMY_SAND, null, true).sandy()).isTrue();
    assertThat(new Soil(Soil.Texture.LOAM, null, true).sandy()).isFalse();
  }
}
