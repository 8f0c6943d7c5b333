package wiselarder.server.seasons;

import jakarta.annotation.PreDestroy;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import wiselarder.core.engine.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.seasons.DateThatTells;
import wiselarder.core.seasons.Decides;
import wiselarder.core.seasons.ManyYears;

/**
 * Runs plans in a thousand simulated years, one after the other, aside from the requests, and keeps
 * the last ones: a run is of a state of plan and records, and holds as long as that does.
 */
@Component
class ThousandYears {
  static final int YEARS = 1000;
  private static final int MOST_KEPT = 24;
  private static final Logger LOG = LoggerFactory.getLogger(ThousandYears.class);

  /** What a run follows from; both are values. */
  private record Key(FarmPlan stated, FarmRecords records) {
    /** What a keeper writes down to do changes no year, nor where bales stand. */
    static Key of(FarmPlan stated, FarmRecords records) {
      Plan plan = stated.plan().onlyWhatFeeds();
      return new Key(new FarmPlan(stated.farm(), plan), records);
    }
  }

  /** What a run came to. */
  record Told(ManyYears many, List<DateThatTells> dates, List<Decides> decides) {
    static Told of(Engine engine, FarmPlan stated, ManyYears many) {
      return new Told(
          many, DateThatTells.of(engine, stated, many), Decides.of(engine, stated, many));
    }
  }

  /** A run, under way or done. */
  static final class Run {
    private final AtomicInteger done = new AtomicInteger();
    private volatile boolean stopped;
    private volatile boolean failed;
    private volatile Told result;

    int done() {
      return done.get();
    }

    boolean stopped() {
      return stopped;
    }

    boolean failed() {
      return failed;
    }

    /** Null while it is under way, and where it was stopped or failed. */
    Told result() {
      return result;
    }
  }

  private final Map<Key, Run> runs =
      new LinkedHashMap<>(2 * MOST_KEPT, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Run> eldest) {
          return size() > MOST_KEPT;
        }
      };

  private final ExecutorService aside =
      Executors.newSingleThreadExecutor(
          work -> {
            Thread thread = new Thread(work, "thousand-years");
            thread.setDaemon(true);
            return thread;
          });

  /** The run of a plan as it stands, begun where there is none, or it was stopped. */
  synchronized Run begin(Engine engine, FarmPlan stated) {
    Key key = Key.of(stated, engine.records());
    Run there = runs.get(key);
    if (there != null && !there.stopped && !there.failed) {
      return there;
    }
    Run run = new Run();
    runs.put(key, run);
    aside.execute(() -> work(run, engine.apart().until(() -> false), stated));
    return run;
  }

  private static void work(Run run, Engine engine, FarmPlan stated) {
    try {
      ManyYears many =
          ManyYears.run(
              engine,
              stated,
              YEARS,
              n -> run.done.accumulateAndGet(n, Math::max),
              () -> run.stopped);
      run.result = Told.of(engine, stated, many);
    } catch (CancellationException stopped) {
      LOG.debug("stopped at {}", run.done());
    } catch (RuntimeException e) {
      run.failed = true;
      LOG.warn("a thousand years failed", e);
    }
  }

  /** The run of a plan as it stands, or null. */
  synchronized Run look(Engine engine, FarmPlan stated) {
    return runs.get(Key.of(stated, engine.records()));
  }

  /** Ends the run of a plan as it stands, where it is under way. */
  synchronized void stop(Engine engine, FarmPlan stated) {
    Run run = look(engine, stated);
    if (run != null && run.result == null) {
      run.stopped = true;
    }
  }

  @PreDestroy
  synchronized void end() {
    runs.values().forEach(r -> r.stopped = true);
    aside.shutdownNow();
  }
}
