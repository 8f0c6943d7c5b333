package wiselarder.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
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
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;

/**
 * A closing of one field moved again and again on a large farm: from what the engine has kept, and
 * from nothing. Yardstick: the first at most a third of the second in the mean.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class TrialBench {
  @Param({"60"})
  int fields;

  private final Engine engine = Engine.load();
  private final Engine slow = engine.slow();
  private FarmPlan stated;
  private int turn;

  /** The plan with the closing in it has been seen once. */
  @Setup
  public void open() {
    stated = shut(150, 250).apply(SeasonsBench.farm(fields, 12));
    engine.simulate(stated);
  }

  private static PlanEdit shut(int from, int to) {
    LocalDate start = LocalDate.of(2027, 9, 1);
    return new PlanEdit.Put<>(
        Items.CLOSINGS,
        new Closing("c", "f7", start.plusDays(from), start.plusDays(to), List.of("g0"), null));
  }

  /** Another place each time, so that no year is asked for twice in a row. */
  private PlanEdit moved() {
    turn++;
    return shut(100 + turn * 37 % 101, 260 + turn * 53 % 83);
  }

  /** As a trial on the screen is. */
  @Benchmark
  public YearBalance kept() {
    return engine.tryOut(stated, List.of(moved()));
  }

  /** The same without anything kept. */
  @Benchmark
  public YearBalance fromNothing() {
    return slow.tryOut(stated, List.of(moved()));
  }
}
