package wiselarder.server.jobs;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import wiselarder.core.caution.Hazard;
import wiselarder.core.engine.Engine;
import wiselarder.core.jobs.Job;
import wiselarder.core.jobs.JobMoved;
import wiselarder.core.jobs.Jobs;
import wiselarder.core.jobs.Marked;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.OwnJob;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.weather.FarmWeather;

/** The jobs of stored plans, with what became of them. */
@Component
public class PlanJobs {
  private static final int WEEK = 7;

  private final FarmWeather weather;
  private final Map<String, Hazard> hazards = Hazard.loadAll();

  PlanJobs(FarmWeather weather) {
    this.weather = weather;
  }

  /** Every job in the words of a system of units; null for the farm's own. */
  List<JobView> of(StoredPlan plan, String season, Farm.UnitSystem units) {
    Engine engine = weather.engine(season, plan);
    Marked marked = new Marked(engine.records());
    JobUnits said = new JobUnits(units == null ? plan.content().farm().units() : units);
    JobWords words = new JobWords(said, hazards);
    return jobs(engine, plan).stream().map(j -> view(plan, words, marked, j)).toList();
  }

  /** What is done, on one line, in the words of a system of units. */
  public String title(Job job, Farm.UnitSystem units) {
    return new JobWords(new JobUnits(units), hazards).title(job);
  }

  private static List<Job> jobs(Engine engine, StoredPlan plan) {
    return Jobs.of(engine, engine.simulate(plan.content()));
  }

  private static JobView view(StoredPlan plan, JobWords words, Marked marked, Job j) {
    boolean own = j.kind() == Job.Kind.OWN;
    return new JobView(
        j.key(),
        j.kind(),
        words.title(j),
        words.why(j),
        words.needs(j),
        j.kind().who(),
        own ? forWhom(plan, j.itemId()) : "",
        j.fieldId(),
        j.earliest(),
        j.day(),
        j.latest(),
        j.hours(),
        j.kind() == Job.Kind.CAUTION ? words.caution(j).severity() : "",
        j.thing(),
        j.itemId(),
        JobView.JobMarkView.of(marked.of(j)));
  }

  private static String forWhom(StoredPlan plan, String id) {
    return plan.content().plan().jobs().stream()
        .filter(j -> j.id().equals(id))
        .map(OwnJob::forWhom)
        .findFirst()
        .orElse("");
  }

  /** What each job that moves something costs when it is done a week later, kg DM, by its key. */
  Map<String, Double> aWeekLater(StoredPlan plan, String season) {
    Engine engine = weather.engine(season, plan);
    Map<String, Double> costs = new TreeMap<>();
    for (Job j : jobs(engine, plan)) {
      if (j.thing() != null && j.kind() != Job.Kind.OWN) {
        costs.put(
            j.key(), JobMoved.of(engine, plan.content(), j, j.day().plusDays(WEEK)).costsKg());
      }
    }
    return costs;
  }

  /**
   * What becomes of the year where a job is done on another day.
   *
   * @throws NoSuchElementException where there is no such job
   */
  JobMoved moved(StoredPlan plan, String season, String key, LocalDate to) {
    Engine engine = weather.engine(season, plan);
    Job job =
        jobs(engine, plan).stream()
            .filter(j -> j.key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NoSuchElementException(key));
    return JobMoved.of(engine, plan.content(), job, to);
  }
}
