package wiselarder.core.winter;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.quantity.Refused;

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
 * @param passes what each time over the field gives
 * @param weeks of what those who graze there eat
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
    List<Pass> passes,
    List<DietWeek> weeks,
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
   * Once over the field.
   *
   * @param round 1 for the first
   * @param areaHa that it comes to; {@code eatenKgPerHa} what stock eat of a hectare of that
   */
  public record Pass(int round, double areaHa, double eatenKgPerHa) {}

  /**
   * All that those eat in a week who graze there, on the days on which they do.
   *
   * @param from the first of them
   * @param hereShare of it that is from this field
   * @param proteinPct of its dry matter, {@code tdnPct} likewise; needs are those of the neediest
   *     group on any of the days
   */
  public record DietWeek(
      LocalDate from,
      double hereShare,
      double proteinPct,
      double proteinNeedPct,
      double tdnPct,
      double tdnNeedPct) {}

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
     * A hold, as after frost, shuts it for so long that guts forget: from a day on, to the last.
     */
    HELD,
    /**
     * Snow shuts it from a day on, and stock do not come back to it before the last that is meant.
     */
    SNOWED,
    /** Days on which nobody says what stock drink there: value, of against. */
    NO_WATER,
    /**
     * What was kept is grazed after the day by which it should be: from a day on, value days after
     * the first killing frost; against the days that it keeps.
     */
    AFTER_USE_BY,
    /** Weeks in which the diet is short of protein: value, against all weeks. */
    SHORT_OF_PROTEIN,
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

  public BreakWinter {
    ground = List.copyOf(ground);
    breaks = List.copyOf(breaks);
    passes = List.copyOf(passes);
    weeks = List.copyOf(weeks);
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
    return breaks.stream().map(b -> new BreakGiving(year, tables, b).given()).toList();
  }
}
