package wiselarder.core.resolved;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.caution.Caution;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.CropUses;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.GrowthIndex;
import wiselarder.core.forage.LearningTimes;
import wiselarder.core.forage.Maturity;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.forage.SowingTable;
import wiselarder.core.herd.AnimalClass;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupDemand;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.OpeningGround;
import wiselarder.core.plan.Portion;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Sowing;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.store.LossMethod;
import wiselarder.core.store.Lot;
import wiselarder.core.weather.Climate;
import wiselarder.core.weather.NormalYear;
import wiselarder.core.weather.WeatherGenerator;
import wiselarder.core.weather.WeatherYear;

/**
 * A stated plan resolved against calendar, catalogue and cautions: names become indices, dates
 * become days, rules become numbers. It is read by the simulator and never changed.
 */
public final class ResolvedPlan {
  public final FarmPlan stated;
  public final FarmRecords records;
  public final PlanYear year;
  public final int days;
  public final List<Caution> cautions;

  /** Those that hold in any weather, and what each weather adds. */
  private final List<Caution> always;

  private final BiFunction<WeatherYear, WeatherYear, List<Caution>> inWeather;

  /** What cautions shut in this weather. */
  public final Holds holds;

  public final FieldPlan[] fields;
  public final GroupPlan[] groups;

  /** Covers that were measured. */
  public final SeenCovers seen;

  /** Stages that split stems showed. */
  public final SeenStems stems;

  /** Water in soils as hands felt it. */
  public final SeenSoils soils;

  /** Rain as it was measured on the farm: the weather of those days, in any season. */
  public final Gauge gauge;

  /** Where groups were brought. */
  public final Moves moves;

  public final LotPlan[] lots;
  public final CutPlan[] cuts;
  public final WeatherYear normal;

  /** The distinct forages that stand somewhere; {@link StandPlan#kind} points here. */
  public final Forage[] kinds;

  public final Climate climate;

  /** What the days ask of the fields, in the order in which the simulation reads it. */
  public final FieldDays byDay;

  /** Into how many pieces each field is grazed. */
  public final Pieces pieces;

  /** The weather, and how each of its days suits each kind: {@code [day * kinds + kind]}. */
  public final WeatherYear weather;

  public final double[] index;

  /** How far each kind is in its season by day and kind, and what it is worth. */
  public final double[] season;

  /** True by day and kind where what grows runs to head. */
  public final boolean[] heads;

  public final QualityTable.Values[] worth;

  /** Feeds that stock must learn, and the most of them by days since the first. */
  public final List<String> feeds;

  public final LearningTimes learning;

  /** True where what feed is worth has a say in what is eaten, so that stands must age. */
  public final boolean followsWorth;

  /** Each group's need in this weather. */
  public final GroupDemand[] demand;

  /** Fibre of the feed before the first day, for those that eat by energy. Assumption. */
  public static final double FIRST_FIBRE_PCT = 55;

  /** One stand of a field; masses in kg DM/ha. The first of a field is what stands there now. */
  public static final class StandPlan {
    public Forage forage;
    public int kind;
    public double extinction;
    public double referenceLight;
    public double entry;
    public double ceiling;
    public double base;
    public double residual;
    public double winterResidual;
    public double turnIn;

    /** The same within a season in which it has been grazed. */
    public double turnInAgain;

    /** Cover below which stock may not come in while it grows, 0 where nothing forbids it. */
    public double safe;

    public double utilization;

    /** A stockpile is opened in strips: never used worse than strips are. */
    public double stockUtilization;

    public double senescencePerDay;
    public double lossPerDay;
    public double baseC;
    public double lodged;

    /** Place among the feeds that stock must learn, -1 for none; and most shares of the diet. */
    public int feed;

    public double mostShareCattle;
    public double mostShareSheep;
    public double droughtHold;
    public double dormantBelow;
    public boolean hardy;
    public boolean residue;
    public int arrives;
    public int leaves;

    /** True for stands that bear light frosts, and the low that stops them, deg C. */
    public double frostedBelowC = Double.NEGATIVE_INFINITY;

    /** Of a stand of two layers, the share that frost leaves green. */
    public double greenUnderFrost = 1;

    public boolean warmSeason;
    public boolean headsOnce;

    /** Growing less than this, kg DM/ha a day, what is eaten counts as standing feed. */
    public double quietBelow;

    /** Days for which what stands on the plan's first day has been kept without growing. */
    public double keptDaysAtStart;

    /** What a mower leaves, kg DM/ha; without end where no mower goes. */
    public double cutStubble;

    /** Growth of a normal year, kg DM/ha a day; null for a crop that does not come to stay. */
    public double[] growth;

    /** The curve of the climate that it grows by, likewise. */
    public GrowthCurve curve;

    /** How growth answers to real days, to smooth ones, and to smooth ones with real rain. */
    public Answer answer;

    public Answer smooth;
    public Answer realRain;

    public CropPlan crop;

    /** True of a crop that comes and goes: neither what was there nor a perennial that was sown. */
    public boolean passing() {
      return crop != null && growth == null;
    }

    /** How growth answers to days of a kind. */
    public Answer answer(WeatherYear.Days kind) {
      return switch (kind) {
        case SMOOTH -> smooth;
        case REAL_RAIN -> realRain;
        case REAL -> answer;
      };
    }
  }

  /** By day: the usual index under the reference use, and growth for each unit off it. */
  public static final class Answer {
    public final double[] index;
    public final double[] response;

    Answer(double[] index, double[] response) {
      this.index = index;
      this.response = response;
    }
  }

  /** What a crop sown in the plan has beside other stands. */
  public static final class CropPlan {
    public Sowing stated;
    public int number;

    /** Index of its field. */
    public int field;

    public int prepareDay;
    public int sowDay;
    public int heatFrom;
    public int anchoredDay;
    public double sitePeak;
    public double emergedKg;

    /** Mass at which it is first ready; and a poor and a good yield as shares of the likely one. */
    public double readyKg;

    public double lowShare;
    public double highShare;

    /** In the simulated years: how often it comes up, and the day on which in the middle one. */
    public double comesUpShare;

    public int usualEmergence;

    /** False of a legume sown into a sod that lives on: the sod is grazed, and it with it. */
    public boolean closes;

    /** How it stands on the plan's first day, of a crop sown before; null of all others. */
    public Sowing.Standing standing;

    /** Heat that it has had by then, where {@code standing}. */
    public double heatAtStart;

    /** Rain of the normal year from sowing to then, all but a tenth, mm. */
    public double usualRainMm;

    public double daysLate;

    /** The row of the table of sowings by which it goes, or null. */
    public SowingTable.Window window;

    public CropRules.Course course;

    /** Whether anything comes back of it, how much, and the base of its heat, deg C. */
    public boolean regrows;

    public CropUses.Regrowth regrowth;
    public double baseC;
  }

  /** One field: area in ha, water in mm. */
  public static final class FieldPlan {
    public Field field;
    public double areaHa;
    public StandPlan[] stands;
    public double openingGreen;

    /** What its ground brings into the plan, or null where nothing is said. */
    public OpeningGround ground;

    public double openingDead;

    /**
     * Water the soil holds; what it usually holds in the morning of each day of a smooth year, of
     * real days, and of smooth ones with real rain.
     */
    public double capacityMm;

    public double[] usualMm;
    public double[] usualRealMm;
    public double[] usualRealRainMm;
    public boolean drainsFreely;

    /** The base stand's cover by day. */
    public double[] referenceCover;

    /** Nitrogen put on and water given by day, or null for none. */
    public double[] nitrogen;

    public double[] irrigation;

    /** Days shut to all as it is closed for stockpile. */
    public boolean[] shut;

    /** True where stock must learn what stands here. */
    public boolean learned;

    /** By day: longest stay on a piece, 0 for no end; fewest days until stock are back on it. */
    public int[] stayDays;

    public int[] returnDays;

    /** First open day after a closing for stockpile. */
    public boolean[] reopens;

    /** The first of the stands; and true where it is the only one and nothing is put on it. */
    public StandPlan base;

    public boolean alone;

    public StandPlan base() {
      return base;
    }

    /** Usual water in the soil in the morning of a day before days of a kind, mm. */
    public double usualMm(WeatherYear.Days kind, int day) {
      return switch (kind) {
        case REAL -> Math.min(capacityMm, usualRealMm[day]);
        case REAL_RAIN -> Math.min(capacityMm, usualRealRainMm[day]);
        case SMOOTH -> usualMm[day];
      };
    }

    /** The same field without its dates: shut, nitrogen, water. */
    public FieldPlan undated() {
      FieldPlan f = new FieldPlan();
      f.field = field;
      f.areaHa = areaHa;
      f.stands = stands;
      f.base = base;
      f.openingGreen = openingGreen;
      f.openingDead = openingDead;
      f.capacityMm = capacityMm;
      f.usualMm = usualMm;
      f.usualRealMm = usualRealMm;
      f.usualRealRainMm = usualRealRainMm;
      f.drainsFreely = drainsFreely;
      f.referenceCover = referenceCover;
      f.learned = learned;
      f.stayDays = stayDays;
      f.returnDays = returnDays;
      return f;
    }
  }

  /** One group: its need and its steps. */
  public static final class GroupPlan {
    public AnimalGroup group;
    public GroupYear year;
    public double picks;
    public double chooses;
    public StepPlan[] steps;

    /** Fields shut to this group as their fence does not hold it. */
    public boolean[] barred;

    /** Sheep and goats have their own ceilings. */
    public boolean small;

    /** True where it eats by its need of energy and the worth of the feed. */
    public boolean byEnergy;

    public PassPlan[] passes;

    /**
     * By day: share of the nitrogen it eats that the next growth finds where it leaves it; null
     * where no bales are set out on a field.
     */
    public double[] nitrogenSoon;
  }

  /** Passes for light on one field. */
  public static final class PassPlan {
    public int number;
    public int field;
    public int from;
    public int to;
    public double when;
    public double leave;
  }

  /** One step: field or lot indices. */
  public static final class StepPlan {
    public boolean graze;
    public int[] sources;

    /** Of a grazing step, by field: true where it is a source. */
    public boolean[] has;

    public int from;
    public int to;

    /** Of a grazing step, by field: its place in the order of the step's fields. */
    public int[] rank;

    /** True where it means a whole store of several lots. */
    public boolean wholeStore;

    /** It names no lot: what the group is given by the portion is not in it. */
    public boolean anyLot;

    /** True where its portion is given before anything else; and where it is given no more. */
    public boolean first;

    public boolean bounded;

    /** Its portion: a share of the need, or NaN; kg DM a head and day, or NaN. */
    public double share = Double.NaN;

    public double kgPerHeadDay = Double.NaN;

    /** Days for one round of the rotation, 0 where stock move when a piece is eaten. */
    public int roundDays;
  }

  /** One lot: kg DM a unit, kept and lost shares. */
  public static final class LotPlan {
    public Lot lot;
    public int units;
    public double kgPerUnit;
    public double keptPerDay;
    public double lostAtOpening;
    public LossMethod feeding;
    public int arrives;
    public boolean bought;
    public boolean fromCut;

    /** What it holds as it comes in, percent of DM by nutrient; points of TDN lost since. */
    public double[] worth;

    public double tdnLostAtOpening;
    public double tdnLostPerDay;

    /** Most of a day's need that it may be, and the groups that may not have it. */
    public double mostShare;

    public boolean[] barred;
    public double waterLPerKg;

    /** Units kept back before a day; and what was written down of it, or null. */
    public int keptBack;

    public int keptBackTo;
    public LotRecords records;

    /**
     * Of units set out on fields, which are the first that are opened: behind how many of them each
     * of these fields is done, and the field.
     */
    public int[] setOutTo = NONE;

    public int[] setOutOn = NONE;
    private static final int[] NONE = {};

    /** The field on which so many-th a unit is opened, from 1; -1 where it is on none. */
    public int fieldOf(int opened) {
      for (int i = 0; i < setOutTo.length; i++) {
        if (opened <= setOutTo[i]) {
          return setOutOn[i];
        }
      }
      return -1;
    }
  }

  /** What was written down of a lot: units fed, and units counted or -1, by day. */
  public static final class LotRecords {
    public final int[] fed;
    public final int[] counted;

    /** By day: the share of what lies out that stock leave, as it was seen, or NaN. */
    public final double[] left;

    /** By day: what was left the times somebody had looked by then, added up; and how often. */
    public final double[] lookedSum;

    public final int[] looked;

    public int firstFed = Integer.MAX_VALUE;
    public int lastFed = -1;

    public LotRecords(int days) {
      fed = new int[days];
      counted = new int[days];
      left = new double[days];
      lookedSum = new double[days];
      looked = new int[days];
      java.util.Arrays.fill(counted, -1);
      java.util.Arrays.fill(left, Double.NaN);
    }

    /**
     * Share of what is set out on a day that stock leave: as it was seen; after somebody looked,
     * the mean of all looks and of what the way of feeding says, which counts as one more.
     *
     * @param byTable what the way of feeding says
     */
    public double leftShare(int day, double byTable) {
      return Double.isNaN(left[day]) ? (byTable + lookedSum[day]) / (1 + looked[day]) : left[day];
    }

    void look(int day, double leftShare) {
      for (int d = day; d < looked.length; d++) {
        lookedSum[d] += leftShare;
        looked[d]++;
      }
    }
  }

  /** One cut: which field into which lot. */
  public static final class CutPlan {
    public int day;
    public int field;
    public int lot;
    public double tdnLossPoints;
    public double harvestLoss;
    public double unitKg;
  }

  private ResolvedPlan(
      FarmPlan stated,
      FarmRecords records,
      Catalogue catalogue,
      List<Caution> always,
      BiFunction<WeatherYear, WeatherYear, List<Caution>> inWeather,
      ResolvedPlan like) {
    this.stated = stated;
    this.records = records;
    this.year = stated.plan().year();
    this.days = year.days();
    this.always = List.copyOf(always);
    this.inWeather = inWeather;
    this.climate = catalogue.climate(stated.farm().climateId());
    catalogue.checkPrices(stated.farm());
    boolean onGround = like != null && like.year.equals(year) && like.climate.equals(climate);
    this.normal = onGround ? like.normal : NormalYear.of(climate, year);
    this.gauge = Gauge.of(records, year);
    this.weather = onGround && like.gauge.equals(gauge) ? like.weather : gauge.over(normal);
    this.cautions = Lifted.from(cautions(always, inWeather, weather, normal), records, year);
    Forage[] grown = kinds(stated, catalogue);
    ResolvedPlan here = onGround && like.weather == weather ? like : null;
    // kinds that a sowing adds come after those that were there, which keep their places
    int same = here == null ? 0 : begins(like.kinds, grown);
    ResolvedPlan wider = here != null && same == like.kinds.length ? like : null;
    ResolvedPlan known = wider != null && same == grown.length ? like : null;
    this.kinds = known == null ? grown : known.kinds;
    this.learning = catalogue.learning();
    this.feeds = learning.feeds();
    this.season = known == null ? new double[days * kinds.length] : known.season;
    this.heads = known == null ? heads() : known.heads;
    this.worth = new QualityTable.Values[kinds.length];
    for (int k = 0; k < kinds.length; k++) {
      worth[k] = catalogue.quality().of(kinds[k].id());
      if (known == null && (wider == null || k >= same)) {
        spread(GrowthIndex.season(kinds[k], year, climate), k, kinds.length, season);
      }
    }
    if (known == null && wider != null) {
      widen(wider.season, same, kinds.length, season);
    }
    this.index = known == null ? index(kinds, weather, season, wider, same) : known.index;
    Map<String, Integer> fieldIndex = new HashMap<>();
    Map<String, Integer> lotIndex = new HashMap<>();
    this.fields = new FieldResolver(this, catalogue, wider).resolve(fieldIndex);
    this.byDay = new FieldDays(fields, year, climate.coldestDoy(), wider);
    this.seen = SeenCovers.of(this, catalogue, fieldIndex);
    this.stems = SeenStems.of(this, catalogue, fieldIndex);
    this.soils = SeenSoils.of(this, fieldIndex);
    this.lots = new LotResolver(this, catalogue).resolve(lotIndex, fieldIndex);
    this.cuts = resolveCuts(catalogue, fieldIndex, lotIndex);
    this.groups = resolveGroups(catalogue, fieldIndex, lotIndex, here);
    this.moves = Moves.of(this, fieldIndex);
    this.pieces = new Pieces(fields, groups, catalogue.rotation(), days);
    this.demand = demand(groups, weather, here);
    this.followsWorth = followsWorth();
    this.holds = new Holds(this);
  }

  private static List<Caution> cautions(
      List<Caution> always,
      BiFunction<WeatherYear, WeatherYear, List<Caution>> inWeather,
      WeatherYear weather,
      WeatherYear normal) {
    return Stream.concat(always.stream(), inWeather.apply(weather, normal).stream()).toList();
  }

  private boolean followsWorth() {
    boolean cut = cuts.length > 0;
    for (GroupPlan g : groups) {
      boolean wholeStore = Arrays.stream(g.steps).anyMatch(s -> s.wholeStore);
      if (g.byEnergy || (cut && wholeStore)) {
        return true;
      }
    }
    return false;
  }

  /** The same plan in other weather; what it has in common with {@code like} is shared. */
  private ResolvedPlan(ResolvedPlan of, WeatherYear weather, ResolvedPlan like) {
    this.stated = of.stated;
    this.records = of.records;
    this.year = of.year;
    this.days = of.days;
    this.always = of.always;
    this.inWeather = of.inWeather;
    this.climate = of.climate;
    this.weather = weather;
    this.normal = of.normal;
    this.cautions = Lifted.from(cautions(always, inWeather, weather, normal), records, year);
    this.kinds = of.kinds;
    this.season = of.season;
    this.heads = of.heads;
    this.worth = of.worth;
    this.learning = of.learning;
    this.feeds = of.feeds;
    ResolvedPlan known =
        like != null && like.weather == weather && like.season == season ? like : null;
    this.index = known == null ? index(kinds, weather, season, null, 0) : known.index;
    this.fields = of.fields;
    this.byDay = of.byDay;
    this.seen = of.seen;
    this.stems = of.stems;
    this.soils = of.soils;
    this.gauge = of.gauge;
    this.moves = of.moves;
    this.lots = of.lots;
    this.cuts = of.cuts;
    this.groups = of.groups;
    this.pieces = of.pieces;
    this.demand = demand(groups, weather, known);
    this.followsWorth = of.followsWorth;
    this.holds = new Holds(this);
  }

  private static GroupDemand[] demand(GroupPlan[] groups, WeatherYear weather, ResolvedPlan known) {
    GroupDemand[] demand = new GroupDemand[groups.length];
    for (int g = 0; g < groups.length; g++) {
      boolean same =
          known != null && g < known.groups.length && known.groups[g].year == groups[g].year;
      demand[g] = same ? known.demand[g] : GroupDemand.of(groups[g].year, weather);
    }
    return demand;
  }

  /**
   * Resolves in the normal year; refuses with the input's name where a table lacks what is stated.
   */
  public static ResolvedPlan of(
      FarmPlan stated, FarmRecords records, Catalogue catalogue, List<Caution> cautions) {
    return like(null, stated, records, catalogue, cautions, (w, n) -> List.of());
  }

  /**
   * As {@link #of}, sharing with another resolution in the normal year what both have in common.
   * The outcome is the same, sooner.
   *
   * @param like a resolution that need not have to do with this plan, or null
   * @param always cautions that hold in any weather
   * @param inWeather cautions that a weather adds, beside the normal one
   */
  public static ResolvedPlan like(
      ResolvedPlan like,
      FarmPlan stated,
      FarmRecords records,
      Catalogue catalogue,
      List<Caution> always,
      BiFunction<WeatherYear, WeatherYear, List<Caution>> inWeather) {
    return new ResolvedPlan(stated, records, catalogue.on(stated.farm()), always, inWeather, like);
  }

  /** First day on which another plan may go another way than this one; 0 where at once. */
  public int sameUntil(ResolvedPlan other) {
    return SameDays.until(this, other);
  }

  /**
   * The same where records are known to say nothing of the days before one.
   *
   * @param recordsFrom first day of which the two know different things
   */
  public int sameUntil(ResolvedPlan other, int recordsFrom) {
    return SameDays.until(this, other, recordsFrom);
  }

  /**
   * The same plan in other weather; what does not hang on weather is shared.
   *
   * @throws IllegalArgumentException when the weather is not of the plan's days
   */
  public ResolvedPlan in(WeatherYear other) {
    return in(other, null);
  }

  /** As {@link #in(WeatherYear)}, sharing with another plan in that very weather. */
  public ResolvedPlan in(WeatherYear other, ResolvedPlan like) {
    if (!other.year().equals(year)) {
      throw new IllegalArgumentException("weather of " + other.year() + " for plan of " + year);
    }
    // a weather that is shared holds the gauge's rain already
    boolean has = other == weather || (like != null && other == like.weather);
    return new ResolvedPlan(this, has ? other : gauge.over(other), like);
  }

  /** A generator of weather for the plan's days. */
  public WeatherGenerator generator() {
    return WeatherGenerator.of(climate, year);
  }

  /** The normal year of the plan's days, whatever weather it is looked at in. */
  public WeatherYear normal() {
    return normal;
  }

  public WeatherYear weather() {
    return weather;
  }

  /** Day of the year about which it is coldest, 1 to 365. */
  public int coldestDoy() {
    return climate.coldestDoy();
  }

  private static Forage[] kinds(FarmPlan stated, Catalogue catalogue) {
    return Stream.concat(
            stated.farm().fields().stream().map(f -> f.stand().forageId()),
            stated.plan().sowings().stream().map(Sowing::forageId))
        .distinct()
        .map(catalogue::forage)
        .toArray(Forage[]::new);
  }

  /** How many kinds at the beginning of two lists are the same. */
  private static int begins(Forage[] one, Forage[] other) {
    int mismatch = Arrays.mismatch(one, other);
    return mismatch < 0 ? one.length : mismatch;
  }

  /** Puts the columns of fewer kinds into those of more. */
  private static void widen(double[] narrow, int from, int to, double[] into) {
    for (int at = 0, row = 0; at < narrow.length; at += from, row += to) {
      System.arraycopy(narrow, at, into, row, from);
    }
  }

  /**
   * @param wider a plan of the same weather whose kinds are the first of these, or null
   * @param same how many those are
   */
  private static double[] index(
      Forage[] kinds, WeatherYear weather, double[] season, ResolvedPlan wider, int same) {
    double[] index = new double[season.length];
    if (wider != null) {
      widen(wider.index, same, kinds.length, index);
    }
    for (int k = wider == null ? 0 : same; k < kinds.length; k++) {
      GrowthIndex.daily(kinds[k], weather, season, k, kinds.length, index);
    }
    return index;
  }

  private boolean[] heads() {
    boolean[] heads = new boolean[days * kinds.length];
    int coldest = climate.coldestDoy();
    for (int d = 0; d < days; d++) {
      int since = Math.floorMod(year.date(d).getDayOfYear() - coldest, 365);
      for (int k = 0; k < kinds.length; k++) {
        heads[d * kinds.length + k] = Maturity.heads(kinds[k], since);
      }
    }
    return heads;
  }

  private static void spread(double[] one, int at, int step, double[] into) {
    for (int d = 0; d < one.length; d++) {
      into[d * step + at] = one[d];
    }
  }

  public FarmPlan stated() {
    return stated;
  }

  /** What was written down of the farm. */
  public FarmRecords records() {
    return records;
  }

  public PlanYear year() {
    return year;
  }

  public List<Caution> cautions() {
    return cautions;
  }

  /** The year of a group's need, by the group's place in the farm. */
  public GroupYear groupYear(int group) {
    return groups[group].year;
  }

  /** kg DM/ha of growth stated for a field on a day, before leaf and crowding. */
  public double statedGrowth(int field, int day) {
    return fields[field].base().growth[day];
  }

  /** A group's need in this weather, by the group's place in the farm. */
  public GroupDemand demand(int group) {
    return demand[group];
  }

  private CutPlan[] resolveCuts(
      Catalogue catalogue, Map<String, Integer> fieldIndex, Map<String, Integer> lotIndex) {
    List<CutPlan> resolved = new ArrayList<>();
    for (HayCut cut : stated.plan().cuts()) {
      CutPlan c = new CutPlan();
      c.day = year.day(cut.date());
      c.field = fieldIndex.get(cut.fieldId());
      c.lot = lotIndex.get(cut.lot().id());
      LossMethod made =
          catalogue.loss("cut.harvestMethodId", cut.harvestMethodId(), LossMethod.Stage.HARVEST);
      c.harvestLoss = made.share();
      c.tdnLossPoints = made.tdnLossPoints();
      c.unitKg = records.lot(cut.lot()).kgDmPerUnit();
      resolved.add(c);
    }
    return resolved.toArray(CutPlan[]::new);
  }

  /** True where nobody moves between groups, so that each is resolved by itself. */
  private static boolean apart(FarmPlan stated) {
    return stated.farm().groups().stream()
        .flatMap(g -> g.changes().stream())
        .allMatch(c -> c.toGroupId() == null);
  }

  private static GroupYear known(ResolvedPlan known, int at, AnimalGroup group) {
    return known != null && at < known.groups.length && known.groups[at].group.equals(group)
        ? known.groups[at].year
        : null;
  }

  private GroupPlan[] resolveGroups(
      Catalogue catalogue,
      Map<String, Integer> fieldIndex,
      Map<String, Integer> lotIndex,
      ResolvedPlan like) {
    ResolvedPlan known = like != null && apart(stated) && apart(like.stated) ? like : null;
    List<GroupPlan> resolved = new ArrayList<>();
    for (AnimalGroup group : stated.farm().groups()) {
      GroupPlan g = new GroupPlan();
      g.group = group;
      g.picks = Maturity.picks(group.kind());
      g.chooses = Maturity.chooses(group.kind());
      boolean recounted =
          known != null
              && !Counted.of(records, group, year).equals(Counted.of(known.records, group, year));
      GroupYear there = recounted ? null : known(known, resolved.size(), group);
      g.year =
          there != null
              ? there
              : GroupYear.of(
                  group,
                  stated.farm().groups(),
                  year,
                  catalogue.herd(),
                  Counted.of(records, group, year));
      g.barred = new boolean[fields.length];
      for (FieldPlan f : fields) {
        List<String> only = f.field.lie().onlyGroups();
        g.barred[fieldIndex.get(f.field.id())] |= !only.isEmpty() && !only.contains(group.id());
      }
      g.byEnergy = group.keeping().byEnergy() && group.flatIntakeKgPerHeadDay() == null;
      g.small = group.kind().startsWith("sheep") || group.kind().startsWith("goat");
      g.passes = resolvePasses(group.id(), fieldIndex);
      g.steps = resolveSteps(group.id(), fieldIndex, lotIndex);
      if (!stated.plan().bales().isEmpty()) {
        // the same animals on the same days stand in the same classes
        double[] before = there == null ? null : known.groups[resolved.size()].nitrogenSoon;
        g.nitrogenSoon = before == null ? nitrogenSoon(group, catalogue) : before;
      }
      resolved.add(g);
    }
    return resolved.toArray(GroupPlan[]::new);
  }

  private double[] nitrogenSoon(AnimalGroup group, Catalogue catalogue) {
    double[] soon = new double[days];
    for (int d = 0; d < days; d++) {
      AnimalClass is = GroupYear.classOn(group, d, year, catalogue.herd());
      soon[d] = is == null ? 0 : catalogue.herd().nutrients().of(is.id()).nSoonShare();
    }
    return soon;
  }

  private PassPlan[] resolvePasses(String groupId, Map<String, Integer> fieldIndex) {
    List<PassPlan> passes = new ArrayList<>();
    List<LightPass> planned = stated.plan().passes();
    for (int n = 0; n < planned.size(); n++) {
      LightPass pass = planned.get(n);
      if (pass.groupId().equals(groupId)) {
        PassPlan p = new PassPlan();
        p.number = n;
        p.field = fieldIndex.get(pass.fieldId());
        p.from = year.clippedStart(pass.fromInclusive());
        p.to = year.clippedEnd(pass.toExclusive());
        p.when = pass.whenKgPerHa();
        p.leave = pass.leaveKgPerHa();
        passes.add(p);
      }
    }
    return passes.toArray(PassPlan[]::new);
  }

  /** Closings as stated, those on exposed fields first: snow and storm lay them down. */
  private List<Closing> exposedFirst(Map<String, Integer> fieldIndex) {
    return stated.plan().closings().stream()
        .sorted(
            java.util.Comparator.comparing(
                c ->
                    fields[fieldIndex.get(c.fieldId())].field.lie().exposure()
                        != Lie.Exposure.EXPOSED))
        .toList();
  }

  /**
   * A group's steps as stated, with two kinds of its own: an opened stockpile after the last
   * grazing that stands before the first store step, and hay bought for the group at the very end.
   */
  private StepPlan[] resolveSteps(
      String groupId, Map<String, Integer> fieldIndex, Map<String, Integer> lotIndex) {
    List<StepPlan> steps = new ArrayList<>();
    int beforeStore = -1;
    for (FeedStep step : stated.plan().steps()) {
      if (step.groupId().equals(groupId)) {
        boolean graze = step.kind() == FeedStep.Kind.GRAZE;
        if (!graze && beforeStore < 0) {
          beforeStore = steps.size();
        }
        steps.add(resolve(step, graze ? fieldIndex : lotIndex));
      }
    }
    int at = beforeStore < 0 ? steps.size() : beforeStore;
    for (Closing c : exposedFirst(fieldIndex)) {
      if (c.grazedBy().contains(groupId)) {
        steps.add(
            at++,
            step(true, fieldIndex.get(c.fieldId()), c.toExclusive(), c.grazeUntilExclusive()));
      }
    }
    for (Purchase p : stated.plan().purchases()) {
      if (p.forGroups().contains(groupId)) {
        steps.add(step(false, lotIndex.get(p.lot().id()), p.date(), null));
      }
    }
    return steps.toArray(StepPlan[]::new);
  }

  private StepPlan step(
      boolean graze, int source, java.time.LocalDate from, java.time.LocalDate to) {
    StepPlan s = new StepPlan();
    s.graze = graze;
    s.sources = new int[] {source};
    ordered(s);
    s.from = year.clippedStart(from);
    s.to = year.clippedEnd(to);
    return s;
  }

  private StepPlan resolve(FeedStep step, Map<String, Integer> index) {
    StepPlan s = new StepPlan();
    s.graze = step.kind() == FeedStep.Kind.GRAZE;
    s.from = year.clippedStart(step.fromInclusive());
    s.to = year.clippedEnd(step.toExclusive());
    portion(s, step.portion());
    s.roundDays = step.roundDays() == null ? 0 : step.roundDays();
    s.anyLot = !s.graze && step.sourceIds().isEmpty();
    s.wholeStore = s.anyLot && lots.length > 1;
    s.sources =
        step.sourceIds().isEmpty()
            ? java.util.stream.IntStream.range(0, s.graze ? fields.length : lots.length).toArray()
            : step.sourceIds().stream().mapToInt(index::get).toArray();
    ordered(s);
    return s;
  }

  private static void portion(StepPlan s, Portion portion) {
    if (portion != null) {
      s.first = portion.bound() != Portion.Bound.AT_MOST;
      s.bounded = portion.bound() != Portion.Bound.AT_LEAST;
      s.share = portion.share() == null ? Double.NaN : portion.share();
      s.kgPerHeadDay = portion.kgPerHeadDay() == null ? Double.NaN : portion.kgPerHeadDay();
    }
  }

  private void ordered(StepPlan s) {
    s.has = new boolean[s.graze ? fields.length : 0];
    s.rank = new int[s.has.length];
    for (int i = 0; i < s.sources.length && s.graze; i++) {
      s.has[s.sources[i]] = true;
      s.rank[s.sources[i]] = i;
    }
  }
}
