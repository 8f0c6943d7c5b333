package wiselarder.bench;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Each bench runs once, so that none rots. Nothing here is timed. */
class BenchesTest {
  @Test
  void eachBenchRuns() throws RunnerException {
    var results =
        new Runner(
                new OptionsBuilder()
                    .include("wiselarder.bench")
                    .mode(Mode.SingleShotTime)
                    .param("fields", "10")
                    .forks(0)
                    .warmupIterations(0)
                    .measurementIterations(1)
                    .shouldFailOnError(true)
                    .verbosity(VerboseMode.SILENT)
                    .build())
            .run();
    assertThat(results).hasSize(8);
  }
}
