package wiselarder.core.gap;

import java.util.List;

/**
 * A run of days on which feed falls short. Days are plan days, both ends inclusive. Where animals
 * are at risk it runs from the day they begin to lose to the day they lack most.
 *
 * @param shortDays days within the run that are short themselves; of animals at risk all on which
 *     they are too thin, also while they gain again
 * @param shortKg what is missing over the run: stored feed and bare for a grazing gap, bare alone
 *     for a store gap, kg DM; kg TDN, crude protein or water; for condition what each day lacks to
 *     the floor, kg live weight, summed over the days
 * @param animalUnitDays the same over the farm's animal unit; 0 where dry matter does not count
 * @param deepestDay day with the largest shortfall, {@code deepestKg} its size
 */
public record Gap(
    Kind kind,
    int firstDay,
    int lastDay,
    int shortDays,
    double shortKg,
    double animalUnitDays,
    int deepestDay,
    double deepestKg,
    List<GroupShare> groups,
    List<Cause> causes) {

  /** The same days and groups, where so much is left of it, kg DM. */
  public Gap with(double kg) {
    return new Gap(
        kind,
        firstDay,
        lastDay,
        shortDays,
        kg,
        animalUnitDays,
        deepestDay,
        deepestKg,
        groups,
        causes);
  }

  /** The same gap over other days. */
  public Gap over(int first, int last) {
    return new Gap(
        kind,
        first,
        last,
        shortDays,
        shortKg,
        animalUnitDays,
        deepestDay,
        deepestKg,
        groups,
        causes);
  }

  /** The same days, for these groups. */
  public Gap of(List<GroupShare> others) {
    return new Gap(
        kind,
        firstDay,
        lastDay,
        shortDays,
        shortKg,
        animalUnitDays,
        deepestDay,
        deepestKg,
        List.copyOf(others),
        causes);
  }

  /** What is short. */
  public enum Kind {
    /** Grazing does not meet the need: stored feed must be fed. */
    GRAZING,
    /** Nothing is left to feed either. */
    STORE,
    /** Feed enough, and too little energy in it. */
    ENERGY,
    /** Feed enough, and too little protein in it. */
    PROTEIN,
    /** Animals at risk: thinner than the floor. */
    CONDITION,
    /** Fields give less water than those that graze there drink. */
    WATER;

    /** True where dry matter is what counts. */
    public boolean isBulk() {
      return this == GRAZING || this == STORE;
    }

    /** True where what they eat is to be looked into. */
    public boolean isOfDiet() {
      return this == ENERGY || this == PROTEIN || this == CONDITION;
    }
  }

  /** What one group is short of, as the gap counts it. */
  public record GroupShare(String groupId, double shortKg) {}

  /**
   * One reason.
   *
   * @param subjects ids of fields or lots it concerns
   * @param value its measure: a share for DORMANT and SLUMP, a day for STORE_EMPTY, kg DM where
   *     nothing else is said
   */
  public record Cause(Code code, List<String> subjects, double value) {
    /** Why it is short. */
    public enum Code {
      /** Growth is under a tenth of its peak; value: share of the area. */
      DORMANT,
      /** Snow lies too deep to graze; value: share of the gap's days. */
      SNOW,
      /** Growth is under half of its peak; value: share of the area. */
      SLUMP,
      /** Fields are shut for stockpile. */
      SHUT,
      /** A caution holds fields shut. */
      HELD,
      /** Rented or seasonal fields are not there. */
      OUT_OF_USE,
      /** The store ran out; value: the day. */
      STORE_EMPTY,
      /** Stored feed is there and no order of feeds opens it; value: how much, kg DM. */
      STORE_NOT_OPENED,
      /** There was no stored feed at all. */
      NO_STORE,
      /** Feed stands on fields that are opened only once the store is empty; value: kg DM. */
      BEHIND_STORE,
      /** Feed stands on fields on which the rotation is held at a length; value: kg DM. */
      ROUND_HELD,
      /** Feed stands on fields that no order of feeds opens; value: what could be eaten, kg DM. */
      STANDS_UNUSED,
      /** What they eat holds so much; value: percent of TDN or protein in dry matter. */
      FEED_HOLDS,
      /** What it would have to hold; value: percent. */
      THEY_NEED,
      /** Cold raises what they need; value: share. */
      COLD,
      /** Young are nursed; value: share of the time. */
      NURSING,
      /** Thinner than the floor from then on; value: the day. */
      THIN_FROM,
      /** The last day of it in the plan; value: the day. */
      THIN_UNTIL,
      /** They have nothing to eat meanwhile; value: kg DM. */
      BARE,
      /** Thinnest condition; value: score. */
      LOWEST_SCORE,
      /** What they should not fall below; value: score. */
      FLOOR,
      /** From then on they would not live; value: the day. */
      WOULD_NOT_LIVE,
      /** Most that a field gives a day; value: litres. */
      FIELD_GIVES,
      /** Most that they drink there on a day; value: litres. */
      THEY_DRINK
    }
  }
}
