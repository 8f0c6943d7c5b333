package wiselarder.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.forage.LearningTimes;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.Cuts;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.land.Shapes;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;

/**
 * How a field is fed off behind a wire through a year. What stock take down there each day over
 * what stands on a hectare is the ground that they are given that day; some days together are a
 * break. The breaks are drawn one behind the other across what the field has left beside water,
 * strips and hollows.
 *
 * @param id of the breaks in the plan
 * @param areaHa of the field as drawn; {@code netHa} of it is fed off
 * @param eatenHa ground that the year comes to; more than the net area where it comes round again
 * @param ground rings of what is fed off, outer and inner ones
 * @param from first day of grazing there; null where nobody does
 * @param toExclusive day after the last
 * @param eatenKgPerHa what stock eat from a hectare of it, kg DM
 * @param groups who grazes there
 * @param learnedAs feed that their guts must learn, as the table of learning times names it; empty
 *     where there is nothing to learn
 * @param ramp most of the diet that it may be, by days since the first
 * @param betterDeg direction that leads from the far side to the water, not uphill, to the nearest
 *     of twelve; without water the way that it runs off; null where neither is known
 */
public record BreakWinter(
    String id,
    double areaHa,
    double netHa,
    double eatenHa,
    List<List<Point>> ground,
    List<Break> breaks,
    LocalDate from,
    LocalDate toExclusive,
    double eatenKgPerHa,
    List<Grazier> groups,
    String learnedAs,
    List<RampStep> ramp,
    Double betterDeg,
    List<BreakCaution> cautions) {

  /**
   * Ground that is given together.
   *
   * @param toExclusive day on which the next is given, or stock are gone before
   * @param areaHa of it, on the ground as drawn
   * @param round 1 for the first time over the field, 2 for the second
   * @param rings around it
   * @param wire before what is still to come
   * @param behind back fence; none where there is nothing behind or none is wanted
   * @param head that graze it, on its first day
   * @param kgPerHead what one eats of it a day, kg DM, young with their dams
   * @param besideKgPerHead what one eats a day from elsewhere
   */
  public record Break(
      LocalDate from,
      LocalDate toExclusive,
      double areaHa,
      int round,
      List<List<Point>> rings,
      List<List<Point>> wire,
      List<List<Point>> behind,
      double head,
      double kgPerHead,
      double besideKgPerHead) {}

  /**
   * A group that grazes there.
   *
   * @param days on which it does
   * @param firstBirth first day of the births that begin next after its first day there; null for
   *     none
   */
  public record Grazier(
      String groupId, LocalDate from, LocalDate last, int days, LocalDate firstBirth) {}

  /** From a day on since the first, 1 on that day, no more than this share of the diet. */
  public record RampStep(int fromDay, double mostShare) {}

  /** What a keeper should know of it. */
  public enum Warning {
    /** Nobody grazes the field on the days that are meant. */
    NOT_GRAZED,
    /** Strip along water: value, against what the slope asks for, m. */
    NEAR_WATER,
    /** The first break lies nearer to water than the last: value, against that of the last, m. */
    FROM_WATER,
    /** The wire is moved uphill: value degrees off the way that water runs. */
    UPHILL,
    /** A group gives birth there: from its first births, against its last day there. */
    BIRTHS,
    /** Of who, shelter and wet weather, value are written of against. */
    NOT_WRITTEN,
    /** No site for winter feeding if any other is to be had: value degrees. */
    STEEP,
    /** A trough or feeder in a strip that was widened since: value, against the strip, m. */
    STANDS_AT_WATER,
    /** Longer on one break than the table of losses holds good for: value days. */
    LONG_BREAKS,
    /** They come and go, and what their guts have learned is forgotten between: value spells. */
    COME_AND_GO,
    /**
     * Snow shuts it from a day on, and stock do not come back to it before the last that is meant.
     */
    SNOWED,
    /** Share of the ground that the year does not come to: value. */
    NOT_REACHED
  }

  /**
   * One thing that is told.
   *
   * @param groupId empty where it is of none
   * @param on a day that it is about, {@code last} another; null for none
   */
  public record BreakCaution(
      Warning warning,
      double value,
      double against,
      String groupId,
      LocalDate on,
      LocalDate last) {}

  private static final double M2_PER_HA = 10_000;

  /** From the steepest class of the table of buffers. */
  private static final double STEEP_DEG = 16;

  /** Water counts as nearer only by more than this, m: closer than that no wire is set. */
  private static final double NEARER_M = 5;

  /** Longer than this on one break, and more is trodden in. Assumption, as for strips of bales. */
  private static final int LONG_DAYS = 4;

  /** Less of the ground than this left over is rounding, or a corner. */
  private static final double LEFT_OVER = 0.05;

  public BreakWinter {
    ground = List.copyOf(ground);
    breaks = List.copyOf(breaks);
    groups = List.copyOf(groups);
    ramp = List.copyOf(ramp);
    cautions = List.copyOf(cautions);
  }

  /**
   * Those of a plan, in its order.
   *
   * @param breaks in place of those that the year's plan has
   * @throws Refused where a field is not drawn
   */
  public static List<BreakWinter> of(YearBalance year, Catalogue tables, List<BreakField> breaks) {
    return breaks.stream().map(b -> new Giving(year, tables, b).given()).toList();
  }

  /** One field being given out into a year. */
  private static final class Giving {
    private final YearBalance year;
    private final Catalogue tables;
    private final BreakField breaks;
    private final Field field;
    private final int f;
    private final Geometry ground;
    private final Cuts cuts;

    /** First day that is meant, and the one behind the last. */
    private final int begin;

    private final int end;

    /** Groups that graze there most on some day. */
    private final boolean[] mostly;

    Giving(YearBalance year, Catalogue tables, BreakField breaks) {
      this.year = year;
      this.tables = tables;
      this.breaks = breaks;
      this.field = year.stated().field(breaks.fieldId());
      if (field.outline() == null) {
        throw new Refused(CoreReason.NO_OUTLINE, "breaks.fieldId", field.name());
      }
      this.f = year.stated().farm().fields().indexOf(field);
      this.ground = Shapes.left(field.outline(), 0, breaks.waterM());
      this.cuts = new Cuts(ground, breaks.towardsDeg());
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
          groups,
          feed,
          learned == null ? List.of() : ramp(feed, learned),
          better(),
          cautions(drawn, groups, eatenM2, learned != null));
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
     * Whether a group grazes there on a day. The year says where each group grazes most: on a day
     * on which that is elsewhere for all of them, it is who grazes there most on another.
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

    /** A break belongs to the round in which the most of it lies. */
    private int round(Given g) {
      return 1 + (int) Math.floor((g.startM2 + g.endM2) / 2 / cuts.areaM2());
    }

    /** Breaks side by side; one that reaches into the next round is drawn up to the end of this. */
    private List<Break> strip(List<Given> given, int round) {
      double before = (round - 1) * cuts.areaM2();
      double from = cuts.at(given.get(0).startM2 - before);
      double to = cuts.at(given.get(given.size() - 1).endM2 - before);
      Geometry field = Shapes.polygon(this.field.outline().edge());
      List<List<Point>> behind =
          breaks.backFence() ? cuts.line(field, from) : List.<List<Point>>of();
      List<List<Point>> ahead = cuts.line(field, to);
      List<Break> all = new ArrayList<>();
      if (given.size() == 1) {
        all.add(one(given.get(0), round, cuts.between(from, to), ahead, behind));
        return all;
      }
      Geometry strip = cuts.between(from, to);
      Cuts across = new Cuts(strip, breaks.towardsDeg() + 90);
      double startM2 = given.get(0).startM2;
      for (Given g : given) {
        double left = across.at(g.startM2 - startM2);
        double right = across.at(g.endM2 - startM2);
        List<List<Point>> wire = new ArrayList<>(ahead);
        wire.addAll(across.line(strip, right));
        List<List<Point>> back = new ArrayList<>(behind);
        if (breaks.backFence()) {
          back.addAll(across.line(strip, left));
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

    /** What stands there and must be learned; null for none. */
    private StandPlan learned(int day) {
      for (StandPlan s : year.resolved().fields[f].stands) {
        if (s.feed >= 0 && s.arrives <= day && day < s.leaves) {
          return s;
        }
      }
      return null;
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
        List<Break> drawn, List<Grazier> groups, double eatenM2, boolean learned) {
      List<BreakCaution> all = new ArrayList<>();
      if (drawn.isEmpty()) {
        all.add(told(Warning.NOT_GRAZED, 0, 0));
      }
      for (Grazier g : groups) {
        if (g.firstBirth != null && bearsHere(g)) {
          all.add(new BreakCaution(Warning.BIRTHS, 0, 0, g.groupId, g.firstBirth, g.last));
        }
      }
      site(all);
      order(all);
      if (breaks.daysEach() > LONG_DAYS) {
        all.add(told(Warning.LONG_BREAKS, breaks.daysEach(), LONG_DAYS));
      }
      int spells = spells(drawn);
      if (learned && spells > 1) {
        all.add(told(Warning.COME_AND_GO, spells, 1));
      }
      int to = drawn.isEmpty() ? end : day(drawn.get(drawn.size() - 1).toExclusive);
      if (to < end && year.resolved().weather.snowShuts(to)) {
        all.add(new BreakCaution(Warning.SNOWED, 0, 0, "", date(to), null));
      }
      double left = 1 - eatenM2 / Math.max(1e-9, cuts.areaM2());
      if (!drawn.isEmpty() && left > LEFT_OVER) {
        all.add(told(Warning.NOT_REACHED, left, 1));
      }
      if (breaks.written().said() < 3) {
        all.add(told(Warning.NOT_WRITTEN, breaks.written().said(), 3));
      }
      return all;
    }

    private static int spells(List<Break> drawn) {
      int spells = drawn.isEmpty() ? 0 : 1;
      for (int i = 1; i < drawn.size(); i++) {
        LocalDate forgotten =
            drawn.get(i - 1).toExclusive.plusDays(LearningTimes.FORGOTTEN_AFTER_DAYS);
        spells += drawn.get(i).from.isAfter(forgotten) ? 1 : 0;
      }
      return spells;
    }

    /** Whether it is on the field on a day on which some of it may give birth. */
    private boolean bearsHere(Grazier grazier) {
      List<AnimalGroup> all = year.stated().farm().groups();
      int g = all.stream().map(AnimalGroup::id).toList().indexOf(grazier.groupId);
      for (int[] b : year.resolved().groups[g].year.births()) {
        for (int d = Math.max(begin, b[0]); d < Math.min(end, b[1] + 1); d++) {
          if (year.onField(g, d) == f) {
            return true;
          }
        }
      }
      return false;
    }

    private static BreakCaution told(Warning warning, double value, double against) {
      return new BreakCaution(warning, value, against, "", null, null);
    }

    private List<Off> waters() {
      return field.outline().off().stream().filter(o -> o.kind().water()).toList();
    }

    /** What the slope asks for; a field of which no slope is stated counts as flat. */
    private void site(List<BreakCaution> all) {
      double slope = field.lie().slopeDeg() == null ? 0 : field.lie().slopeDeg();
      double wanted = BufferRule.bufferM(tables.buffers(), slope);
      waters().stream()
          .mapToDouble(o -> Math.max(o.bufferM(), breaks.waterM()))
          .filter(m -> m < wanted)
          .min()
          .ifPresent(m -> all.add(told(Warning.NEAR_WATER, m, wanted)));
      for (BreakField.StandsAt p : breaks.places()) {
        if (p.what() == BreakField.Stands.TROUGH || p.what() == BreakField.Stands.FEEDER) {
          waters().stream()
              .filter(o -> Shapes.distanceM(o, p.at()) < Math.max(wanted, o.bufferM()))
              .findFirst()
              .ifPresent(
                  o ->
                      all.add(
                          told(
                              Warning.STANDS_AT_WATER,
                              Shapes.distanceM(o, p.at()),
                              Math.max(wanted, o.bufferM()))));
        }
      }
      if (slope >= STEEP_DEG) {
        all.add(told(Warning.STEEP, slope, STEEP_DEG));
      }
    }

    /** From the far, high side towards the low side and the water. */
    private void order(List<BreakCaution> all) {
      if (!waters().isEmpty() && cuts.areaM2() > 0) {
        double first = toWater(end(cuts, true));
        double last = toWater(end(cuts, false));
        if (first < last - NEARER_M) {
          all.add(told(Warning.FROM_WATER, first, last));
        }
      }
      double angle = offDownhill(breaks.towardsDeg());
      if (angle > 90) {
        all.add(told(Warning.UPHILL, angle, 90));
      }
    }

    private Double better() {
      Double best = breaks.downhillDeg();
      if (waters().isEmpty() || cuts.areaM2() <= 0) {
        return best;
      }
      double most = NEARER_M;
      for (int deg = 0; deg < 360; deg += 30) {
        if (offDownhill(deg) <= 90) {
          Cuts that = new Cuts(ground, deg);
          double nearer = toWater(end(that, true)) - toWater(end(that, false));
          if (nearer > most) {
            most = nearer;
            best = (double) deg;
          }
        }
      }
      return best;
    }

    /** Degrees between a direction and the way that water runs off; 0 where nobody has said. */
    private double offDownhill(double deg) {
      if (breaks.downhillDeg() == null) {
        return 0;
      }
      double off = Math.abs(deg - breaks.downhillDeg()) % 360;
      return Math.min(off, 360 - off);
    }

    /** The first or the last tenth of the ground. */
    private static Geometry end(Cuts of, boolean first) {
      double tenth = of.areaM2() / 10;
      return first
          ? of.between(of.at(0), of.at(tenth))
          : of.between(of.at(9 * tenth), of.at(10 * tenth));
    }

    /** From the middle of a piece to the nearest water, m. */
    private double toWater(Geometry piece) {
      Coordinate middle = piece.getCentroid().getCoordinate();
      if (middle == null) {
        return 0;
      }
      Point at = new Point(middle.x, middle.y);
      return waters().stream().mapToDouble(o -> Shapes.distanceM(o, at)).min().orElse(0);
    }
  }
}
