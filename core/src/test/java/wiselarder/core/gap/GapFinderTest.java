package wiselarder.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;

class GapFinderTest {
  private static List<Gap> gaps(Farms farm) {
    YearBalance b = ENGINE.simulate(farm.build());
    return GapFinder.find(b);
  }

  @Test
  void aStoreThatRunsOutLeavesAGapWithItsFirstAndLastDay() {
    // three bales last 10 days but for a third of a kilogram: less than one part in a hundred of
    // the tenth day's need, so the gap begins with the eleventh
    Farms farm = new Farms().eaters("herd", 10, 9.18).bales("hay", 3).feed("herd", null, null);
    Gap gap = gaps(farm).get(0);
    assertThat(gap.kind()).isEqualTo(Gap.Kind.STORE);
    assertThat(gap.firstDay()).isEqualTo(10);
    assertThat(gap.lastDay()).isEqualTo(364);
    assertThat(gap.shortDays()).isEqualTo(355);
    assertThat(gap.deepestKg()).isCloseTo(91.8, within(1e-9));
    assertThat(gap.animalUnitDays()).isCloseTo(gap.shortKg() / 11.8, within(1e-9));
    assertThat(gap.groups())
        .singleElement()
        .satisfies(g -> assertThat(g.groupId()).isEqualTo("herd"));
    assertThat(gap.causes())
        .filteredOn(c -> c.code() == Gap.Cause.Code.STORE_EMPTY)
        .singleElement()
        .satisfies(c -> assertThat(c.value()).isEqualTo(9));
  }

  @Test
  void feedingFromTheStoreIsAGrazingGapEvenWhenNobodyGoesShort() {
    Farms farm = new Farms().eaters("herd", 1, 9).bales("hay", 20).feed("herd", null, null);
    assertThat(gaps(farm))
        .singleElement()
        .satisfies(g -> assertThat(g.kind()).isEqualTo(Gap.Kind.GRAZING));
  }

  @Test
  void plentyOfGrassLeavesNoGap() {
    Farms farm =
        new Farms().eaters("herd", 1, 9).field("f", 20, 20, 2500).graze("herd", null, null, "f");
    assertThat(gaps(farm)).isEmpty();
  }

  /** Runs that are parted by a week of plenty are one gap, by eight days two. */
  @ParameterizedTest
  @CsvSource({"50, 2", "8, 2", "7, 1", "6, 1", "1, 1"})
  void gapsPartedByMoreThanAWeekAreTwo(int plenty, int gaps) {
    Farms farm =
        new Farms()
            .eaters("herd", 10, 9.18)
            .bales("hay", 100)
            .feed("herd", START.plusDays(10), START.plusDays(10 + plenty));
    assertThat(gaps(farm)).filteredOn(g -> g.kind() == Gap.Kind.STORE).hasSize(gaps);
  }

  @Test
  void saysWhenFeedStandsThatNobodyMayEat() {
    Farms farm = new Farms().eaters("herd", 10, 10).field("idle", 10, 0, 3000);
    assertThat(gaps(farm).get(0).causes())
        .extracting(Gap.Cause::code)
        .contains(Gap.Cause.Code.NO_STORE, Gap.Cause.Code.STANDS_UNUSED);
  }

  @Test
  void saysWhichFieldsAreShut() {
    Farms farm =
        new Farms()
            .eaters("herd", 10, 10)
            .field("kept", 10, 10, 3000)
            .graze("herd", null, null, "kept")
            .shut("kept", START, START.plusDays(50), "herd");
    assertThat(gaps(farm).get(0).causes())
        .filteredOn(c -> c.code() == Gap.Cause.Code.SHUT)
        .singleElement()
        .satisfies(c -> assertThat(c.subjects()).containsExactly("kept"));
  }
}
