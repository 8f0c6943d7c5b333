package wiselarder.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.DoubleStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The choice among ways, against answers found by hand and by trying every set. */
class MixTest {
  private static final double NONE = Double.POSITIVE_INFINITY;

  private static Mix.Way way(double cost, double... kg) {
    return new Mix.Way(cost, kg);
  }

  /** 100 kg in each of two weeks; hay at 1: a way of 90 for 100 kg is taken, one of 120 is not. */
  @Test
  void whatIsCheaperThanHayIsTaken() {
    Mix mix =
        new Mix(new double[] {100, 100}, List.of(way(90, 100, 0), way(120, 0, 100)), List.of(), 1);
    Mix.Answer answer = mix.solve(Set.of(), Set.of());
    assertThat(answer.taken()).containsExactly(0);
    assertThat(answer.hayKg()).containsExactly(0, 100);
    assertThat(answer.cost()).isCloseTo(190, within(1e-6));
    // without hay both are taken, and forced to do without the first a week stays open
    Mix bare = new Mix(mix.needKg(), mix.ways(), List.of(), NONE);
    assertThat(bare.solve(Set.of(), Set.of()).taken()).containsExactly(0, 1);
    assertThat(bare.solve(Set.of(), Set.of(0)).openKg()).isCloseTo(100, within(1e-6));
  }

  /**
   * Two that use the same field: the better one; and one that takes elsewhere is charged for it.
   */
  @Test
  void theSameGroundIsUsedOnceAndWhatIsTakenElsewhereIsMadeGood() {
    Mix mix =
        new Mix(
            new double[] {100, 0},
            List.of(way(10, 60, 0), way(0, 100, -80)),
            List.of(new int[] {0, 1}),
            1);
    // the first: 10 and 40 of hay are 50; the second: 80 of hay for what it takes
    Mix.Answer answer = mix.solve(Set.of(), Set.of());
    assertThat(answer.taken()).containsExactly(0);
    assertThat(answer.cost()).isCloseTo(50, within(1e-6));
    assertThat(mix.solve(Set.of(1), Set.of()).cost()).isCloseTo(80, within(1e-6));
  }

  /** Of two ways of which each alone is cheaper than hay, with hands for one: the better one. */
  @Test
  void moreThanTheHandsThatThereAreIsNotTaken() {
    List<Mix.Way> ways =
        List.of(
            new Mix.Way(20, new double[] {100, 0}, 12), new Mix.Way(50, new double[] {0, 100}, 9));
    Mix mix = new Mix(new double[] {100, 100}, 1, ways, List.of(), 1, 20);
    Mix.Answer answer = mix.solve(Set.of(), Set.of());
    assertThat(answer.taken()).containsExactly(0);
    assertThat(answer.cost()).isCloseTo(120, within(1e-6));
    assertThat(mix.withMoreHours(1).solve(Set.of(), Set.of()).cost()).isCloseTo(70, within(1e-6));
    // what is insisted on is taken whatever it asks
    Mix few = new Mix(new double[] {100, 100}, 1, ways, List.of(), 1, 3);
    assertThat(few.solve(Set.of(), Set.of()).taken()).isEmpty();
    assertThat(few.solve(Set.of(1), Set.of()).taken()).containsExactly(1);
  }

  private static Mix random(long seed) {
    return random(seed, 1);
  }

  private static Mix random(long seed, int years) {
    Random random = new Random(seed);
    int weeks = years * (1 + random.nextInt(4));
    double[] need = new double[weeks];
    for (int w = 0; w < weeks; w++) {
      need[w] = random.nextInt(200);
    }
    List<Mix.Way> ways = new ArrayList<>();
    int count = 1 + random.nextInt(6);
    for (int i = 0; i < count; i++) {
      double[] kg = new double[weeks];
      for (int w = 0; w < weeks; w++) {
        kg[w] = random.nextInt(180) - 40;
      }
      ways.add(new Mix.Way(random.nextInt(200), kg, random.nextInt(12) - 2));
    }
    List<int[]> apart = new ArrayList<>();
    if (count > 1 && random.nextBoolean()) {
      apart.add(new int[] {0, 1});
    }
    double hayPerKg = random.nextBoolean() ? 1.5 : NONE;
    double hoursMost = random.nextBoolean() ? NONE : random.nextInt(25);
    return new Mix(need, years, ways, apart, hayPerKg, hoursMost);
  }

  /** The best of every set there is. */
  private static double byTrying(Mix mix, Set<Integer> never) {
    double best = Double.MAX_VALUE;
    for (int set = 0; set < 1 << mix.ways().size(); set++) {
      int taken = set;
      boolean allowed =
          never.stream().noneMatch(i -> (taken >> i & 1) == 1)
              && mix.apart().stream()
                  .noneMatch(p -> (taken >> p[0] & 1) == 1 && (taken >> p[1] & 1) == 1);
      if (!allowed) {
        continue;
      }
      double hours = 0;
      for (int i = 0; i < mix.ways().size(); i++) {
        hours += (taken >> i & 1) == 1 ? mix.ways().get(i).hours() : 0;
      }
      if (hours > mix.hoursMost()) {
        continue;
      }
      double cost = 0;
      for (int i = 0; i < mix.ways().size(); i++) {
        cost += (taken >> i & 1) == 1 ? mix.ways().get(i).cost() : 0;
      }
      int weeks = mix.needKg().length / mix.years();
      double[] inYear = new double[mix.years()];
      for (int w = 0; w < mix.needKg().length; w++) {
        double missing = mix.needKg()[w];
        for (int i = 0; i < mix.ways().size(); i++) {
          missing -= (taken >> i & 1) == 1 ? mix.ways().get(i).kg()[w] : 0;
        }
        inYear[w / weeks] += Math.max(0, missing);
      }
      cost +=
          Double.isInfinite(mix.hayPerKg())
              ? Mix.OPEN_PER_KG * DoubleStream.of(inYear).sum()
              : mix.hayPerKg() * DoubleStream.of(inYear).max().orElseThrow();
      best = Math.min(best, cost);
    }
    return best;
  }

  @Property(tries = 300)
  void noOtherSetIsCheaper(@ForAll long seed) {
    Mix mix = random(seed);
    assertThat(mix.solve(Set.of(), Set.of()).objective())
        .isCloseTo(byTrying(mix, Set.of()), within(1e-3));
  }

  /** The same ways must do in every year, and hay is bought for the neediest. */
  @Property(tries = 300)
  void noOtherSetIsCheaperInSeveralYears(
      @ForAll long seed, @ForAll @IntRange(min = 2, max = 4) int years) {
    Mix mix = random(seed, years);
    assertThat(mix.solve(Set.of(), Set.of()).objective())
        .isCloseTo(byTrying(mix, Set.of()), within(1e-3));
  }

  /**
   * The solver works on several threads and does not always end with the same set: from whatever it
   * gives, and from nothing at all, the best is reached.
   */
  @Property(tries = 2000)
  void amongFewTheBestIsReachedFromNothing(
      @ForAll long seed, @ForAll @IntRange(min = 1, max = 3) int years) {
    Mix mix = random(seed, years);
    boolean[] taken = new boolean[mix.ways().size()];
    new Exchange(mix, Set.of(), Set.of()).polish(taken);
    assertThat(mix.of(taken).objective()).isCloseTo(byTrying(mix, Set.of()), within(1e-3));
  }

  /** Two years of one week, 100 and 60 kg: hay for the first does for the second too. */
  @Test
  void hayIsBoughtOnceForAllYears() {
    Mix mix = new Mix(new double[] {100, 60}, 2, List.of(way(70, 60, 60)), List.of(), 1);
    // hay alone is 100; the way and 40 of hay are 110
    assertThat(mix.solve(Set.of(), Set.of()).cost()).isCloseTo(100, within(1e-6));
    assertThat(mix.solve(Set.of(0), Set.of()).cost()).isCloseTo(110, within(1e-6));
    assertThat(mix.lp()).contains("year1: + 1.00000000 hay - 1.00000000 hay1 >= 0");
  }

  @Property(tries = 150)
  void oneMoreWayNeverMakesItDearerAndOneForbiddenNeverCheaper(@ForAll long seed) {
    Mix mix = random(seed);
    double cost = mix.solve(Set.of(), Set.of()).objective();
    double without = mix.solve(Set.of(), Set.of(mix.ways().size() - 1)).objective();
    assertThat(without).isGreaterThanOrEqualTo(cost - 1e-6);
    assertThat(without).isCloseTo(byTrying(mix, Set.of(mix.ways().size() - 1)), within(1e-3));
    // what is insisted on may ask for more hands than there are
    if (mix.ways().get(0).hours() <= mix.hoursMost()) {
      assertThat(mix.solve(Set.of(0), Set.of()).objective()).isGreaterThanOrEqualTo(cost - 1e-6);
    }
  }

  @Test
  void itIsWrittenOutForOtherSolvers() {
    String lp =
        new Mix(new double[] {100}, List.of(way(90, 100), way(5, -3)), List.of(new int[] {0, 1}), 1)
            .lp();
    assertThat(lp)
        .contains("Minimize", "+ 90.0000000 way0", "week0: + 1.00000000 open0", "- 3.00000000 way1")
        .contains(">= 100.000000", "apart0_1:", "Binary\n way0\n way1\nEnd");
  }
}
