package wiselarder.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.bales.BaleGrid;
import wiselarder.core.bales.BaleGrid.Spot;
import wiselarder.core.bales.BaleGround;
import wiselarder.core.bales.BaleSections;
import wiselarder.core.herd.AnimalClass;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.StandsAt;
import wiselarder.core.quantity.Refused;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;
import wiselarder.core.winter.Nutrients.LeftBehind;

/**
 * How bales that are set out on a field go through a year: where they stand, on which day each
 * section is opened, and what they leave. The days are those on which the year opens bales of the
 * lot, one after the other, so that what is opened there is what the plan takes from the store.
 *
 * @param id of the bales in the plan
 * @param areaHa of the field; {@code netHa} of it may carry bales, {@code askedHa} is what so many
 *     bales ask for at their spacing, {@code usedHa} what those that stand there take
 * @param ground rings of the ground that may carry them, outer and inner ones
 * @param fits bales that have room, {@code laid} those that stand there, {@code opened} those that
 *     the year opens
 * @param from first day; null where the year opens none of them
 * @param toExclusive day on which the last of them is eaten up or the plan ends
 * @param lostShare of what is opened that nobody eats
 * @param headDaysPerHa days of one head on a hectare of what they take
 * @param broughtKgPerHa nutrients brought onto it; {@code left} what stays, with soon that which
 *     the next season's growth may find; kg/ha of the same
 */
public record BaleWinter(
    String id,
    double areaHa,
    double netHa,
    double askedHa,
    double usedHa,
    List<List<Point>> ground,
    int fits,
    int laid,
    int opened,
    List<BaleSection> sections,
    LocalDate from,
    LocalDate toExclusive,
    double lostShare,
    double headDaysPerHa,
    Nutrients broughtKgPerHa,
    LeftBehind leftKgPerHa,
    List<BaleCaution> cautions) {

  /** Above this share lost it is told. Assumption: a quarter is twice the table's usual loss. */
  private static final double MUCH_LOST = 0.25;

  /** Potassium where nobody says what feed it is, percent of DM; common grass hay. Assumption. */
  private static final double COMMON_K_PCT = 2.0;

  private static final NutrientTable TABLE = NutrientTable.load();

  /**
   * Bales opened together.
   *
   * @param from day on which they are opened; null where the year does not come to them
   * @param toExclusive day on which the next are opened, or these are eaten up before
   * @param spots in the order of rows
   * @param wire before the bales that are still closed, until then
   * @param toTroughM from the middle of its bales to the nearest trough; null where none stands
   *     there
   */
  public record BaleSection(
      LocalDate from,
      LocalDate toExclusive,
      List<Spot> spots,
      List<List<Point>> wire,
      Double toTroughM) {}

  /** What a keeper should know of it. */
  public enum Warning {
    /** More bales than have room: value that have none, against what has. */
    TOO_MANY,
    /** The year takes nothing from the lot. */
    NOT_FED,
    /** Bales that the year does not come to: value. */
    STAY_CLOSED,
    /** Head-days on a hectare: value, against the most that is wanted. */
    OVER_LIMIT,
    /** Strip along water: value, against what the slope asks for, m. */
    NEAR_WATER,
    /** No site for bales if any other is to be had: value degrees. */
    STEEP,
    /** Share that nobody eats: value. */
    MUCH_LOST
  }

  public record BaleCaution(Warning warning, double value, double against) {}

  public BaleWinter {
    ground = List.copyOf(ground);
    sections = List.copyOf(sections);
    cautions = List.copyOf(cautions);
  }

  /**
   * Those of a plan, in its order.
   *
   * @param bales in place of those that the year's plan has
   * @throws Refused where a field is not drawn
   */
  public static List<BaleWinter> of(YearBalance year, Catalogue tables, List<BaleField> bales) {
    Map<String, Integer> takenBefore = new HashMap<>();
    List<BaleWinter> all = new ArrayList<>();
    for (BaleField b : bales) {
      int before = takenBefore.getOrDefault(b.lotId(), 0);
      BaleWinter one = new Laying(year, tables, b, before).laid();
      takenBefore.put(b.lotId(), before + one.laid);
      all.add(one);
    }
    return all;
  }

  /** One field of bales being laid into a year. */
  private static final class Laying {
    private final YearBalance year;
    private final Catalogue tables;
    private final BaleField bales;
    private final Field field;
    private final int lot;
    private final int before;

    /** Day on which each unit of the lot is opened, in that order. */
    private final List<Integer> openedOn = new ArrayList<>();

    private int lastEaten = -1;

    Laying(YearBalance year, Catalogue tables, BaleField bales, int before) {
      this.year = year;
      this.tables = tables;
      this.bales = bales;
      this.before = before;
      this.field = year.stated().field(bales.fieldId());
      this.lot = year.stated().allLots().stream().map(Lot::id).toList().indexOf(bales.lotId());
      for (int d = 0; d < year.days(); d++) {
        for (int n = year.lotOpened(lot, d); n > 0; n--) {
          openedOn.add(d);
        }
        lastEaten = year.lotEatenKg(lot, d) > 0 ? d : lastEaten;
      }
    }

    BaleWinter laid() {
      BaleGround ground =
          BaleGround.of(field.outline(), field.name(), bales.edgeM(), bales.waterM());
      BaleGrid fits = BaleGrid.of(ground, bales.spacing());
      BaleGrid grid = fits.first(bales.bales(), bales.fromLast());
      int laid = grid.spots().size();
      BaleSections sections =
          BaleSections.of(ground, bales.spacing(), grid, counts(laid), bales.fromLast());
      int opened = Math.max(0, Math.min(laid, openedOn.size() - before));
      int from = day(0, laid);
      int to = opened == 0 ? -1 : eatenUpBy(from, day(laid, laid));
      double usedHa = Math.min(ground.netHa(), bales.spacing().askHa(laid));
      double perHa = usedHa > 0 ? 1 / usedHa : 0;
      Nutrients brought = Nutrients.NONE;
      double broughtKg = 0;
      for (int n = before; n < before + opened; n++) {
        double kg = unitKg(openedOn.get(n));
        broughtKg += kg;
        brought = brought.plus(in(kg));
      }
      double eatenKg = 0;
      double headDays = 0;
      LeftBehind left = new LeftBehind(Nutrients.NONE, Nutrients.NONE, 0);
      for (int d = from; from >= 0 && d < to; d++) {
        for (int g = 0; g < year.stated().farm().groups().size(); g++) {
          double kg = year.groupLotEatenKg(g, lot, d);
          if (kg > 0) {
            eatenKg += kg;
            headDays += year.resolved().groups[g].year.head(d);
            left = left.plus(Nutrients.left(in(kg), Nutrients.NONE, kept(g, d)));
          }
        }
      }
      Nutrients refused = in(Math.max(0, broughtKg - eatenKg));
      left = left.plus(new LeftBehind(refused, refused, 0));
      double lost = broughtKg > 0 ? Math.max(0, 1 - eatenKg / broughtKg) : 0;
      return new BaleWinter(
          bales.id(),
          ground.areaHa(),
          ground.netHa(),
          bales.spacing().askHa(bales.bales()),
          usedHa,
          ground.rings(),
          fits.spots().size(),
          laid,
          opened,
          days(sections, laid),
          date(from),
          date(to),
          lost,
          headDays * perHa,
          brought.times(perHa),
          left.times(perHa),
          cautions(fits.spots().size(), laid, opened, headDays * perHa, lost));
    }

    private List<Integer> counts(int laid) {
      List<Integer> counts = new ArrayList<>();
      for (int sum = 0; sum < laid; ) {
        counts.add(bales.count(counts.size()));
        sum += counts.get(counts.size() - 1);
      }
      return counts;
    }

    /**
     * The day on which a bale is opened by its place among those laid, -1 where the year does not
     * come to it; past the last one the day on which they are eaten up.
     */
    private int day(int place, int laid) {
      int unit = before + place;
      if (unit < openedOn.size()) {
        return openedOn.get(unit);
      }
      return place < laid || laid == 0 ? -1 : lastEaten + 1;
    }

    private List<BaleSection> days(BaleSections sections, int laid) {
      List<BaleSection> all = new ArrayList<>();
      int at = 0;
      for (BaleSections.Section s : sections.sections()) {
        int from = day(at, laid);
        at += s.spots().size();
        int next = day(at, laid);
        LocalDate to = from < 0 ? null : date(eatenUpBy(from, next < 0 ? lastEaten + 1 : next));
        all.add(new BaleSection(date(from), to, s.spots(), s.wire(), toTroughM(s.spots())));
      }
      return all;
    }

    private Double toTroughM(List<Spot> spots) {
      double east = spots.stream().mapToDouble(p -> p.at().eastM()).average().orElse(0);
      double north = spots.stream().mapToDouble(p -> p.at().northM()).average().orElse(0);
      return bales.places().stream()
          .filter(p -> p.what() == StandsAt.Stands.TROUGH)
          .map(p -> Math.hypot(p.at().eastM() - east, p.at().northM() - north))
          .min(Double::compare)
          .orElse(null);
    }

    /** Stock may go back to grass for months before the next are opened. */
    private int eatenUpBy(int from, int next) {
      int end = next;
      while (end > from + 1 && year.lotEatenKg(lot, end - 1) <= 0) {
        end--;
      }
      return end;
    }

    private LocalDate date(int day) {
      return day < 0 ? null : year.year().date(day);
    }

    /** Dry matter of a bale as it is opened, its crust included, kg. */
    private double unitKg(int day) {
      LotPlan l = year.resolved().lots[lot];
      return l.kgPerUnit * Math.pow(l.keptPerDay, Math.max(0, day - Math.max(0, l.arrives)));
    }

    private Nutrients in(double kg) {
      LotPlan l = year.resolved().lots[lot];
      String feedId = l.lot.origin().feedId();
      double k =
          tables.storedFeeds().stream()
              .filter(f -> f.id().equals(feedId))
              .mapToDouble(StoredFeed::potassiumPct)
              .findFirst()
              .orElse(COMMON_K_PCT);
      double cutAt = year.lotProteinPct(lot);
      double protein = Double.isNaN(cutAt) ? l.worth[PROTEIN] : cutAt;
      return Nutrients.in(kg, protein, l.worth[PHOSPHORUS], k);
    }

    private static final int PROTEIN = 0;
    private static final int PHOSPHORUS = 4;

    private NutrientTable.Kept kept(int group, int day) {
      AnimalClass is =
          GroupYear.classOn(
              year.stated().farm().groups().get(group), day, year.year(), tables.herd());
      return TABLE.of(is.id());
    }

    private List<BaleCaution> cautions(
        int fits, int laid, int opened, double headDaysPerHa, double lost) {
      List<BaleCaution> all = new ArrayList<>();
      if (bales.bales() > fits) {
        all.add(new BaleCaution(Warning.TOO_MANY, bales.bales() - fits, fits));
      }
      if (openedOn.isEmpty()) {
        all.add(new BaleCaution(Warning.NOT_FED, 0, 0));
      } else if (opened < laid) {
        all.add(new BaleCaution(Warning.STAY_CLOSED, laid - opened, laid));
      }
      Double most = bales.mostHeadDaysPerHa();
      if (most != null && headDaysPerHa > most) {
        all.add(new BaleCaution(Warning.OVER_LIMIT, headDaysPerHa, most));
      }
      site(all);
      if (lost > MUCH_LOST) {
        all.add(new BaleCaution(Warning.MUCH_LOST, lost, MUCH_LOST));
      }
      return all;
    }

    /** What the slope and the water say; a field of which no slope is stated counts as flat. */
    private void site(List<BaleCaution> all) {
      double slope = field.lie().slopeDeg() == null ? 0 : field.lie().slopeDeg();
      if (slope >= STEEP_DEG) {
        all.add(new BaleCaution(Warning.STEEP, slope, STEEP_DEG));
      }
      double wanted = BufferRule.bufferM(tables.buffers(), slope);
      field.outline().off().stream()
          .filter(o -> o.kind().water())
          .mapToDouble(o -> Math.max(o.bufferM(), bales.waterM()))
          .filter(m -> m < wanted)
          .min()
          .ifPresent(m -> all.add(new BaleCaution(Warning.NEAR_WATER, m, wanted)));
    }

    /** From the steepest class of the table of buffers. */
    private static final double STEEP_DEG = 16;
  }
}
