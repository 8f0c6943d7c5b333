package wiselarder.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.LearningTimes;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Cuts;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Shapes;
import wiselarder.core.land.Wires;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.weather.Climate;
import wiselarder.core.winter.BreakWinter.Break;
import wiselarder.core.winter.BreakWinter.BreakCaution;
import wiselarder.core.winter.BreakWinter.DietWeek;
import wiselarder.core.winter.BreakWinter.Grazier;
import wiselarder.core.winter.BreakWinter.Pass;
import wiselarder.core.winter.BreakWinter.RampStep;
import wiselarder.core.winter.BreakWinter.Warning;

/** One field being given out into a year. */
final class BreakGiving {
  private static final double M2_PER_HA = 10_000;

  /** Longer than this on one break, and more is trodden in. Assumption, as for strips of bales. */
  private static final int LONG_DAYS = 4;

  /** Less of the ground than this left over is rounding, or a corner. */
  private static final double LEFT_OVER = 0.05;

  private final YearBalance year;
  private final BreakField breaks;
  private final Field field;
  private final int f;
  private final Geometry ground;
  private final Cuts cuts;
  private final Wires wires;
  private final BreakChecks checks;

  /** First day that is meant, and the one behind the last. */
  private final int begin;

  private final int end;

  /** Groups that graze there most on some day. */
  private final boolean[] mostly;

  BreakGiving(YearBalance year, Catalogue tables, BreakField breaks) {
    this.year = year;
    this.breaks = breaks;
    this.field = year.stated().field(breaks.fieldId());
    if (field.outline() == null) {
      throw new Refused(CoreReason.NO_OUTLINE, "breaks.fieldId", field.name());
    }
    this.f = year.stated().farm().fields().indexOf(field);
    this.ground = Shapes.left(field.outline(), 0, breaks.waterM());
    this.cuts = new Cuts(ground, breaks.towardsDeg());
    this.wires = new Wires(Shapes.polygon(field.outline().edge()));
    this.checks = new BreakChecks(field, breaks, tables, ground, cuts);
    this.begin = within(breaks.fromInclusive(), 0);
    this.end = within(breaks.toExclusive(), year.days());
    this.mostly = new boolean[year.stated().farm().groups().size()];
    for (int g = 0; g < mostly.length; g++) {
      for (int d = begin; d < end; d++) {
        mostly[g] |= year.onField(g, d) == f;
      }
    }
  }

  private int within(LocalDate date, int none) {
    return date == null ? none : Math.max(0, Math.min(year.days(), year.year().day(date)));
  }

  /** Days given together: [first day, day behind the last], and the ground so far, m2. */
  private record Given(int from, int to, double startM2, double endM2) {}

  BreakWinter given() {
    List<Given> all = days();
    List<Break> drawn = drawn(all);
    int from = all.isEmpty() ? -1 : all.get(0).from;
    int to = all.isEmpty() ? -1 : all.get(all.size() - 1).to;
    double eatenM2 = all.isEmpty() ? 0 : all.get(all.size() - 1).endM2;
    double eatenKg = 0;
    for (int d = Math.max(0, from); d < to; d++) {
      eatenKg += year.grazedKg(f, d);
    }
    List<Grazier> groups = groups(from, to);
    List<DietWeek> weeks = weeks(from, to);
    StandPlan learned = from < 0 ? null : learned(from);
    String feed = learned == null ? "" : year.resolved().feeds.get(learned.feed);
    return new BreakWinter(
        breaks.id(),
        Shapes.polygon(field.outline().edge()).getArea() / M2_PER_HA,
        cuts.areaM2() / M2_PER_HA,
        eatenM2 / M2_PER_HA,
        Shapes.rings(ground),
        drawn,
        date(from),
        date(to),
        eatenM2 > 0 ? eatenKg / (eatenM2 / M2_PER_HA) : 0,
        passes(all),
        weeks,
        groups,
        feed,
        learned == null ? List.of() : ramp(feed, learned),
        checks.better(),
        cautions(drawn, groups, weeks, eatenM2, learned != null));
  }

  /** A new break is given when the days of the last are over. */
  private List<Given> days() {
    List<Given> all = new ArrayList<>();
    double perHa = year.resolved().fields[f].areaHa;
    double m2 = 0;
    int start = -1;
    double startM2 = 0;
    int last = -1;
    for (int d = begin; d < end; d++) {
      double ha = year.breakHa(f, d);
      if (ha > 0) {
        if (start >= 0 && d - start >= breaks.daysEach()) {
          all.add(new Given(start, last + 1, startM2, m2));
          start = -1;
        }
        if (start < 0) {
          start = d;
          startM2 = m2;
        }
        m2 += ha / perHa * cuts.areaM2();
        last = d;
      }
    }
    if (start >= 0) {
      all.add(new Given(start, last + 1, startM2, m2));
    }
    return all;
  }

  private List<Break> drawn(List<Given> all) {
    List<Break> drawn = new ArrayList<>();
    for (int i = 0; i < all.size(); ) {
      int round = round(all.get(i));
      int to = i + 1;
      while (to < all.size() && to - i < breaks.blocks() && round(all.get(to)) == round) {
        to++;
      }
      drawn.addAll(strip(all.subList(i, to), round));
      i = to;
    }
    return drawn;
  }

  /**
   * Whether a group grazes there on a day. The year says where each group grazes most: on a day on
   * which that is elsewhere for all of them, it is who grazes there most on another.
   */
  private boolean on(int group, int day) {
    if (year.breakHa(f, day) <= 0) {
      return false;
    }
    boolean most = false;
    for (int g = 0; g < mostly.length; g++) {
      most |= year.onField(g, day) == f;
    }
    return most ? year.onField(group, day) == f : mostly[group] && year.onField(group, day) >= 0;
  }

  private List<Pass> passes(List<Given> all) {
    List<Pass> passes = new ArrayList<>();
    for (int i = 0; i < all.size(); ) {
      int round = round(all.get(i));
      double m2 = 0;
      double kg = 0;
      for (; i < all.size() && round(all.get(i)) == round; i++) {
        m2 += all.get(i).endM2 - all.get(i).startM2;
        for (int d = all.get(i).from; d < all.get(i).to; d++) {
          kg += year.grazedKg(f, d);
        }
      }
      passes.add(new Pass(round, m2 / M2_PER_HA, m2 > 0 ? kg / (m2 / M2_PER_HA) : 0));
    }
    return passes;
  }

  private List<DietWeek> weeks(int from, int to) {
    List<DietWeek> weeks = new ArrayList<>();
    for (int w = from; w >= 0 && w < to; w += WEEK) {
      week(w, Math.min(to, w + WEEK), weeks);
    }
    return weeks;
  }

  private void week(int from, int to, List<DietWeek> weeks) {
    double kg = 0;
    double here = 0;
    double proteinKg = 0;
    double tdnKg = 0;
    double proteinNeed = 0;
    double tdnNeed = 0;
    for (int d = from; d < to; d++) {
      double before = kg;
      for (int g = 0; g < mostly.length; g++) {
        if (on(g, d)) {
          kg += year.eatenKg(g, d);
          proteinKg += year.dietKg(g, d, Values.PROTEIN);
          tdnKg += year.dietKg(g, d, Values.TDN);
          proteinNeed = Math.max(proteinNeed, year.resolved().groups[g].year.proteinNeedPct(d));
          tdnNeed = Math.max(tdnNeed, year.resolved().groups[g].year.tdnNeedPct(d));
        }
      }
      here += kg > before ? year.grazedKg(f, d) : 0;
    }
    if (kg > 0) {
      weeks.add(
          new DietWeek(
              date(from),
              Math.min(1, here / kg),
              100 * proteinKg / kg,
              proteinNeed,
              100 * tdnKg / kg,
              tdnNeed));
    }
  }

  private static final int WEEK = 7;

  /** A break belongs to the round in which the most of it lies. */
  private int round(Given g) {
    return 1 + (int) Math.floor((g.startM2 + g.endM2) / 2 / cuts.areaM2());
  }

  /** Breaks side by side; one that reaches into the next round is drawn up to the end of this. */
  private List<Break> strip(List<Given> given, int round) {
    double before = (round - 1) * cuts.areaM2();
    double from = cuts.at(given.get(0).startM2 - before);
    double to = cuts.at(given.get(given.size() - 1).endM2 - before);
    List<List<Point>> behind = breaks.backFence() ? cuts.line(wires, from) : List.<List<Point>>of();
    List<List<Point>> ahead = cuts.line(wires, to);
    List<Break> all = new ArrayList<>();
    if (given.size() == 1) {
      all.add(one(given.get(0), round, cuts.between(from, to), ahead, behind));
      return all;
    }
    Geometry strip = cuts.between(from, to);
    Cuts across = new Cuts(strip, breaks.towardsDeg() + 90);
    Wires within = new Wires(strip);
    double startM2 = given.get(0).startM2;
    for (Given g : given) {
      double left = across.at(g.startM2 - startM2);
      double right = across.at(g.endM2 - startM2);
      List<List<Point>> wire = new ArrayList<>(ahead);
      wire.addAll(across.line(within, right));
      List<List<Point>> back = new ArrayList<>(behind);
      if (breaks.backFence()) {
        back.addAll(across.line(within, left));
      }
      all.add(one(g, round, across.between(left, right), wire, back));
    }
    return all;
  }

  private Break one(
      Given g, int round, Geometry piece, List<List<Point>> wire, List<List<Point>> behind) {
    double here = 0;
    double all = 0;
    double headDays = 0;
    int grazed = 0;
    for (int d = g.from; d < g.to; d++) {
      here += year.grazedKg(f, d);
      grazed += year.breakHa(f, d) > 0 ? 1 : 0;
      for (int group = 0; group < year.stated().farm().groups().size(); group++) {
        if (on(group, d)) {
          headDays += year.resolved().groups[group].year.head(d);
          all += year.eatenKg(group, d);
        }
      }
    }
    double perHead = headDays > 0 ? 1 / headDays : 0;
    return new Break(
        date(g.from),
        date(g.to),
        (g.endM2 - g.startM2) / M2_PER_HA,
        round,
        Shapes.rings(piece),
        wire,
        behind,
        grazed > 0 ? headDays / grazed : 0,
        here * perHead,
        Math.max(0, all - here) * perHead);
  }

  private List<Grazier> groups(int from, int to) {
    Map<Integer, int[]> days = new LinkedHashMap<>();
    for (int d = Math.max(0, from); d < to; d++) {
      for (int g = 0; g < year.stated().farm().groups().size(); g++) {
        if (on(g, d)) {
          int[] seen = days.computeIfAbsent(g, k -> new int[] {0, -1, 0});
          if (seen[1] < 0) {
            seen[0] = d;
          }
          seen[1] = d;
          seen[2]++;
        }
      }
    }
    List<Grazier> all = new ArrayList<>();
    days.forEach(
        (g, seen) -> {
          AnimalGroup group = year.stated().farm().groups().get(g);
          LocalDate birth =
              year.resolved().groups[g].year.births().stream()
                  .filter(b -> b[1] >= seen[0])
                  .map(b -> year.year().date(b[0]))
                  .findFirst()
                  .orElse(null);
          all.add(new Grazier(group.id(), date(seen[0]), date(seen[1]), seen[2], birth));
        });
    return all;
  }

  /** What stands there on a day, what was sown last first: a seedbed may have ended the others. */
  private Stream<StandPlan> stands(int day) {
    List<StandPlan> all = Arrays.asList(year.resolved().fields[f].stands.clone());
    Collections.reverse(all);
    return all.stream().filter(s -> s.arrives <= day && day < s.leaves);
  }

  /** What stands there and must be learned; null for none. */
  private StandPlan learned(int day) {
    return stands(day).filter(s -> s.feed >= 0).findFirst().orElse(null);
  }

  /** The table, no more than the feed itself bears for these stock. */
  private List<RampStep> ramp(String feed, StandPlan stand) {
    double most = stand.mostShareCattle;
    for (int g = 0; g < mostly.length; g++) {
      if (mostly[g] && year.resolved().groups[g].small) {
        most = Math.min(most, stand.mostShareSheep);
      }
    }
    List<RampStep> steps = new ArrayList<>();
    double before = -1;
    for (int d = 0; d < LAST_RAMP_DAY; d++) {
      double share = Math.min(most, year.resolved().learning.mostShare(feed, d));
      if (share != before) {
        steps.add(new RampStep(d + 1, share));
      }
      before = share;
    }
    return steps;
  }

  /** The table's last step begins before this day. */
  private static final int LAST_RAMP_DAY = 60;

  private int day(LocalDate date) {
    return year.year().day(date);
  }

  private LocalDate date(int day) {
    return day < 0 ? null : year.year().date(day);
  }

  private List<BreakCaution> cautions(
      List<Break> drawn,
      List<Grazier> groups,
      List<DietWeek> weeks,
      double eatenM2,
      boolean learned) {
    List<BreakCaution> all = new ArrayList<>();
    if (drawn.isEmpty()) {
      all.add(BreakChecks.told(Warning.NOT_GRAZED, 0, 0));
    }
    for (Grazier g : groups) {
      if (g.firstBirth() != null && bearsHere(g)) {
        all.add(new BreakCaution(Warning.BIRTHS, 0, 0, g.groupId(), g.firstBirth(), g.last()));
      }
    }
    checks.site(all);
    checks.order(all);
    if (breaks.daysEach() > LONG_DAYS) {
      all.add(BreakChecks.told(Warning.LONG_BREAKS, breaks.daysEach(), LONG_DAYS));
    }
    int spells = spells(drawn, learned ? all : new ArrayList<>());
    if (learned && spells > 1) {
      all.add(BreakChecks.told(Warning.COME_AND_GO, spells, 1));
    }
    int to = drawn.isEmpty() ? end : day(drawn.get(drawn.size() - 1).toExclusive());
    if (to < end && year.resolved().weather.snowShuts(to)) {
      all.add(new BreakCaution(Warning.SNOWED, 0, 0, "", date(to), null));
    }
    afterUseBy(drawn, all);
    if (!drawn.isEmpty()) {
      int from = day(drawn.get(0).from());
      Watering.Dry dry = Watering.dryDays(year, field, breaks.places(), from, to, this::on);
      if (dry.days() > 0) {
        all.add(BreakChecks.told(Warning.NO_WATER, dry.days(), dry.of()));
      }
    }
    int shortWeeks =
        (int) weeks.stream().filter(w -> w.proteinPct() < w.proteinNeedPct() - LITTLE_PCT).count();
    if (shortWeeks > 0) {
      all.add(BreakChecks.told(Warning.SHORT_OF_PROTEIN, shortWeeks, weeks.size()));
    }
    double left = 1 - eatenM2 / Math.max(1e-9, cuts.areaM2());
    if (!drawn.isEmpty() && left > LEFT_OVER) {
      all.add(BreakChecks.told(Warning.NOT_REACHED, left, 1));
    }
    if (breaks.written().said() < 3) {
      all.add(BreakChecks.told(Warning.NOT_WRITTEN, breaks.written().said(), 3));
    }
    return all;
  }

  /** Nobody measures protein closer than this, percent of DM. */
  private static final double LITTLE_PCT = 0.25;

  /** From the use-by day of what is kept there to spring, when new growth comes. */
  private void afterUseBy(List<Break> drawn, List<BreakCaution> all) {
    Climate climate = year.resolved().climate;
    OptionalInt frost = climate.firstDay(year.year(), climate.firstFrost().doy50());
    if (frost.isEmpty()) {
      return;
    }
    int spring = frost.getAsInt() + days(climate.firstFrost().doy50(), climate.lastFrost().doy50());
    for (Break b : drawn) {
      int day = day(b.from());
      double keeps = day < frost.getAsInt() || day >= spring ? Double.NaN : keepsDays(day);
      int after = day - frost.getAsInt();
      if (after > keeps) {
        all.add(new BreakCaution(Warning.AFTER_USE_BY, after, keeps, "", b.from(), null));
        return;
      }
    }
  }

  private static int days(int fromDoy, int toDoy) {
    return Math.floorMod(toDoy - fromDoy, 365);
  }

  /** How long what stands there keeps after a killing frost; NaN where the table does not say. */
  private double keepsDays(int day) {
    return stands(day)
        .mapToDouble(s -> s.forage.stockpileUseByDays())
        .findFirst()
        .orElse(Double.NaN);
  }

  /** Times that stock come and learn anew; where a hold keeps them off between, that is told. */
  private int spells(List<Break> drawn, List<BreakCaution> all) {
    int spells = drawn.isEmpty() ? 0 : 1;
    for (int i = 1; i < drawn.size(); i++) {
      LocalDate gone = drawn.get(i - 1).toExclusive();
      LocalDate back = drawn.get(i).from();
      if (back.isAfter(gone.plusDays(LearningTimes.FORGOTTEN_AFTER_DAYS))) {
        if (held(day(gone), day(back))) {
          all.add(new BreakCaution(Warning.HELD, 0, 0, "", gone, back.minusDays(1)));
        } else {
          spells++;
        }
      }
    }
    return spells;
  }

  /** Whether the field is shut by hand or by a caution on most days between. */
  private boolean held(int from, int to) {
    int days = 0;
    for (int d = from; d < to; d++) {
      days += year.resolved().holds.field(f, d) ? 1 : 0;
    }
    return 2 * days > to - from;
  }

  /** Whether it is on the field on a day on which some of it may give birth. */
  private boolean bearsHere(Grazier grazier) {
    List<AnimalGroup> all = year.stated().farm().groups();
    int g = all.stream().map(AnimalGroup::id).toList().indexOf(grazier.groupId());
    for (int[] b : year.resolved().groups[g].year.births()) {
      for (int d = Math.max(begin, b[0]); d < Math.min(end, b[1] + 1); d++) {
        if (year.onField(g, d) == f) {
          return true;
        }
      }
    }
    return false;
  }
}
