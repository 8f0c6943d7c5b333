package wiselarder.core.balance;

import java.time.YearMonth;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.resolved.ResolvedPlan;

/**
 * How the ground stands and how long it lasts, by day: read off a year, nothing is simulated anew.
 * Covers and rates are means over the fields that carry a stand, per ha of them; fields of residue
 * count for what they offer and not for cover.
 */
public final class Outlook {
  /** Shorter than this, and a day counts as fed. */
  private static final double BARE_KG = 0.5;

  private static final double ROUNDING_KG = 1e-9;

  private final YearBalance year;
  private final boolean[] stands;
  private final double[] utilization;
  private final double groundHa;

  /** What is needed before each day, and over the whole plan at the end. */
  private final double[] needToKg;

  /** By day, the first one after it on which somebody goes short; -1 for none. */
  private final int[] nextBare;

  private final double keptShare;

  private Outlook(YearBalance year) {
    this.year = year;
    ResolvedPlan plan = year.resolved();
    stands = new boolean[plan.fields.length];
    utilization = new double[plan.fields.length];
    double ha = 0;
    for (int f = 0; f < stands.length; f++) {
      stands[f] = !plan.fields[f].base().residue;
      utilization[f] = plan.pieces.utilization(f, 0, false);
      ha += stands[f] ? plan.fields[f].areaHa : 0;
    }
    groundHa = ha;
    needToKg = new double[year.days() + 1];
    for (int d = 0; d < year.days(); d++) {
      needToKg[d + 1] = needToKg[d] + year.needKg(d);
    }
    nextBare = new int[year.days()];
    for (int d = year.days() - 1, bare = -1; d >= 0; d--) {
      nextBare[d] = bare;
      bare = year.bareKg(d) > BARE_KG ? d : bare;
    }
    keptShare = keptShare(year);
  }

  public static Outlook of(YearBalance year) {
    return new Outlook(year);
  }

  /** Of what is fed, what is eaten: as over this year, all where nothing is fed. */
  private static double keptShare(YearBalance year) {
    double eaten = 0;
    double lost = 0;
    for (int l = 0; l < year.resolved().lots.length; l++) {
      lost += year.lotFedLostKg(l);
      for (int d = 0; d < year.days(); d++) {
        eaten += year.lotEatenKg(l, d);
      }
    }
    return eaten <= 0 ? 1 : eaten / (eaten + lost);
  }

  /** Ground that carries a stand, ha. */
  public double groundHa() {
    return groundHa;
  }

  /** Mean cover at the end of the day, kg DM/ha; 0 where there is no ground. */
  public double coverKgPerHa(int day) {
    double kg = 0;
    for (int f = 0; f < stands.length; f++) {
      kg += stands[f] ? year.coverKgPerHa(f, day) * year.resolved().fields[f].areaHa : 0;
    }
    return perHa(kg);
  }

  /** Mean of what is to be left, and of what is to stand when stock come in; kg DM/ha. */
  public double leaveKgPerHa() {
    return target(f -> year.resolved().fields[f].base().residual);
  }

  /** See {@link #leaveKgPerHa}. */
  public double enterKgPerHa() {
    return target(f -> year.resolved().fields[f].base().turnIn);
  }

  private double target(IntToDoubleFunction kgPerHa) {
    double kg = 0;
    for (int f = 0; f < stands.length; f++) {
      kg += stands[f] ? kgPerHa.applyAsDouble(f) * year.resolved().fields[f].areaHa : 0;
    }
    return perHa(kg);
  }

  /**
   * Days that grazed ground is rested at this time of the year, by how fast it grows: mean of the
   * ground that is moved over, by area; 0 where none of it is, or it sleeps.
   */
  public double restDays(int day) {
    double ha = 0;
    double haDays = 0;
    for (int f = 0; f < stands.length; f++) {
      int rest = year.resolved().fields[f].returnDays[day];
      if (stands[f] && rest > 0) {
        ha += year.resolved().fields[f].areaHa;
        haDays += rest * year.resolved().fields[f].areaHa;
      }
    }
    return ha <= 0 ? 0 : haDays / ha;
  }

  /** Growth of the day, kg DM/ha. */
  public double growthKgPerHa(int day) {
    double kg = 0;
    for (int f = 0; f < stands.length; f++) {
      kg += stands[f] ? year.grownKg(f, day) : 0;
    }
    return perHa(kg);
  }

  /** What the herd needs that day, kg DM/ha of the ground. */
  public double demandKgPerHa(int day) {
    return perHa(year.needKg(day));
  }

  private double perHa(double kg) {
    return groundHa <= 0 ? 0 : kg / groundHa;
  }

  /** What stands in front of the herd at the end of the day and would be eaten, kg DM. */
  public double standingKg(int day) {
    double kg = 0;
    for (int f = 0; f < stands.length; f++) {
      kg += year.offeredKg(f, day);
    }
    return kg;
  }

  /** What the store holds at the end of the day and would be eaten, kg DM. */
  public double storedKg(int day) {
    double kg = 0;
    for (int l = 0; l < year.resolved().lots.length; l++) {
      kg += year.lotKg(l, day);
    }
    return kg * keptShare;
  }

  /**
   * Whole days after this one that what stands would feed the herd if nothing more grew, with what
   * is stored or without. Where snow shuts the ground only the store feeds. The plan's last day is
   * the furthest that is looked to.
   */
  public int lastsDays(int day, boolean withStore) {
    double standing = standingKg(day);
    double stored = withStore ? storedKg(day) : 0;
    for (int d = day + 1; d < year.days(); d++) {
      double grazed = year.resolved().weather.snowShuts(d) ? 0 : Math.min(standing, year.needKg(d));
      standing -= grazed;
      stored -= year.needKg(d) - grazed;
      if (stored < -ROUNDING_KG) {
        return d - day - 1;
      }
    }
    return year.days() - day - 1;
  }

  /** True where {@link #lastsDays} reaches the end of the plan: it may last longer. */
  public boolean lastsToTheEnd(int day, boolean withStore) {
    return day + 1 + lastsDays(day, withStore) == year.days();
  }

  /** The first day after this one on which somebody goes short, -1 for none. */
  public int nextBareDay(int day) {
    return nextBare[day];
  }

  /**
   * One month of herd and growth. Days half-open, kg DM.
   *
   * @param needKg what the herd needs
   * @param eatableKg what grows in the month and would be eaten: growth times the share that stock
   *     take of what is offered on each field
   * @param leftKg how much of that is beyond the need, 0 where the need is larger
   */
  public record Month(
      YearMonth month, int startDay, int endDay, double needKg, double eatableKg, double leftKg) {

    /** How many times the herd of that month its growth would feed. */
    public double herds() {
      return needKg <= 0 ? 0 : eatableKg / needKg;
    }
  }

  /** The plan month by month. */
  public List<Month> months() {
    return year.year().monthSpans().stream()
        .map(s -> month(s.month(), s.startInclusive(), s.endExclusive()))
        .toList();
  }

  private Month month(YearMonth month, int from, int to) {
    double need = needToKg[to] - needToKg[from];
    double eatable = 0;
    for (int f = 0; f < stands.length; f++) {
      for (int d = from; d < to; d++) {
        eatable += year.grownKg(f, d) * utilization[f];
      }
    }
    return new Month(month, from, to, need, eatable, Math.max(0, eatable - need));
  }

  /**
   * How many times this herd the growth of the whole plan would feed, were none of it lost on the
   * way to the months that lack it.
   */
  public double herdsOverall() {
    double need = needToKg[year.days()];
    double eatable = months().stream().mapToDouble(Month::eatableKg).sum();
    return need <= 0 ? 0 : eatable / need;
  }
}
