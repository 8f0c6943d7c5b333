package wiselarder.server.morning;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;
import wiselarder.core.engine.Engine;
import wiselarder.core.morning.Morning;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Plan;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.records.JobMarked;
import wiselarder.core.seasons.YearsAhead;
import wiselarder.server.jobs.PlanJobs;
import wiselarder.server.json.Json;
import wiselarder.server.json.PlanDocument;
import wiselarder.server.records.Records;

/** Reckons how farms stand on the morning of today. */
@Component
class Mornings {
  /** While a farm is edited faster than it is reckoned it is left for later. */
  private static final int MOST_TIMES = 3;

  private final MorningRepository repository;
  private final Records records;
  private final PlanJobs jobs;
  private final Engine engine;

  Mornings(MorningRepository repository, Records records, PlanJobs jobs, Engine engine) {
    this.repository = repository;
    this.records = records;
    this.jobs = jobs;
    this.engine = engine;
  }

  /** The day of the machine, by which all farms are looked at. */
  static LocalDate today() {
    return LocalDate.now(ZoneId.systemDefault());
  }

  /**
   * Reckons a farm until it is as it stands, or leaves it where it is already.
   *
   * @throws CancellationException where it was stopped
   */
  void reckon(long farmId, BooleanSupplier stopped) {
    for (int time = 0; time < MOST_TIMES; time++) {
      LocalDate today = today();
      // seen before anything is read: what comes meanwhile counts more
      MorningRepository.State state = repository.state(farmId).orElse(null);
      if (state == null || state.is(today)) {
        return;
      }
      repository.keep(farmId, state.changes(), today, tell(farmId, today, stopped));
    }
  }

  private MorningRepository.Told tell(long farmId, LocalDate today, BooleanSupplier stopped) {
    MorningRepository.PlanOf plan = repository.planOn(farmId, today).orElse(null);
    if (plan == null) {
      return new MorningRepository.Told(null, null, null, null);
    }
    FarmRecords known = records.of(farmId);
    Engine knowing = engine.apart().knowing(known).until(stopped);
    FarmPlan stated = plan.content();
    int day = Math.max(0, stated.plan().year().day(today));
    YearsAhead ahead = years(farmId, knowing, stated, day, stopped);
    Morning morning = Morning.of(knowing, stated, today, ahead);
    Morning.Due next = morning.next();
    List<Morning.Due> late = morning.late();
    return new MorningRepository.Told(
        plan,
        morning,
        next == null ? null : title(next, stated),
        late.isEmpty() ? null : title(late.get(0), stated));
  }

  private String title(Morning.Due due, FarmPlan stated) {
    return due.job() == null
        ? "Find feed for the gap"
        : jobs.title(due.job(), stated.farm().units());
  }

  /** Kept ones where nothing has changed that they hang on, else run from today on and kept. */
  private YearsAhead years(
      long farmId, Engine knowing, FarmPlan stated, int day, BooleanSupplier stopped) {
    String key = key(stated, knowing.records());
    return repository
        .years(farmId, key, day)
        .orElseGet(
            () -> {
              YearsAhead run = YearsAhead.run(knowing, stated, day, Morning.SEASONS, stopped);
              repository.keepYears(farmId, key, day, run);
              return run;
            });
  }

  /** What the years hang on: rules, plan and records, but not what is only to be done. */
  private static String key(FarmPlan stated, FarmRecords known) {
    Plan plan = stated.plan().onlyWhatFeeds();
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      digest.update(Rules.hash().getBytes(StandardCharsets.UTF_8));
      digest.update(
          PlanDocument.write(new FarmPlan(stated.farm(), plan)).getBytes(StandardCharsets.UTF_8));
      for (FarmRecord r : known.standing()) {
        if (!(r.fact() instanceof JobMarked)) {
          digest.update(Json.MAPPER.writeValueAsBytes(r));
        }
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
