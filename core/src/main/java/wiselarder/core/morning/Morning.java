package wiselarder.core.morning;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.jobs.Job;
import wiselarder.core.jobs.Jobs;
import wiselarder.core.jobs.Marked;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.seasons.YearsAhead;

/**
 * How a farm stands on a morning, from that day to the end of its plan.
 *
 * @param day the morning; a plan that has not begun is looked at from its first day
 * @param bareOn first day on which feed is short in a normal year, null for none
 * @param missingKg from {@code day} on in a normal year, kg DM
 * @param bareInTenOn the day by which feed has fallen short in a tenth of the simulated years, null
 *     where it does in fewer
 * @param fed simulated years, of {@code years}, in which less than a mean day's feed is missing
 * @param until last day of the plan
 * @param next the next decision that is open: a job, or to find feed before it falls short in a
 *     normal year, whichever comes first; null for none
 * @param late jobs that are open and past their last day by no more than {@value #LATE_DAYS} days,
 *     the last one first; what is past longer is no news
 * @param lastSeen last day on which somebody walked, counted, fed, scored or sampled; null for none
 */
public record Morning(
    LocalDate day,
    Verdict verdict,
    LocalDate bareOn,
    double missingKg,
    LocalDate bareInTenOn,
    int fed,
    int years,
    LocalDate until,
    Due next,
    List<Due> late,
    LocalDate lastSeen) {

  /** On the demo farms they say the same day of one in ten as a thousand, but for a day or two. */
  public static final int SEASONS = 200;

  public static final int LATE_DAYS = 60;

  /**
   * What is to be done.
   *
   * @param job null where feed is to be found for the gap
   * @param on planned, or moved to; the first bare day
   * @param last day on which it still does what it is for
   */
  public record Due(Job job, LocalDate on, LocalDate last) {}

  /**
   * What is decided by being done: it commits ground, feed, money or animals. Work that only
   * follows from it (looking, counting, spreading) is a job and no decision.
   */
  private static final Set<Job.Kind> DECISIONS =
      EnumSet.of(
          Job.Kind.SHUT,
          Job.Kind.FALLOW,
          Job.Kind.ORDER_SEED,
          Job.Kind.SOW,
          Job.Kind.ORDER_NITROGEN,
          Job.Kind.CUT,
          Job.Kind.BUY,
          Job.Kind.OPEN_RESERVE,
          Job.Kind.WEAN,
          Job.Kind.SELL,
          Job.Kind.BUY_STOCK,
          Job.Kind.SEND_AWAY,
          Job.Kind.RUNG);

  /**
   * Looks at a plan on a morning.
   *
   * @param engine knows what was written down of the farm; its season does not count
   * @param today no later than the plan's last day
   * @param ahead of the same plan and engine
   */
  public static Morning of(Engine engine, FarmPlan stated, LocalDate today, YearsAhead ahead) {
    Engine normal = engine.in(Season.NORMAL);
    PlanYear year = stated.plan().year();
    int from = Math.max(0, year.day(today));
    LocalDate day = year.date(from);
    YearBalance balance = normal.simulate(stated);
    double needKg = IntStream.range(from, year.days()).mapToDouble(balance::needKg).sum();
    int bare = GapFinder.firstBare(normal.gaps(balance), from);
    int inTen = ahead.inTen()[from];
    List<Due> open = open(normal, balance);
    return new Morning(
        day,
        verdict(normal, balance, from, needKg, bare, inTen >= 0),
        bare < 0 ? null : year.date(bare),
        IntStream.range(from, year.days()).mapToDouble(balance::bareKg).sum(),
        inTen < 0 ? null : year.date(inTen),
        ahead.fed()[from],
        ahead.years(),
        year.date(year.days() - 1),
        next(open, today, bare < 0 ? null : year.date(bare)),
        late(open, today),
        lastSeen(engine.records(), today));
  }

  private static Verdict verdict(
      Engine normal, YearBalance balance, int from, double needKg, int bare, boolean inTen) {
    if (needKg <= 0) {
      return Verdict.NOBODY;
    }
    if (wouldNotLive(normal.needs(balance), from)) {
      return Verdict.WOULD_NOT_LIVE;
    }
    if (bare >= 0) {
      return bare <= from ? Verdict.SHORT_NOW : Verdict.FALLS_SHORT;
    }
    return inTen ? Verdict.SHORT_IN_TEN : Verdict.LASTS;
  }

  /** Of a day that is past the animals themselves say that it went otherwise. */
  private static boolean wouldNotLive(List<Gap> needs, int from) {
    return needs.stream()
        .flatMap(g -> g.causes().stream())
        .anyMatch(c -> c.code() == Gap.Cause.Code.WOULD_NOT_LIVE && c.value() >= from);
  }

  /** What is still to be done, by its day. */
  private static List<Due> open(Engine engine, YearBalance balance) {
    Marked marked = new Marked(engine.records());
    return Jobs.of(engine, balance).stream()
        .filter(marked::isOpen)
        .map(j -> new Due(j, marked.due(j), marked.lastDay(j)))
        .sorted(Comparator.comparing(Due::on).thenComparing(Due::last))
        .toList();
  }

  private static Due next(List<Due> open, LocalDate today, LocalDate bareOn) {
    Due job =
        open.stream()
            .filter(d -> DECISIONS.contains(d.job.kind()) && !d.last.isBefore(today))
            .findFirst()
            .orElse(null);
    boolean gapFirst = bareOn != null && (job == null || bareOn.isBefore(job.on));
    return gapFirst ? new Due(null, bareOn, bareOn) : job;
  }

  private static List<Due> late(List<Due> open, LocalDate today) {
    return open.stream()
        .filter(d -> d.last.isBefore(today) && !d.last.isBefore(today.minusDays(LATE_DAYS)))
        .sorted(Comparator.comparing(Due::last).reversed())
        .toList();
  }

  /** Facts that somebody stood before. */
  private static LocalDate lastSeen(FarmRecords records, LocalDate today) {
    Stream<LocalDate> days =
        records.standing().stream()
            .filter(r -> r.fact().seenOnFarm())
            .map(FarmRecord::on)
            .filter(d -> !d.isAfter(today));
    return days.max(Comparator.naturalOrder()).orElse(null);
  }
}
