package wiselarder.core.winter;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.bales.BaleGrid;
import wiselarder.core.bales.BaleGrid.Spot;
import wiselarder.core.bales.BaleGround;
import wiselarder.core.bales.BaleSections;
import wiselarder.core.herd.AnimalClass;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.herd.NutrientTable.Kept;
import wiselarder.core.herd.Nutrients;
import wiselarder.core.herd.Nutrients.LeftBehind;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.StandsAt;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.store.LossMethod;
import wiselarder.core.winter.BaleWinter.BaleCaution;
import wiselarder.core.winter.BaleWinter.BaleSection;
import wiselarder.core.winter.BaleWinter.Blend;
import wiselarder.core.winter.BaleWinter.Mixture;
import wiselarder.core.winter.BaleWinter.Warning;

/** One field of bales being laid into a year. */
final class BaleLaying {
  /** Above this share lost it is told. Assumption: a quarter is twice the table's usual loss. */
  private static final double MUCH_LOST = 0.25;

  private final YearBalance year;
  private final Catalogue tables;
  private final BaleField bales;
  private final Field field;
  private final BaleUnits units;

  /** Of the other lot among them; null where there is none. */
  private final BaleUnits others;

  BaleLaying(
      YearBalance year, Catalogue tables, BaleField bales, Map<String, Integer> takenBefore) {
    this.year = year;
    this.tables = tables;
    this.bales = bales;
    this.field = year.stated().field(bales.fieldId());
    this.units = new BaleUnits(year, bales.lotId(), takenBefore);
    this.others =
        bales.mixed() == null ? null : new BaleUnits(year, bales.mixed().lotId(), takenBefore);
  }

  BaleWinter laid() {
    if (field.outline() == null) {
      throw new Refused(CoreReason.NO_OUTLINE, "bales.fieldId", field.name());
    }
    int first = units.day(0);
    LocalDate begins = year.year().date(Math.max(0, first));
    List<Point> pads = field.outline().padsLeftAlone(begins, bales.padWinters());
    BaleGround ground =
        BaleGround.of(field.outline(), field.name(), bales.edgeM(), bales.waterM(), pads);
    BaleGrid fits = BaleGrid.of(ground, bales.spacing());
    BaleGrid grid = fits.first(bales.bales(), bales.fromLast());
    int laid = grid.spots().size();
    BaleSections sections =
        BaleSections.of(ground, bales.spacing(), grid, counts(laid), bales.fromLast());
    int laidOthers = bales.others(laid);
    int opened = units.opened(laid - laidOthers);
    int from = day(0, laid);
    int to = opened == 0 ? -1 : eatenUpBy(from, day(laid, laid));
    int openedOthers = others == null ? 0 : openedOthers(laidOthers, from, to);
    double usedHa = Math.min(ground.netHa(), bales.spacing().askHa(laid));
    double perHa = usedHa > 0 ? 1 / usedHa : 0;
    Fed fed = fed(opened, openedOthers, from, to);
    List<BaleSection> dated = days(sections, laid);
    LossMethod fitting = fitting(dated);
    double lost = fed.broughtKg > 0 ? Math.max(0, 1 - fed.eatenKg / fed.broughtKg) : 0;
    List<BaleCaution> cautions =
        cautions(fits.spots().size(), laid, opened, openedOthers, fed.headDays * perHa, lost);
    LossMethod stated = units.plan().feeding;
    if (opened > 0 && !fitting.equals(stated)) {
      cautions.add(new BaleCaution(Warning.LOSS_OTHERWISE, fitting.share(), stated.share()));
    }
    if (bales.asMade() && madeElsewhere()) {
      cautions.add(new BaleCaution(Warning.MADE_ELSEWHERE, 0, 0));
    }
    Watering.Dry dry =
        Watering.dryDays(
            year,
            field,
            bales.places(),
            from,
            to,
            (g, d) -> year.groupLotEatenKg(g, units.lot, d) > 0);
    if (dry.days() > 0) {
      cautions.add(new BaleCaution(Warning.NO_WATER, dry.days(), dry.of()));
    }
    return new BaleWinter(
        bales.id(),
        ground.areaHa(),
        ground.netHa(),
        bales.spacing().askHa(bales.bales()),
        usedHa,
        ground.rings(),
        fits.spots().size(),
        laid,
        opened + openedOthers,
        dated,
        pads,
        fitting.id(),
        others == null || laidOthers == 0 ? null : mixture(laid, laidOthers, from, to),
        date(from),
        date(to),
        lost,
        fed.headDays * perHa,
        fed.brought.times(perHa),
        fed.left.times(perHa),
        cautions);
  }

  /**
   * The way of feeding whose loss is that of bales which lie so long: the lot's own where that is
   * one of these and near enough.
   */
  private LossMethod fitting(List<BaleSection> sections) {
    double days =
        sections.stream()
            .filter(s -> s.from() != null)
            .mapToLong(s -> ChronoUnit.DAYS.between(s.from(), s.toExclusive()))
            .average()
            .orElse(0);
    LossMethod stated = units.plan().feeding;
    int at = LIES.indexOf(stated.id());
    if (at >= 0
        && days >= (at == 0 ? 0 : LIES_TO_DAYS[at - 1] - NEAR_DAYS)
        && days <= LIES_TO_DAYS[at] + NEAR_DAYS) {
      return stated;
    }
    int fits = 0;
    while (days > LIES_TO_DAYS[fits]) {
      fits++;
    }
    return tables.loss("bales.lotId", LIES.get(fits), LossMethod.Stage.FEEDING);
  }

  /** Rows of the table of losses for bales on the ground, and up to how many days each is for. */
  private static final List<String> LIES =
      List.of("f_bale_graze_1d", "f_bale_graze_2d", "f_bale_graze_3_4d", "f_bale_graze_7d");

  private static final double[] LIES_TO_DAYS = {1.5, 2.5, 5.5, Double.MAX_VALUE};

  /** With another loss they lie a little longer or shorter: that alone is no reason to change. */
  private static final double NEAR_DAYS = 0.75;

  /** Where hay of before the plan was made nobody says but in words. */
  private boolean madeElsewhere() {
    return year.stated().plan().cuts().stream()
        .anyMatch(c -> c.lot().id().equals(bales.lotId()) && !c.fieldId().equals(bales.fieldId()));
  }

  /** What is brought onto the ground, eaten and left there. */
  private record Fed(
      double broughtKg, double eatenKg, double headDays, Nutrients brought, LeftBehind left) {}

  private Fed fed(int opened, int openedOthers, int from, int to) {
    double broughtKg = 0;
    double eatenKg = 0;
    double headDays = 0;
    Nutrients brought = Nutrients.NONE;
    LeftBehind left = new LeftBehind(Nutrients.NONE, Nutrients.NONE, 0);
    for (BaleUnits of : kinds()) {
      double kg = 0;
      double eaten = 0;
      for (int n = 0; n < (of == units ? opened : openedOthers); n++) {
        kg += of.unitKg(of.day(n));
      }
      for (int d = from; from >= 0 && d < to; d++) {
        for (int g = 0; g < year.stated().farm().groups().size(); g++) {
          double ate = year.groupLotEatenKg(g, of.lot, d);
          if (ate > 0) {
            eaten += ate;
            boolean counted = of != units && year.groupLotEatenKg(g, units.lot, d) > 0;
            headDays += counted ? 0 : year.resolved().groups[g].year.head(d);
            left = left.plus(Nutrients.left(of.in(ate, tables), Nutrients.NONE, kept(g, d)));
          }
        }
      }
      Nutrients refused = of.in(Math.max(0, kg - eaten), tables);
      left = left.plus(new LeftBehind(refused, refused, 0));
      brought = brought.plus(of.in(kg, tables));
      broughtKg += kg;
      eatenKg += eaten;
    }
    return new Fed(broughtKg, eatenKg, headDays, brought, left);
  }

  private List<BaleUnits> kinds() {
    return others == null ? List.of(units) : List.of(units, others);
  }

  /** Of the other lot the year opens as many as its orders of feeds ask for in that time. */
  private int openedOthers(int laid, int from, int to) {
    int opened = 0;
    for (int n = 0; n < laid; n++) {
      int day = others.day(n);
      opened += day >= from && day >= 0 && day < to ? 1 : 0;
    }
    return opened;
  }

  private Mixture mixture(int laid, int laidOthers, int from, int to) {
    double kg = (laid - laidOthers) * units.plan().kgPerUnit;
    double otherKg = laidOthers * others.plan().kgPerUnit;
    double share = otherKg / (kg + otherKg);
    double cost = (laid - laidOthers) * units.costPerUnit();
    Blend alone = units.blend(1000 * cost / kg);
    double both = 1000 * (cost + laidOthers * others.costPerUnit()) / (kg + otherKg);
    Blend other = others.blend(Double.NaN);
    double protein = 0;
    double tdn = 0;
    List<String> eaters = new ArrayList<>();
    for (int g = 0; g < year.stated().farm().groups().size(); g++) {
      boolean eats = false;
      for (int d = from; from >= 0 && d < to; d++) {
        if (year.groupLotEatenKg(g, units.lot, d) > 0) {
          eats = true;
          protein = Math.max(protein, year.resolved().groups[g].year.proteinNeedPct(d));
          tdn = Math.max(tdn, year.resolved().groups[g].year.tdnNeedPct(d));
        }
      }
      if (eats) {
        eaters.add(year.stated().farm().groups().get(g).id());
      }
    }
    return new Mixture(
        share,
        alone,
        new Blend(
            alone.proteinPct() + share * (other.proteinPct() - alone.proteinPct()),
            alone.tdnPct() + share * (other.tdnPct() - alone.tdnPct()),
            Double.isNaN(both) ? null : both),
        protein,
        tdn,
        eaters);
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
   * The day on which the bales from a place on are opened, told by the first lot's, -1 where the
   * year does not come to them; past the last one the day on which they are eaten up.
   */
  private int day(int place, int laid) {
    int day = units.day(place - bales.others(place));
    return day >= 0 || place < laid || laid == 0 ? day : units.lastEaten + 1;
  }

  private List<BaleSection> days(BaleSections sections, int laid) {
    List<BaleSection> all = new ArrayList<>();
    int at = 0;
    for (BaleSections.Section s : sections.sections()) {
      int from = day(at, laid);
      List<Integer> other = new ArrayList<>();
      for (int i = 0; i < s.spots().size(); i++) {
        if (bales.other(at + i)) {
          other.add(i);
        }
      }
      at += s.spots().size();
      int next = day(at, laid);
      LocalDate to = from < 0 ? null : date(eatenUpBy(from, next < 0 ? units.lastEaten + 1 : next));
      all.add(
          new BaleSection(
              date(from),
              to,
              s.spots(),
              s.wire(),
              other,
              from < 0 ? null : offeredDays(from, s.spots().size() - other.size(), other.size()),
              toTroughM(s.spots())));
    }
    return all;
  }

  /** At the appetite of all that eat of the first lot on the first day from then on that any do. */
  private Double offeredDays(int opened, int own, int other) {
    int day = opened;
    while (day < year.days() && year.lotEatenKg(units.lot, day) <= 0) {
      day++;
    }
    if (day == year.days()) {
      return null;
    }
    double need = 0;
    double usable = 0;
    for (int g = 0; g < year.stated().farm().groups().size(); g++) {
      if (year.groupLotEatenKg(g, units.lot, day) > 0) {
        need += year.needKg(g, day);
      }
    }
    for (BaleUnits of : kinds()) {
      LotPlan l = of.plan();
      double unitKg = of.unitKg(day);
      double byTable = l.feeding.shareWhenUnitLasts(unitKg / need);
      double loss = l.records == null ? byTable : l.records.leftShare(day, byTable);
      usable += (of == units ? own : other) * unitKg * (1 - l.lostAtOpening) * (1 - loss);
    }
    return usable / need;
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
    while (end > from + 1 && year.lotEatenKg(units.lot, end - 1) <= 0) {
      end--;
    }
    return end;
  }

  private LocalDate date(int day) {
    return day < 0 ? null : year.year().date(day);
  }

  private Kept kept(int group, int day) {
    AnimalClass is =
        GroupYear.classOn(
            year.stated().farm().groups().get(group), day, year.year(), tables.herd());
    return tables.herd().nutrients().of(is.id());
  }

  private List<BaleCaution> cautions(
      int fits, int laid, int opened, int openedOthers, double headDaysPerHa, double lost) {
    List<BaleCaution> all = new ArrayList<>();
    if (bales.bales() > fits) {
      all.add(new BaleCaution(Warning.TOO_MANY, bales.bales() - fits, fits));
    }
    int own = laid - bales.others(laid);
    if (units.openedOn.isEmpty()) {
      all.add(new BaleCaution(Warning.NOT_FED, 0, 0));
    } else if (opened < own) {
      all.add(new BaleCaution(Warning.STAY_CLOSED, own - opened, own));
    }
    int meant = others == null ? 0 : opened / (bales.mixed().every() - 1);
    if (meant > 0 && Math.abs(openedOthers - meant) > 1 + meant / 5) {
      all.add(new BaleCaution(Warning.MIXED_OTHERWISE, openedOthers, meant));
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
