package wiselarder.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.server.farm.DemoFarms;

/** One simulated year of the demo farm. Yardstick: under 1 ms, median, warmed up. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class YearBench {
  private final Engine engine = Engine.load();
  private final FarmPlan stated = DemoFarms.read("quillback").plans().get(0);
  private final ResolvedPlan resolved = engine.resolve(stated);

  /** The daily simulation alone. */
  @Benchmark
  public YearBalance simulate() {
    return YearBalance.simulate(resolved);
  }

  /** From the stated plan: dates, catalogue, herd curves and cautions resolved, then simulated. */
  @Benchmark
  public YearBalance resolveAndSimulate() {
    return engine.simulate(stated);
  }
}
