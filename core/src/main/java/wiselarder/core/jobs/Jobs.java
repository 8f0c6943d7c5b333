package wiselarder.core.jobs;

import java.util.Comparator;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;

/** Everything that a plan asks to be done, in the order of its days. */
public final class Jobs {
  private Jobs() {}

  /**
   * The jobs of a plan in the season in which it was simulated: what hangs on growth, births and
   * cautions is as in that year.
   *
   * @param balance of a full run
   */
  public static List<Job> of(Engine engine, YearBalance balance) {
    JobList list = new JobList(engine, balance);
    GroundJobs.add(list);
    SowingJobs.add(list);
    StoreJobs.add(list);
    WinterJobs.add(list);
    HerdJobs.add(list);
    CautionJobs.add(list);
    OwnJobs.add(list);
    return list.jobs().stream()
        .sorted(Comparator.comparing(Job::day).thenComparing(Job::latest).thenComparing(Job::key))
        .toList();
  }
}
