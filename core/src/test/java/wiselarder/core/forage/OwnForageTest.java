package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.caution.Cautions;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.quantity.Refused;

/** A keeper's own forages: copies with figures changed, and mixtures by share. */
class OwnForageTest {
  private static final Catalogue CATALOGUE = Farms.ENGINE.catalogue();
  private static final Map<String, Forage> TABLE = CATALOGUE.forages();

  private static OwnForage own(OwnForage.Figures figures, Object... parts) {
    List<OwnForage.Part> list =
        java.util.stream.IntStream.range(0, parts.length / 2)
            .mapToObj(i -> new OwnForage.Part((String) parts[2 * i], (Double) parts[2 * i + 1]))
            .toList();
    return new OwnForage("own-mine", "Mine", list, figures, "");
  }

  private static OwnForage.Figures entryAt(double cm) {
    return new OwnForage.Figures(
        null, null, null, cm, null, null, null, null, null, null, null, null, null, null, null,
        null, null, 1.5, -2);
  }

  @Test
  void aCopyIsTheSameButForWhatWasChanged() {
    Forage fescue = TABLE.get("tall_fescue_novel");
    Forage copy = own(entryAt(26), "tall_fescue_novel", 1.0).of(TABLE);
    assertThat(copy.entryHeightCm()).isEqualTo(26);
    assertThat(copy)
        .usingRecursiveComparison()
        .withComparatorForType(Double::compare, Double.class)
        .ignoringFields("id", "name", "entryHeightCm")
        .isEqualTo(fescue);
  }

  @Test
  void aMixtureIsTheMeanOfItsPartsByShare() {
    OwnForage mix = own(OwnForage.Figures.none(), "orchardgrass", 0.6, "alfalfa", 0.2);
    Forage made = mix.of(TABLE);
    Forage grass = TABLE.get("orchardgrass");
    Forage legume = TABLE.get("alfalfa");
    // 0.6 and 0.2 are three quarters and one quarter
    assertThat(made.ceilingKgPerHa())
        .isCloseTo(0.75 * grass.ceilingKgPerHa() + 0.25 * legume.ceilingKgPerHa(), within(1e-9));
    assertThat(made.legumeShare()).isCloseTo(0.25, within(1e-12));
    assertThat(made.madeOf()).containsExactlyInAnyOrder("orchardgrass", "alfalfa");
    double[] expected = new double[12];
    GrowthTable growth = CATALOGUE.growth();
    for (int m = 0; m < 12; m++) {
      expected[m] =
          0.75
                  * growth
                      .curve("transition_humid", "orchardgrass")
                      .orElseThrow()
                      .monthlyKgPerHaDay()
                      .get(m)
              + 0.25
                  * growth
                      .curve("transition_humid", "alfalfa")
                      .orElseThrow()
                      .monthlyKgPerHaDay()
                      .get(m);
    }
    double[] curve =
        growth
            .with(List.of(mix))
            .curve("transition_humid", "own-mine")
            .orElseThrow()
            .monthlyKgPerHaDay()
            .stream()
            .mapToDouble(Double::doubleValue)
            .toArray();
    assertThat(curve).containsExactly(expected, within(1e-9));
    QualityTable.Values worth =
        CATALOGUE.quality().with(List.of(mix), Map.of("own-mine", made)).of("own-mine");
    assertThat(worth.green(QualityTable.Values.PROTEIN, 0))
        .isCloseTo(
            0.75 * CATALOGUE.quality().of("orchardgrass").green(0, 0)
                + 0.25 * CATALOGUE.quality().of("alfalfa").green(0, 0),
            within(1e-9));
  }

  @Test
  void ownTestsMoveTheFeedValueAtEveryStage() {
    OwnForage better = own(entryAt(22), "tall_fescue_novel", 1.0);
    QualityTable.Values worth =
        CATALOGUE
            .quality()
            .with(List.of(better), Map.of("own-mine", better.of(TABLE)))
            .of("own-mine");
    assertThat(worth.green(QualityTable.Values.PROTEIN, 0)).isCloseTo(19.5, within(1e-9));
    assertThat(worth.green(QualityTable.Values.TDN, 0)).isCloseTo(64, within(1e-9));
  }

  /** What can kill in one part can kill in the mixture. */
  @Test
  void dangerIsNotAveragedAway() {
    Forage mix =
        own(OwnForage.Figures.none(), "pearl_millet", 0.9, "sorghum_sudangrass", 0.1).of(TABLE);
    assertThat(Cautions.isSorghum(mix)).isTrue();
    assertThat(mix.prussicMinHeightCm())
        .isEqualTo(TABLE.get("sorghum_sudangrass").prussicMinHeightCm());
    Forage fescue =
        own(OwnForage.Figures.none(), "tall_fescue_novel", 0.9, "tall_fescue_toxic", 0.1).of(TABLE);
    assertThat(fescue.toxicEndophyte()).isTrue();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> own(entryAt(5), "tall_fescue_novel", 1.0).of(TABLE))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(
            "entry_below_leave {forage=Mine, entryHeightCm=5.0, exitHeightCm=10.0}");
    assertThatThrownBy(
            () -> own(OwnForage.Figures.none(), "orchardgrass", 0.5, "orchardgrass", 0.5))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(
            () -> own(OwnForage.Figures.none(), "orchardgrass", 0.5, "corn_residue", 0.5).of(TABLE))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new OwnForage("mine", "Mine", List.of(), OwnForage.Figures.none(), ""))
        .isInstanceOf(Refused.class);
  }

  @Test
  void itStandsOnAFieldGrowsByItsCurveAndCannotBeRemovedWhileItDoes() {
    Farms farm = new Farms();
    farm.field("a", 10, 20, 2000);
    FarmPlan plan = farm.build();
    OwnForage mix = own(OwnForage.Figures.none(), "orchardgrass", 0.7, "red_clover", 0.3);
    Field a = plan.farm().fields().get(0);
    Field grown =
        new Field(
            "a",
            "A",
            10,
            new Stand("own-mine", null, null, 2000.0, 0, null, null),
            a.grazing(),
            null,
            null,
            null,
            true,
            "",
            null);
    FarmPlan with = new PlanEdit.Put<>(Items.FORAGES, mix).apply(plan);
    FarmPlan on = new PlanEdit.Put<>(Items.FIELDS, grown).apply(with);
    YearBalance b = Farms.ENGINE.simulate(on);
    double annual =
        CATALOGUE
            .growth()
            .with(List.of(mix))
            .curve("transition_humid", "own-mine")
            .orElseThrow()
            .annualKgPerHa();
    double stated = 0;
    for (int d = 0; d < 365; d++) {
      stated += b.resolved().statedGrowth(0, d);
    }
    assertThat(stated).isCloseTo(annual, within(annual * 0.02));
    assertThat(b.massBalance().error()).isLessThan(1e-9);
    assertThatThrownBy(() -> new PlanEdit.Remove<>(Items.FORAGES, "own-mine").apply(on))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("own_forage_used {forage=own-mine}");
    assertThat(new PlanEdit.Remove<>(Items.FORAGES, "own-mine").apply(with).farm().forages())
        .isEmpty();
  }

  @Test
  void nitrogenSpeedsALightlyLeguminousSwardMoreThanARichOne() {
    double[] extra =
        Arrays.stream(new double[] {0, 0.15, 0.3, 1})
            .map(share -> NitrogenRules.extraKgPerHa(50, 40, share))
            .toArray();
    assertThat(extra[0]).isGreaterThan(extra[1]);
    assertThat(extra[1]).isGreaterThan(extra[2]);
    assertThat(extra[3]).isEqualTo(extra[2]);
  }

  @Test
  void learningTimesRiseDayByDay() {
    LearningTimes times = LearningTimes.load();
    assertThat(times.mostShare("brassica", 0)).isEqualTo(0.10);
    assertThat(times.mostShare("brassica", 2)).isEqualTo(0.10);
    assertThat(times.mostShare("brassica", 3)).isEqualTo(0.25);
    assertThat(times.mostShare("brassica", 500)).isEqualTo(0.65);
    for (String feed : times.feeds()) {
      for (int d = 1; d < 60; d++) {
        assertThat(times.mostShare(feed, d)).isGreaterThanOrEqualTo(times.mostShare(feed, d - 1));
      }
    }
    for (Forage f : TABLE.values()) {
      assertThat(f.learnedAs().isEmpty() || times.feeds().contains(f.learnedAs())).isTrue();
    }
  }
}
