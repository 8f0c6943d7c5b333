package wiselarder.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.gap.Gap.Cause;
import wiselarder.core.gap.Gap.Cause.Code;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.FeedStep;

/** Each cause with its measure, on the smallest farm that shows it. */
class GapCausesTest {
  private static Optional<Cause> cause(Farms farm, Gap.Kind kind, Code code) {
    return GapFinder.find(ENGINE.simulate(farm.build())).stream()
        .filter(g -> g.kind() == kind)
        .flatMap(g -> g.causes().stream())
        .filter(c -> c.code() == code)
        .findFirst();
  }

  /** Grows 40 kg/ha a day from April to September, and {@code winter} otherwise. */
  private static Farms seasonal(double winter) {
    Farms farm = new Farms().eaters("herd", 30, 10);
    List<Double> rates =
        List.of(winter, winter, winter, 40.0, 40.0, 40.0, 40.0, 40.0, 40.0, winter, winter, winter);
    farm.fields.add(Farms.stand("grass", 30, "tall_fescue_novel", rates, 1800));
    return farm.graze("herd", null, null, "grass");
  }

  @Test
  void winterRestIsDormancy() {
    assertThat(cause(seasonal(0), Gap.Kind.STORE, Code.DORMANT))
        .hasValueSatisfying(c -> assertThat(c.value()).isEqualTo(1));
  }

  @Test
  void slowGrowthIsASlumpAndNotDormancy() {
    Farms farm = seasonal(8);
    assertThat(cause(farm, Gap.Kind.STORE, Code.SLUMP)).isPresent();
    assertThat(cause(farm, Gap.Kind.STORE, Code.DORMANT)).isEmpty();
  }

  @Test
  void aRentedFieldThatIsGoneIsNamed() {
    Farms farm = new Farms().eaters("herd", 10, 10);
    LocalDate end = START.plusDays(60);
    farm.fields.add(
        new Field(
            "rented",
            "Rented",
            10,
            new Stand("corn_residue", null, null, 9000.0, 1, null, end),
            Field.Grazing.ROTATIONAL,
            0.4,
            null,
            null,
            false,
            "",
            null));
    farm.graze("herd", null, null, "rented");
    assertThat(cause(farm, Gap.Kind.STORE, Code.OUT_OF_USE))
        .hasValueSatisfying(c -> assertThat(c.subjects()).containsExactly("rented"));
  }

  @Test
  void aHoldThatShutsTheOnlyFieldIsNamed() {
    Farms farm = new Farms().eaters("herd", 5, 10);
    farm.fields.add(
        Farms.stand("s", 30, "sorghum_sudangrass", java.util.Collections.nCopies(12, 20.0), 9000));
    farm.graze("herd", null, null, "s");
    assertThat(cause(farm, Gap.Kind.STORE, Code.HELD))
        .hasValueSatisfying(
            c -> {
              assertThat(c.subjects()).containsExactly("s");
              assertThat(c.value()).as("what it keeps out of reach, kg").isPositive();
            });
  }

  @Test
  void aStoreThatWasNeverThereDidNotRunOut() {
    Farms farm = new Farms().eaters("herd", 5, 10).feed("herd", null, null);
    assertThat(cause(farm, Gap.Kind.STORE, Code.NO_STORE)).isPresent();
    assertThat(cause(farm, Gap.Kind.STORE, Code.STORE_EMPTY)).isEmpty();
  }

  @Test
  void aStoreThatStillHoldsFeedDidNotRunOut() {
    Farms farm =
        new Farms().eaters("herd", 5, 10).bales("hay", 500).feed("herd", START.plusDays(30), null);
    assertThat(cause(farm, Gap.Kind.STORE, Code.STORE_EMPTY)).isEmpty();
    // 500 bales of 360 kg in a barn, not opened before the thirtieth day
    assertThat(cause(farm, Gap.Kind.STORE, Code.STORE_NOT_OPENED))
        .hasValueSatisfying(c -> assertThat(c.value()).isBetween(175_000.0, 180_000.0));
  }

  @Test
  void nobodyGrazesUnderDeepSnow() {
    Farms farm = new Farms().eaters("herd", 5, 10).field("f", 40, 20, 4000);
    farm.climate = "cold_continental_north";
    farm.graze("herd", null, null, "f");
    assertThat(cause(farm, Gap.Kind.STORE, Code.SNOW))
        .hasValueSatisfying(c -> assertThat(c.value()).isGreaterThan(0.5));
    farm.climate = "maritime_temperate_north";
    assertThat(cause(farm, Gap.Kind.STORE, Code.SNOW)).isEmpty();
  }

  @Test
  void grassBehindTheStoreIsNamed() {
    Farms farm =
        new Farms()
            .eaters("herd", 5, 10)
            .field("late", 10, 10, 3000)
            .bales("hay", 200)
            .feed("herd", null, null)
            .graze("herd", null, null, "late");
    assertThat(cause(farm, Gap.Kind.GRAZING, Code.BEHIND_STORE))
        .hasValueSatisfying(c -> assertThat(c.subjects()).containsExactly("late"));
    Farms first =
        new Farms()
            .eaters("herd", 5, 10)
            .field("late", 1, 1, 1600)
            .bales("hay", 200)
            .graze("herd", null, null, "late")
            .feed("herd", null, null);
    assertThat(cause(first, Gap.Kind.GRAZING, Code.BEHIND_STORE)).isEmpty();
  }

  @Test
  void aFieldOpenAfterAClosingIsNotUnused() {
    Farms farm =
        new Farms()
            .eaters("herd", 5, 10)
            .field("kept", 10, 10, 3000)
            .bales("hay", 200)
            .feed("herd", null, null)
            .shut("kept", START, START.plusDays(100), "herd");
    assertThat(cause(farm, Gap.Kind.GRAZING, Code.SHUT)).isPresent();
    assertThat(cause(farm, Gap.Kind.GRAZING, Code.STANDS_UNUSED)).isEmpty();
  }

  @Test
  void aHeldRoundThatKeepsGrassBackIsNamed() {
    Farms farm = new Farms().field("a", 30, 20, 3000).eaters("herd", 40, 12);
    farm.steps.add(
        new FeedStep("g", "herd", FeedStep.Kind.GRAZE, List.of("a"), null, null, null, 120));
    YearBalance held = ENGINE.simulate(farm.build());
    assertThat(ENGINE.gaps(held).get(0).causes())
        .extracting(Gap.Cause::code)
        .contains(Gap.Cause.Code.ROUND_HELD);
    farm.steps.set(0, new FeedStep("g", "herd", FeedStep.Kind.GRAZE, List.of("a"), null, null));
    YearBalance free = ENGINE.simulate(farm.build());
    assertThat(ENGINE.gaps(free))
        .flatExtracting(Gap::causes)
        .extracting(Gap.Cause::code)
        .doesNotContain(Gap.Cause.Code.ROUND_HELD);
  }
}
