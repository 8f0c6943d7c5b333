package wiselarder.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.bales.BaleGrid.Spot;
import wiselarder.core.herd.Nutrients;
import wiselarder.core.herd.Nutrients.LeftBehind;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.quantity.Refused;

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
 * @param pads middles of bales of other winters that are left alone
 * @param fittingMethodId way of feeding whose loss is that of bales which lie as long as these
 * @param mixture what it is to have bales of another lot among them; null where there are none
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
    List<Point> pads,
    String fittingMethodId,
    Mixture mixture,
    LocalDate from,
    LocalDate toExclusive,
    double lostShare,
    double headDaysPerHa,
    Nutrients broughtKgPerHa,
    LeftBehind leftKgPerHa,
    List<BaleCaution> cautions) {

  /**
   * Bales opened together.
   *
   * @param from day on which they are opened; null where the year does not come to them
   * @param toExclusive day on which the next are opened, or these are eaten up before
   * @param spots in the order of rows
   * @param wire before the bales that are still closed, until then
   * @param others places among the spots of those that are of the other lot
   * @param offeredDays for so many days what stock eat of it does, at the appetite of the first of
   *     them and with nothing beside; null where the year does not come to it
   * @param toTroughM from the middle of its bales to the nearest trough; null where none stands
   *     there
   */
  public record BaleSection(
      LocalDate from,
      LocalDate toExclusive,
      List<Spot> spots,
      List<List<Point>> wire,
      List<Integer> others,
      Double offeredDays,
      Double toTroughM) {}

  /**
   * Bales of two lots in a line.
   *
   * @param otherShare of the dry matter laid that is of the other lot
   * @param alone what the first lot is worth, {@code mixed} both together
   * @param proteinNeedPct what the neediest that eats there asks for at its neediest, {@code
   *     tdnNeedPct} likewise
   * @param groupIds who eats there
   */
  public record Mixture(
      double otherShare,
      Blend alone,
      Blend mixed,
      double proteinNeedPct,
      double tdnNeedPct,
      List<String> groupIds) {}

  /**
   * What a line of bales is worth.
   *
   * @param costPerTonneDm null where nothing of it is known
   */
  public record Blend(double proteinPct, double tdnPct, Double costPerTonneDm) {}

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
    MUCH_LOST,
    /** They are said to lie where they were made, and the lot is of a cut of another field. */
    MADE_ELSEWHERE,
    /** Days on which nobody says what stock drink there: value, of against. */
    NO_WATER,
    /** Share lost as the lot is fed: against; where bales lie as long as here: value. */
    LOSS_OTHERWISE,
    /** Bales of the other lot that the year opens while these last: value, against those laid. */
    MIXED_OTHERWISE
  }

  public record BaleCaution(Warning warning, double value, double against) {}

  public BaleWinter {
    ground = List.copyOf(ground);
    sections = List.copyOf(sections);
    pads = List.copyOf(pads);
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
      BaleWinter one = new BaleLaying(year, tables, b, takenBefore).laid();
      int others = b.others(one.laid);
      takenBefore.merge(b.lotId(), one.laid - others, Integer::sum);
      if (others > 0) {
        takenBefore.merge(b.mixed().lotId(), others, Integer::sum);
      }
      all.add(one);
    }
    return all;
  }
}
