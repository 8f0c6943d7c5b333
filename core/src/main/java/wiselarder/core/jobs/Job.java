package wiselarder.core.jobs;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.plan.Thing;

/**
 * Something to be done.
 *
 * @param key its own, the same however often the jobs are reckoned anew: kind, what it is of, and
 *     the year in which the plan begins
 * @param of what it is about, as the keeper calls it: a field, a lot, a group
 * @param with what else it names: a forage, groups, a price; empty for none
 * @param day on which it is planned; {@code earliest} the first day on which it can be done, {@code
 *     latest} the last on which it still does what it is for
 * @param wanted the day from which it is counted back; null where it is its own
 * @param hours of one person; 0 where nobody knows
 * @param figures with their meaning
 * @param thing of the plan that it dates, with {@code itemId}; null where it dates none
 */
public record Job(
    String key,
    Kind kind,
    String of,
    String with,
    String fieldId,
    LocalDate earliest,
    LocalDate day,
    LocalDate latest,
    LocalDate wanted,
    double hours,
    List<Figure> figures,
    Thing thing,
    String itemId) {

  /** What is done. */
  public enum Kind {
    SHUT(Who.KEEPER),
    GRAZE_SHORT(Who.KEEPER),
    OPEN(Who.KEEPER),
    OFF(Who.KEEPER),
    TEST_SOIL(Who.KEEPER),
    ORDER_SEED(Who.KEEPER),
    FALLOW(Who.MACHINES),
    SPRAY(Who.MACHINES),
    BURN(Who.KEEPER),
    DISK(Who.MACHINES),
    SEEDBED(Who.MACHINES),
    SOW(Who.MACHINES),
    FIRST_USE(Who.KEEPER),
    LAST_USE(Who.KEEPER),
    TERMINATE(Who.MACHINES),
    CATCH_CROP(Who.MACHINES),
    ORDER_NITROGEN(Who.KEEPER),
    NITROGEN(Who.MACHINES),
    WATER(Who.KEEPER),
    LIGHT_PASS(Who.KEEPER),
    CUT(Who.MACHINES),
    COUNT_BALES(Who.KEEPER),
    TAKE_SAMPLE(Who.KEEPER),
    BUY(Who.KEEPER),
    OPEN_RESERVE(Who.KEEPER),
    SET_OUT(Who.MACHINES),
    /** Bales of a section, the wire moved behind them. */
    OPEN_BALES(Who.KEEPER),
    /** The wire moved on to the next break of a field. */
    GIVE_BREAK(Who.KEEPER),
    STRINGS_OFF(Who.KEEPER),
    MARK_PADS(Who.KEEPER),
    SPREAD_PADS(Who.MACHINES),
    OFF_CROP(Who.KEEPER),
    FIRST_BIRTH(Who.KEEPER),
    CONDITION(Who.KEEPER),
    WEAN(Who.KEEPER),
    SELL(Who.KEEPER),
    BUY_STOCK(Who.KEEPER),
    SEND_AWAY(Who.KEEPER),
    FETCH_BACK(Who.KEEPER),
    MOVE_GROUP(Who.KEEPER),
    /** Something that a caution asks for before feed is used. */
    CAUTION(Who.KEEPER),
    /** A rung of the drought plan is looked at. */
    RUNG(Who.KEEPER),
    /** The keeper's own. */
    OWN(Who.KEEPER);

    private final Who who;

    Kind(Who who) {
      this.who = who;
    }

    public Who who() {
      return who;
    }
  }

  /** Who can do it. */
  public enum Who {
    /** The keeper, or whoever helps. */
    KEEPER,
    /** Whoever has the machine: the keeper or a contractor. */
    MACHINES
  }

  /** What a figure means. */
  public enum What {
    KG_N_PER_HA,
    KG_N,
    /** What the year's growth of the field takes up, from soil, clover and bag together. */
    KG_N_TAKEN_UP_PER_HA,
    SEED_KG,
    HA,
    UNITS,
    KG_DM,
    MM,
    HEAD,
    HEIGHT_CM,
    /** Of the year's nitrogen that clover brings, percent. */
    CLOVER_PERCENT,
    KG_DM_PER_HA,
    PERCENT,
    KG_DM_PER_HA_DAY
  }

  /** A number with its meaning. */
  public record Figure(What what, double value) {}

  public Job {
    figures = List.copyOf(figures);
  }

  /** A figure of it, or NaN. */
  public double figure(What what) {
    return figures.stream()
        .filter(f -> f.what == what)
        .mapToDouble(Figure::value)
        .findFirst()
        .orElse(Double.NaN);
  }
}
