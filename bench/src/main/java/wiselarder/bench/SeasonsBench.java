package wiselarder.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Sowing;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.WeatherGenerator;
import wiselarder.core.weather.WeatherYear;

/**
 * Weather-driven years of a large farm: 60 fields of ten forages, six of them sown with a crop, six
 * groups. Yardsticks: one year under 2.5 ms; a thousand, weather drawn and all, on two cores under
 * 1.5 s.
 */
@State(Scope.Benchmark)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class SeasonsBench {
  private static final List<String> FORAGES =
      List.of(
          "tall_fescue_novel",
          "tall_fescue_toxic",
          "orchardgrass",
          "bermudagrass",
          "kentucky_bluegrass",
          "timothy",
          "alfalfa",
          "native_warm_mix",
          "ryegrass_white_clover",
          "fescue_white_clover");

  @Param({"60"})
  int fields;

  @Param({"12"})
  int months;

  private ResolvedPlan resolved;
  private WeatherGenerator generator;
  private WeatherYear weather;

  /** Resolves the farm once; weather changes from year to year. */
  @Setup
  public void resolve() {
    resolved = Engine.load().resolve(farm(fields, months));
    generator = resolved.generator();
    weather = generator.year(1);
  }

  static FarmPlan farm(int fields, int months) {
    PlanYear year = new PlanYear(LocalDate.of(2027, 9, 1), months);
    List<Field> land = new ArrayList<>();
    List<Sowing> sowings = new ArrayList<>();
    for (int f = 0; f < fields; f++) {
      Stand stand = new Stand(FORAGES.get(f % FORAGES.size()), null, null, null, 0.1, null, null);
      land.add(
          new Field(
              "f" + f,
              "F" + f,
              6,
              stand,
              Field.Grazing.ROTATIONAL,
              null,
              null,
              null,
              true,
              "",
              null));
      if (f % 10 == 3) {
        sowings.add(
            new Sowing(
                "s" + f,
                "f" + f,
                "cereal_rye",
                LocalDate.of(2027, 9, 20),
                Sowing.Preparation.GRAZE_DOWN,
                null,
                1,
                null));
      }
    }
    List<AnimalGroup> herd = new ArrayList<>();
    List<FeedStep> steps = new ArrayList<>();
    for (int g = 0; g < 6; g++) {
      String id = "g" + g;
      herd.add(
          new AnimalGroup(
              id, id, "beef/bull", fields, 800, 0, 12.0, null, 1, 0, null, null, null, null));
      steps.addAll(FeedStep.usual(id));
    }
    Lot hay = new Lot("hay", "Hay", "bale", 1500, 400, 0.87, "s_barn", "f_ring_open", null, "");
    return new FarmPlan(
        new Farm(
            "Large",
            "",
            "transition_humid",
            Farm.UnitSystem.METRIC,
            "EUR",
            11.8,
            land,
            herd,
            List.of(hay)),
        new Plan("Bench", year, steps, List.of(), List.of(), List.of(), sowings, null, null, null));
  }

  /** One year in given weather: how each day suits each forage, then the daily simulation. */
  @Benchmark
  @BenchmarkMode(Mode.SampleTime)
  public YearBalance oneYear() {
    return YearBalance.simulate(resolved.in(weather));
  }

  /** A thousand years, each drawn from its seed, on all cores. */
  @Benchmark
  @BenchmarkMode(Mode.SingleShotTime)
  @Warmup(iterations = 2)
  @Measurement(iterations = 5)
  public double thousandYears() {
    return LongStream.range(0, 1000)
        .parallel()
        .mapToDouble(seed -> YearBalance.farmOnly(resolved.in(generator.year(seed))).totalBareKg())
        .sum();
  }
}
