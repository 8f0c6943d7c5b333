package wiselarder.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.GrainStages.Purpose;
import wiselarder.core.forage.GrainStages.Use;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.StemsSeen;
import wiselarder.core.records.StemsSeen.Stem;

/** Split stems of a small grain: what comes back from which height, and what the plan learns. */
class StemTest {
  private static final GrainStages STAGES = ENGINE.catalogue().stages();
  private static final String RYE = "cereal_rye";

  /** 25 bulls, bales, and 6 ha of rye sown into bermuda in September, grazed from March on. */
  private static FarmPlan farm() {
    Farms farm = new Farms().eaters("herd", 25, 10).bales("hay", 400);
    farm.fields.add(Farms.stand("a", 6, "bermudagrass", Collections.nCopies(12, 8.0), 1500));
    farm.sowings.add(
        new Sowing(
            "s", "a", RYE, START.plusDays(14), Sowing.Preparation.GRAZE_DOWN, null, 1.0, null));
    return farm.graze("herd", START.plusDays(190), START.plusDays(300), "a")
        .feed("herd", null, null)
        .build();
  }

  private static StemsSeen stems(Purpose purpose, Object... of) {
    List<Stem> all = new ArrayList<>();
    for (int i = 0; i < of.length; i += 3) {
      Double cm = of[i + 2] == null ? null : ((Number) of[i + 2]).doubleValue();
      all.addAll(Collections.nCopies((Integer) of[i], new Stem((String) of[i + 1], cm)));
    }
    return new StemsSeen("a", RYE, all, purpose, "");
  }

  private static StemAnswer answer(int day, StemsSeen seen) {
    return StemAnswer.to(ENGINE, farm(), START.plusDays(day), seen);
  }

  /**
   * Six leafy stems come back whatever is taken. Four lengthening ones with their points at 3 cm go
   * on if the stand is left higher; otherwise half of each: (6 + 4 x 0.5) / 12. Two jointed ones at
   * 10 cm: a fifth, or go on from 11 cm.
   */
  @Test
  void whatComesBackFromEachHeight() {
    StemsSeen seen = stems(Purpose.REGROW, 6, "leafy", 0, 4, "lengthening", 3, 2, "jointed", 10);
    StemAnswer a = answer(200, seen);
    assertThat(a.regrowShareByCm().get(0)).isCloseTo((6 + 2 + 0.4) / 12, within(1e-12));
    assertThat(a.regrowShareByCm().get(3)).isCloseTo((6 + 2 + 0.4) / 12, within(1e-12));
    assertThat(a.regrowShareByCm().get(4)).isCloseTo((6 + 4 + 0.4) / 12, within(1e-12));
    assertThat(a.regrowShareByCm().get(10)).isCloseTo((6 + 4 + 0.4) / 12, within(1e-12));
    assertThat(a.regrowShareByCm().get(11)).isCloseTo(1, within(1e-12));
    assertThat(a.setToCm()).isEqualTo(11);
    assertThat(a.stageId()).isEqualTo("lengthening");
    assertThat(a.use()).isEqualTo(Use.GRAZE_WITH_CARE);
    assertThat(a.counts())
        .containsExactly(
            new StemAnswer.StageCount("leafy", 6),
            new StemAnswer.StageCount("lengthening", 4),
            new StemAnswer.StageCount("jointed", 2));
    assertThat(a.enough()).isTrue();
  }

  /** No mower stands above heads at 50 cm: it is taken once. */
  @Test
  void whereAllPointsAreHighNoHeightSavesThem() {
    StemAnswer a = answer(230, stems(Purpose.REGROW, 12, "boot", 50));
    assertThat(a.setToCm()).isNull();
    assertThat(a.use()).isEqualTo(Use.SILAGE);
    StemAnswer once = answer(230, stems(Purpose.ONCE, 12, "boot", 50));
    assertThat(once.setToCm()).isEqualTo(ENGINE.catalogue().forage(RYE).cutHeightCm());
  }

  @ParameterizedTest
  @CsvSource({
    "leafy, GRAZE, WAIT",
    "lengthening, GRAZE_WITH_CARE, WAIT",
    "jointed, GRAZE_WITH_CARE, WAIT",
    "flag_leaf, GRAZE_WITH_CARE, SILAGE",
    "boot, SILAGE, SILAGE",
    "heading, HAY, HAY",
    "flowering, WAIT, WAIT",
    "milk, HAY, HAY",
    "soft_dough, SILAGE, SILAGE",
    "hard_dough, HAY, HAY"
  })
  void whatItIsGoodFor(String stage, Use again, Use once) {
    assertThat(answer(230, stems(Purpose.REGROW, 12, stage, null)).use()).isEqualTo(again);
    assertThat(answer(230, stems(Purpose.ONCE, 12, stage, null)).use()).isEqualTo(once);
  }

  /** Points that nobody measured: jointed ones lie evenly from 4 to 14 cm, so half below 9. */
  @Test
  void pointsThatNobodyMeasuredLieOverTheTablesHeights() {
    StemAnswer a = answer(200, stems(Purpose.REGROW, 12, "jointed", null));
    assertThat(a.regrowShareByCm().get(4)).isCloseTo(0.2, within(1e-12));
    assertThat(a.regrowShareByCm().get(9)).isCloseTo(0.5 + 0.5 * 0.2, within(1e-12));
    assertThat(a.regrowShareByCm().get(14)).isCloseTo(1, within(1e-12));
    assertThat(a.setToCm()).isEqualTo(14);
  }

  /** The table's places are those of the course: what is jointed there is jointed here. */
  @Test
  void theStagesAreThoseOfTheCourse() {
    CropRules.Course course = CropRules.Course.of(ENGINE.catalogue().forage(RYE));
    double jointed = STAGES.heatAt(STAGES.place("jointed"), course, 0);
    assertThat(course.jointed(jointed)).isTrue();
    assertThat(course.jointed(Math.nextDown(jointed))).isFalse();
    assertThat(STAGES.heatAt(STAGES.place("heading"), course, 0))
        .isEqualTo(course.headingDegreeDays());
    assertThat(STAGES.heatAt(STAGES.place("soft_dough"), course, 0))
        .isCloseTo(course.softDough(), within(1e-9));
    // what was thought right stays as it was
    assertThat(STAGES.heatAt(STAGES.place("jointed"), course, jointed + 1)).isEqualTo(jointed + 1);
    assertThat(STAGES.heatAt(STAGES.place("leafy"), course, 5000))
        .isLessThan(STAGES.heatAt(STAGES.place("lengthening"), course, 0));
  }

  private static YearBalance year(int day, StemsSeen seen) {
    FarmRecord r = Farms.seen(START.plusDays(day), seen);
    return ENGINE.knowing(Farms.written(r)).simulate(farm());
  }

  private static double laterKg(YearBalance year, int from) {
    double kg = 0;
    for (int d = from; d < 365; d++) {
      kg += year.grazedKg(0, d);
    }
    return kg;
  }

  /** Stems further on than was thought: what grazes them takes their points, later uses go. */
  @Test
  void whereGrowingPointsAreTakenLaterUsesGo() {
    YearBalance plain = ENGINE.simulate(farm());
    YearBalance boot = year(195, stems(Purpose.REGROW, 12, "boot", 40));
    YearBalance leafy = year(240, stems(Purpose.REGROW, 12, "leafy", 0));
    assertThat(laterKg(boot, 195)).isLessThan(0.85 * laterKg(plain, 195));
    assertThat(laterKg(leafy, 240)).isGreaterThan(1.1 * laterKg(plain, 240));
    StemAnswer a = answer(195, stems(Purpose.REGROW, 12, "boot", 40));
    assertThat(a.countsInPlan()).isTrue();
    assertThat(a.laterKgBefore()).isCloseTo(laterKg(plain, 195), within(1e-6));
    assertThat(a.laterKgAfter()).isCloseTo(laterKg(boot, 195), within(1e-6));
    assertThat(a.laterKgAfter()).isLessThan(a.laterKgBefore());
  }

  @Test
  void nineAreTooFewToCorrectAPlanWith() throws IllegalAccessException {
    StemsSeen nine = stems(Purpose.REGROW, 9, "boot", 40);
    StemAnswer a = answer(195, nine);
    assertThat(a.enough()).isFalse();
    assertThat(a.countsInPlan()).isFalse();
    assertThat(a.laterKgAfter()).isEqualTo(a.laterKgBefore());
    SameYears.check(year(195, nine), ENGINE.simulate(farm()));
  }

  @Test
  void whatThePlanDoesNotKnowIsRefused() {
    StemsSeen other = new StemsSeen("gone", RYE, List.of(new Stem("leafy", null)), null, "");
    assertThatThrownBy(() -> answer(195, other)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> answer(195, stems(Purpose.REGROW, 12, "sprouted", null)))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new StemsSeen("a", RYE, List.of(), null, ""))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Stem("leafy", 300.0)).isInstanceOf(Refused.class);
  }

  /** Leaving a stand higher never saves fewer stems. */
  @Property(tries = 60)
  void higherNeverSavesFewer(
      @ForAll @Size(min = 1, max = 20) List<@IntRange(min = 0, max = 9) Integer> stages,
      @ForAll @IntRange(min = 0, max = 59) int cm) {
    List<Stem> all = stages.stream().map(s -> new Stem(STAGES.all().get(s).id(), null)).toList();
    StemsSeen seen = new StemsSeen("a", RYE, all, Purpose.REGROW, "");
    double low = StemAnswer.regrowShare(seen, STAGES, cm);
    double high = StemAnswer.regrowShare(seen, STAGES, cm + 1);
    assertThat(high).isGreaterThanOrEqualTo(low);
    assertThat(low).isBetween(0.0, 1.0);
  }

  /** The round says where stems can be split, and until when. */
  @Test
  void theRoundNamesFieldsOfGrain() {
    Engine engine = ENGINE.apart();
    LocalDate grown = START.plusDays(200);
    Round round = Round.of(engine, farm(), grown);
    assertThat(round.grains()).extracting(Round.Grain::forageId).containsExactly(RYE);
    assertThat(round.stages()).hasSize(10);
    Round before = Round.of(engine, farm(), START.plusDays(5));
    assertThat(before.grains()).isEmpty();
    assertThat(before.stages()).isEmpty();
  }
}
