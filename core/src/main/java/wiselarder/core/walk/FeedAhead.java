package wiselarder.core.walk;

import java.time.LocalDate;
import wiselarder.core.balance.Outlook;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Season;

/**
 * How long feed lasts from a day on, three ways.
 *
 * @param standsDays whole days after this one that what stands and is stored would feed all animals
 *     if nothing more grew; {@code standsToTheEnd} where that reaches the end of the plan
 * @param bareNormal first day that lies in a gap of the store in a normal year; null for none
 * @param bareDry the same in the dry year that comes once in ten
 */
public record FeedAhead(
    int standsDays, boolean standsToTheEnd, LocalDate bareNormal, LocalDate bareDry) {
  private static final Season DRY = Season.parse("dry");

  static FeedAhead of(Engine engine, FarmPlan stated, int day) {
    YearBalance normal = engine.in(Season.NORMAL).simulate(stated);
    Outlook outlook = Outlook.of(normal);
    return new FeedAhead(
        outlook.lastsDays(day, true),
        outlook.lastsToTheEnd(day, true),
        bare(engine.in(Season.NORMAL), normal, day),
        bare(engine.in(DRY), engine.in(DRY).simulate(stated), day));
  }

  private static LocalDate bare(Engine engine, YearBalance year, int from) {
    int day = GapFinder.firstBare(engine.gaps(year), from);
    return day < 0 ? null : year.year().date(day);
  }
}
