package wiselarder.core.engine;

import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import wiselarder.core.Farms;
import wiselarder.core.balance.SameYears;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecord;

/** A year that is run from the day on which more is known is the same as one from nothing. */
class KnowingSinceTest {
  private static final FarmPlan FARM =
      new Farms()
          .eaters("herd", 10, 10)
          .field("near", 5, 25, 2000)
          .field("far", 4, 25, 2500)
          .bales("hay", 80)
          .graze("herd", START.plusDays(180), START.plusDays(320), "near", "far")
          .feed("herd", null, null)
          .build();

  private static FarmRecord read(int day, String field, int kgPerHa) {
    return Farms.seen(
        START.plusDays(day), Farms.cover(field, "tall_fescue_novel", (double) kgPerHa, null));
  }

  @Property(tries = 25)
  void runFromThenItIsTheSame(
      @ForAll @IntRange(min = 0, max = 364) int day,
      @ForAll @IntRange(min = 0, max = 4000) int kgPerHa,
      @ForAll boolean readBefore,
      @ForAll boolean dry)
      throws IllegalAccessException {
    FarmRecord first = read(Math.max(0, day - 20), "near", 1800);
    FarmRecord[] all =
        readBefore
            ? new FarmRecord[] {first, read(day, "near", kgPerHa)}
            : new FarmRecord[] {read(day, "far", kgPerHa)};
    Engine season = ENGINE.apart().in(Season.parse(dry ? "dry" : "normal"));
    Engine before = readBefore ? season.knowing(Farms.written(first)) : season;
    before.simulate(FARM);
    Engine since = before.knowingSince(START.plusDays(day), Farms.written(all));
    SameYears.check(since.simulate(FARM), season.knowing(Farms.written(all)).slow().simulate(FARM));
  }
}
