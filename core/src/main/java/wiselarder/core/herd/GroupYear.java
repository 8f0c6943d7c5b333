package wiselarder.core.herd;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wiselarder.core.calendar.PlanYear;

/**
 * A group resolved against the plan year: how many there are, what they weigh, and what they need
 * each day, dams (or growing, or adult animals) and their young apart. Weather is not in it yet:
 * see {@link GroupDemand}. All arrays by day.
 */
public final class GroupYear {
  /** Birth weight as a share of the dam's weight. Assumption, usual range 6 to 8%. */
  static final double BIRTH_WEIGHT_SHARE = 0.07;

  private static final int NEVER = Integer.MAX_VALUE / 2;
  private static final int CALF_FORAGE_FROM_DAY = 90;

  private final AnimalGroup group;
  private final double upkeepMjPerMetabolicKg;
  private final int days;
  private final int from;
  private final int to;
  private final double[] head;
  private final double[] youngHead;
  private final double[] weightKg;
  private final double[] ownKg;
  private final double[] youngKg;
  private final double[] youngEnergyMj;
  private final double[] youngProteinKg;
  private final double[] youngCalciumKg;
  private final double[] youngPhosphorusKg;
  private final double[][] figures;
  private List<Integer> seasons = List.of();
  private List<BirthCourse> courses = List.of();
  private final List<int[]> births = new ArrayList<>();
  private final List<Integer> weanings = new ArrayList<>();
  private final Map<Integer, Born> born;

  private GroupYear(
      AnimalGroup group, double[] head, PlanYear year, HerdTables tables, Map<Integer, Born> born) {
    this.group = group;
    this.born = born;
    this.upkeepMjPerMetabolicKg = tables.upkeepMjPerMetabolicKg(group.kind());
    this.days = year.days();
    this.from = year.clippedStart(group.fromInclusive());
    this.to = year.clippedEnd(group.toExclusive());
    this.head = head;
    youngHead = new double[days];
    weightKg = new double[days];
    ownKg = new double[days];
    youngKg = new double[days];
    youngEnergyMj = new double[days];
    youngProteinKg = new double[days];
    youngCalciumKg = new double[days];
    youngPhosphorusKg = new double[days];
    figures = new double[days][];
  }

  /** Births of a day: dams that gave birth, and their young that live. */
  public record Born(int dams, int young) {}

  /** What was counted of a group: head by day, and births by day. */
  public record Counts(Map<Integer, Integer> head, Map<Integer, Born> born) {
    public static final Counts NONE = new Counts(Map.of(), Map.of());
  }

  /** Resolves a group that no other has to do with. */
  public static GroupYear of(AnimalGroup group, PlanYear year, HerdTables tables) {
    return of(group, List.of(group), year, tables, Counts.NONE);
  }

  /**
   * Resolves a group.
   *
   * @param all every group of the farm: animals move between them
   * @param counts as somebody counted
   */
  public static GroupYear of(
      AnimalGroup group, List<AnimalGroup> all, PlanYear year, HerdTables tables, Counts counts) {
    double[] head = Heads.of(group, all, year, counts.head);
    GroupYear result = new GroupYear(group, head, year, tables, counts.born);
    boolean dam = tables.isDam(group.kind());
    if (dam && group.birthStart() != null) {
      result.fillDams(year, tables);
    } else {
      result.fillOthers(year, tables, dam);
    }
    for (int d = result.from; d < result.to; d++) {
      result.ownKg[d] =
          group.flatIntakeKgPerHeadDay() != null
              ? result.head[d] * group.flatIntakeKgPerHeadDay()
              : result.typicalKg(d);
      if (group.flatIntakeKgPerHeadDay() != null) {
        result.youngKg[d] = 0;
      }
    }
    return result;
  }

  /** The first day on which another year is not the same, -1 where there is none. */
  public int mismatch(GroupYear other) {
    int first = -1;
    double[][] mine = days();
    double[][] theirs = other.days();
    for (int i = 0; i < mine.length; i++) {
      first = GroupDemand.earlier(first, Arrays.mismatch(mine[i], theirs[i]));
    }
    for (int d = 0; d < days && (first < 0 || d < first); d++) {
      if (!Arrays.equals(figures[d], other.figures[d])) {
        first = d;
      }
    }
    return first;
  }

  private double[][] days() {
    return new double[][] {
      head,
      youngHead,
      weightKg,
      ownKg,
      youngKg,
      youngEnergyMj,
      youngProteinKg,
      youngCalciumKg,
      youngPhosphorusKg
    };
  }

  public AnimalGroup group() {
    return group;
  }

  /** Animals there, without their young; a fraction where deaths are spread. */
  public double head(int day) {
    return head[day];
  }

  /** Young of the year that are there. */
  public double youngHead(int day) {
    return youngHead[day];
  }

  /** Stated live weight of one, kg: of growing animals by their stated gain. */
  public double weightKg(int day) {
    return weightKg[day];
  }

  /** What dams, growing or adult animals eat, kg DM for all: the stage's percent or flat figure. */
  public double[] ownKg() {
    return ownKg;
  }

  /** What their young eat of forage, kg DM for all. */
  public double[] youngKg() {
    return youngKg;
  }

  /** Need of the whole group on a day in neither cold nor heat, kg DM. */
  public double needKg(int day) {
    return ownKg[day] + youngKg[day];
  }

  /** Day windows [first, last] of births that touch the plan. */
  public List<int[]> births() {
    return births;
  }

  /** Day numbers of weanings within the plan. */
  public List<Integer> weanings() {
    return weanings;
  }

  /** What the class usually eats, kg DM for all, without young: needs in percent are of this. */
  public double typicalKg(int day) {
    return head[day] * weightKg[day] * figure(day, Figures.INTAKE_PCT) / 100;
  }

  /** Most that the class eats of leafy forage, kg DM for all, without young. */
  public double mostKg(int day) {
    return head[day] * weightKg[day] * figure(day, Figures.MOST_PCT) / 100;
  }

  /** Most neutral detergent fibre that they hold, kg for all, without young. */
  public double fibreCapKg(int day) {
    return head[day] * weightKg[day] * figure(day, Figures.FIBRE_CAP_PCT) / 100;
  }

  /** Metabolisable energy needed in comfort, MJ for all, without young. */
  public double energyMj(int day) {
    return head[day] * figure(day, Figures.ENERGY_MJ);
  }

  /** Metabolisable energy for the upkeep of one at its stated weight, MJ. */
  public double upkeepMj(int day) {
    return Math.pow(weightKg[day], 0.75) * upkeepMjPerMetabolicKg;
  }

  /** Metabolisable energy that young need from forage, MJ for all. */
  public double youngEnergyMj(int day) {
    return youngEnergyMj[day];
  }

  /** Crude protein needed, young included, kg for all. */
  public double proteinKg(int day) {
    return typicalKg(day) * figure(day, Figures.PROTEIN_PCT) / 100 + youngProteinKg[day];
  }

  /** Calcium needed, young included, kg for all. */
  public double calciumKg(int day) {
    return typicalKg(day) * figure(day, Figures.CALCIUM_PCT) / 100 + youngCalciumKg[day];
  }

  /** Phosphorus needed, young included, kg for all. */
  public double phosphorusKg(int day) {
    return typicalKg(day) * figure(day, Figures.PHOSPHORUS_PCT) / 100 + youngPhosphorusKg[day];
  }

  /** TDN that the class's diet must hold at its usual intake, percent of DM. */
  public double tdnNeedPct(int day) {
    return figure(day, Figures.TDN_PCT);
  }

  /** Crude protein that the class's diet must hold at its usual intake, percent of DM. */
  public double proteinNeedPct(int day) {
    return figure(day, Figures.PROTEIN_PCT);
  }

  /** Neutral detergent fibre that the diet must hold, percent of DM. */
  public double fibreMinPct(int day) {
    return figure(day, Figures.FIBRE_MIN_PCT);
  }

  /** Gain that the need of energy stands for, kg a head. */
  public double targetGainKg(int day) {
    return figure(day, Figures.TARGET_GAIN);
  }

  /** Water that one asks for at a daily mean of 10 C and of 30 C, that in the feed included. */
  public double waterAt10L(int day) {
    return figure(day, Figures.WATER_10);
  }

  public double waterAt30L(int day) {
    return figure(day, Figures.WATER_30);
  }

  double lctDryC(int day) {
    return figure(day, Figures.LCT_DRY);
  }

  double lctWetC(int day) {
    return figure(day, Figures.LCT_WET);
  }

  private double figure(int day, int which) {
    return figures[day] == null ? 0 : figures[day][which];
  }

  int from() {
    return from;
  }

  int to() {
    return to;
  }

  /**
   * Class of the animals of a group on a day; of dams the middle of those that give birth.
   *
   * @return null on days on which the group is not there
   */
  public static AnimalClass classOn(AnimalGroup group, int day, PlanYear year, HerdTables tables) {
    if (day < year.clippedStart(group.fromInclusive())
        || day >= year.clippedEnd(group.toExclusive())) {
      return null;
    }
    if (!tables.isDam(group.kind()) || group.birthStart() == null) {
      int arrival = group.fromInclusive() == null ? 0 : year.day(group.fromInclusive());
      return otherwise(group, weightOn(group, day, arrival), tables);
    }
    return new BirthCalendar(group, year, tables).classAt(day - group.birthSpreadDays() / 2);
  }

  private static double weightOn(AnimalGroup group, int day, int arrival) {
    return Math.max(1, group.weightKg() + group.gainKgPerDay() * (day - arrival));
  }

  private static AnimalClass otherwise(AnimalGroup group, double weightKg, HerdTables tables) {
    return tables.isDam(group.kind())
        ? tables.ofDam(group.kind(), -1, NEVER, true, true, 1)
        : tables.byWeight(group.kind(), weightKg);
  }

  private void fillOthers(PlanYear year, HerdTables tables, boolean dam) {
    int arrival = group.fromInclusive() == null ? 0 : year.day(group.fromInclusive());
    for (int d = from; d < to; d++) {
      weightKg[d] = weightOn(group, d, arrival);
      AnimalClass animals = otherwise(group, weightKg[d], tables);
      figures[d] = Figures.of(animals, weightKg[d]);
      if (!dam) {
        aim(d, group.gainKgPerDay());
      }
    }
  }

  /** Energy for the stated gain rather than the class's usual one. */
  private void aim(int day, double gainKg) {
    double[] f = figures[day];
    double inGain = Energy.inGainMjPerKg(group.kind(), weightKg[day]);
    if (!Double.isNaN(inGain)) {
      double efficiency = Energy.forGain(Energy.mjPerKg(f[Figures.TDN_PCT]));
      double more = (gainKg - f[Figures.TARGET_GAIN]) * inGain / efficiency;
      f[Figures.ENERGY_MJ] = Math.max(0.5 * f[Figures.ENERGY_MJ], f[Figures.ENERGY_MJ] + more);
      f[Figures.TARGET_GAIN] = gainKg;
    }
  }

  /**
   * Dams whose births are spread evenly: each day's figures are the mean over one cohort per birth
   * day. Cohort k on day d stands where the first cohort stood k days earlier, but for weaning,
   * which comes to all on one date.
   */
  private void fillDams(PlanYear year, HerdTables tables) {
    BirthCalendar calendar = new BirthCalendar(group, year, tables);
    calendar.note(births, weanings);
    int spread = group.birthSpreadDays();
    seasons = calendar.starts();
    courses = BirthCourse.of(group, seasons, head, born);
    int first = courses.stream().mapToInt(c -> c.firstDay).reduce(0, Math::min);
    int end = courses.stream().mapToInt(BirthCourse::endDay).reduce(spread, Math::max);
    Cohorts at = new Cohorts(calendar, first, end);
    Young young = Young.of(group, tables);
    for (int d = from; d < to; d++) {
      weightKg[d] = group.weightKg();
      figures[d] = new double[Figures.COUNT];
      BirthCourse course = course(d);
      if (course == null) {
        evenly(d, at, spread);
      } else {
        for (int k = course.firstDay; k < course.endDay(); k++) {
          Figures.add(figures[d], at.figures(d, k), course.share(k));
        }
      }
      for (int k = first; k < end; k++) {
        if (d < at.leave(d, k)) {
          young(d, k, at, young);
        }
      }
    }
  }

  private void evenly(int d, Cohorts at, int spread) {
    for (int k = 0; k < spread; ) {
      double[] one = at.figures(d, k);
      int run = 1;
      while (k + run < spread && at.figures(d, k + run) == one) {
        run++;
      }
      Figures.add(figures[d], one, (double) run / spread);
      k += run;
    }
  }

  /** The births that were written down of the season nearest to a day, or null. */
  private BirthCourse course(int day) {
    for (BirthCourse c : courses) {
      if (c.holds(day)) {
        return c;
      }
    }
    return null;
  }

  /**
   * How the births of a season go.
   *
   * @param born dams that gave birth up to a day as it was written down; {@code young} of them live
   * @param plannedShare of all dams that gave birth by then as it was stated
   * @param lastDay day number of the last that was written down up to then, -1 for none
   */
  public record Births(int born, int young, double plannedShare, int lastDay) {}

  /** Births of the season about a day; empty where it is not the season. */
  public Optional<Births> birthsAbout(int day) {
    int spread = group.birthSpreadDays();
    for (int start : seasons) {
      boolean now =
          day >= start - BirthCourse.EARLY_DAYS && day < start + spread + SEASON_OVER_DAYS;
      if (now && (day >= start - SEASON_NEAR_DAYS || BirthCourse.any(born, start, day))) {
        int dams = 0;
        int young = 0;
        int last = -1;
        for (int d = start - BirthCourse.EARLY_DAYS; d <= day; d++) {
          Born here = born.get(d);
          if (here != null) {
            dams += here.dams();
            young += here.young();
            last = d;
          }
        }
        double planned = Math.max(0, Math.min(1, (day + 1.0 - start) / spread));
        return Optional.of(new Births(dams, young, planned, last));
      }
    }
    return Optional.empty();
  }

  /** So long before the first births, and after the last, they are asked for. */
  private static final int SEASON_NEAR_DAYS = 14;

  private static final int SEASON_OVER_DAYS = 30;

  /** Young that a cohort of a season brings of so many dams. */
  private double born(double dams, int birthStart, int k) {
    for (BirthCourse c : courses) {
      if (c.start == birthStart) {
        return dams * c.young(k);
      }
    }
    int spread = group.birthSpreadDays();
    return k < 0 || k >= spread ? 0 : dams * group.youngPerDam() / spread;
  }

  /** Adds one cohort's young: as many as dams had when they were weaned, or have now. */
  private void young(int d, int k, Cohorts at, Young young) {
    int age = d - at.birth(d, k) - k;
    if (age < 0) {
      return;
    }
    boolean weaned = d >= at.weaning(d, k);
    int counted = Math.max(0, Math.min(d, weaned ? at.weaning(d, k) : d));
    double many = born(head[counted], at.birth(d, k), k);
    youngHead[d] += many;
    AnimalClass is = young.is(age, weaned);
    if (is != null) {
      double kg = young.kg(age, weaned) * many;
      youngKg[d] += kg;
      youngEnergyMj[d] += kg * Energy.mjPerKg(is.tdnNeedPct());
      youngProteinKg[d] += kg * is.proteinNeedPct() / 100;
      youngCalciumKg[d] += kg * is.calciumNeedPct() / 100;
      youngPhosphorusKg[d] += kg * is.phosphorusNeedPct() / 100;
    }
  }

  /** Where each day of the first cohort stands: its figures nursing and weaned, and its dates. */
  private final class Cohorts {
    private final int offset;
    private final double[][] nursing;
    private final double[][] weaned;
    private final int[] birth;
    private final int[] weaning;
    private final int[] leave;
    private final Map<String, double[]> known = new HashMap<>();

    /** Of cohorts from one to before another, which may begin before the stated first day. */
    Cohorts(BirthCalendar calendar, int first, int end) {
      offset = end;
      int many = days + offset - first;
      nursing = new double[many][];
      weaned = new double[many][];
      birth = new int[many];
      weaning = new int[many];
      leave = new int[many];
      double twinShare = Math.max(0, Math.min(1, group.youngPerDam() - 1));
      for (int x = -offset; x < days - first; x++) {
        int at = x + offset;
        birth[at] = calendar.lastBirth(x);
        boolean none = birth[at] == -NEVER;
        weaning[at] = none ? -NEVER : calendar.weaning(birth[at]);
        leave[at] = none ? -NEVER : calendar.leave(birth[at]);
        nursing[at] = blend(calendar, x, false, twinShare);
        weaned[at] = blend(calendar, x, true, twinShare);
      }
    }

    private double[] blend(BirthCalendar calendar, int x, boolean isWeaned, double twinShare) {
      AnimalClass one = calendar.classAt(x, isWeaned, 1);
      AnimalClass two = twinShare == 0 ? one : calendar.classAt(x, isWeaned, 2);
      return known.computeIfAbsent(
          one.id() + "/" + two.id(),
          k ->
              Figures.between(
                  Figures.of(one, group.weightKg()),
                  Figures.of(two, group.weightKg()),
                  one.equals(two) ? 0 : twinShare));
    }

    double[] figures(int d, int k) {
      int at = d - k + offset;
      return d >= weaning[at] ? weaned[at] : nursing[at];
    }

    int birth(int d, int k) {
      return birth[d - k + offset];
    }

    int weaning(int d, int k) {
      return weaning[d - k + offset];
    }

    int leave(int d, int k) {
      return leave[d - k + offset];
    }
  }

  /** Forage that one young of a dam eats, and its class, by age in days. */
  private record Young(
      double[] atFootKg, double[] weanedKg, AnimalClass suckling, AnimalClass[] weaned) {
    private static final int OLDEST_DAYS = 800;

    static Young of(AnimalGroup group, HerdTables tables) {
      String species = group.kind().substring(0, group.kind().indexOf('/'));
      String growing =
          switch (species) {
            case "beef" -> "beef/steer";
            case "sheep" -> "sheep/lamb";
            case "goat" -> "goat/kid";
            case "bison" -> "bison/young";
            default -> "";
          };
      AnimalClass suckling = species.equals("beef") ? tables.byId("suckling_calf") : null;
      Young young =
          new Young(
              new double[OLDEST_DAYS],
              new double[OLDEST_DAYS],
              suckling,
              new AnimalClass[OLDEST_DAYS]);
      if (growing.isEmpty()) {
        return young;
      }
      double birthKg = BIRTH_WEIGHT_SHARE * group.weightKg();
      double gainKg =
          (suckling != null ? suckling : tables.byWeight(growing, birthKg)).targetGainKgPerDay();
      for (int age = 0; age < OLDEST_DAYS; age++) {
        double weightKg = birthKg + gainKg * age;
        young.weaned[age] = tables.byWeight(growing, weightKg);
        young.weanedKg[age] = young.weaned[age].intakeKg(weightKg);
        young.atFootKg[age] =
            suckling != null && age >= CALF_FORAGE_FROM_DAY ? suckling.intakeKg(weightKg) : 0;
      }
      return young;
    }

    double kg(int ageDays, boolean isWeaned) {
      return (isWeaned ? weanedKg : atFootKg)[Math.min(ageDays, OLDEST_DAYS - 1)];
    }

    AnimalClass is(int ageDays, boolean isWeaned) {
      return isWeaned ? weaned[Math.min(ageDays, OLDEST_DAYS - 1)] : suckling;
    }
  }
}
