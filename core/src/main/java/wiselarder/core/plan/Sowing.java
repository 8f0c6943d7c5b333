package wiselarder.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A crop sown on a field: into the sod that stands there, or into a bed. The field is out of use
 * from the preparation until the crop is ready: first-use height reached and roots anchored.
 *
 * @param yieldKgPerHa what a crop sown on time makes in a normal year, or null for the catalogue's
 * @param seedShare seed as a share of the full rate; more brings feed earlier, not more of it
 * @param endsOn first day the crop is gone again (terminated), or null for its own end
 * @param terms what else its keeper said of it, or null
 * @param standing how it stands on the plan's first day, of a crop sown before it; null: it is sown
 *     in the plan, or nothing of it is reckoned with
 */
public record Sowing(
    String id,
    String fieldId,
    String forageId,
    LocalDate sowOn,
    Preparation preparation,
    Double yieldKgPerHa,
    double seedShare,
    LocalDate endsOn,
    SowingTerms terms,
    Standing standing) {
  public static final Stated.Figure YIELD_KG_PER_HA =
      Stated.number("sowing.yieldKgPerHa", 200, 40000).orNone();
  public static final Stated.Figure SEED_SHARE = Stated.number("sowing.seedShare", 0.3, 3);

  /** What is done to the ground before, and the days it takes the field out of use. Assumptions. */
  public enum Preparation {
    /**
     * The sod is grazed down; stock may stay until the day of sowing. What they leave above the
     * stubble is topped that day.
     */
    GRAZE_DOWN(0),
    /** A light pass with the disk: sets the sod back for some weeks. */
    LIGHT_DISKING(5),
    /** The sod is burnt down as the label says: nothing grows back for some weeks. */
    BURN_DOWN(14),
    /** A full seedbed: the old stand is gone for good. */
    FULL_SEEDBED(28),
    /**
     * The old stand is sprayed out as the label says, in two passes; nothing is tilled. It is gone
     * for good.
     */
    SPRAYED_OUT(42),
    /** What stands is burnt off by a fire that was permitted: the stand itself lives. */
    BURNT_OFF(7);

    private final int daysOut;

    Preparation(int daysOut) {
      this.daysOut = daysOut;
    }

    public int daysOut() {
      return daysOut;
    }

    /** True where nothing of the old stand is left. */
    public boolean endsTheOld() {
      return this == FULL_SEEDBED || this == SPRAYED_OUT;
    }
  }

  /**
   * What a keeper may say of a sowing beside its day.
   *
   * @param preparedOn first day on which the ground is prepared, when that is earlier than the
   *     preparation asks: from then on it lies fallow; or null
   * @param leastSoilWaterShare it is only sown where the soil holds at least so much of its water
   *     on the day of preparation; null: whatever it holds
   * @param spreadYears years over which its cost is spread, or null
   * @param paidShare share of its cost that others pay, as a program does
   */
  public record SowingTerms(
      LocalDate preparedOn, Double leastSoilWaterShare, Integer spreadYears, double paidShare) {
    public static final Stated.Figure LEAST_SOIL_WATER_SHARE =
        Stated.number("terms.leastSoilWaterShare", 0, 1).orNone();
    public static final Stated.Figure SPREAD_YEARS =
        Stated.whole("terms.spreadYears", 1, 40).orNone();
    public static final Stated.Figure PAID_SHARE = Stated.number("terms.paidShare", 0, 1);

    public SowingTerms {
      LEAST_SOIL_WATER_SHARE.check(leastSoilWaterShare);
      SPREAD_YEARS.check(spreadYears);
      PAID_SHARE.check(paidShare);
    }

    /** The same with the ground prepared on another day. */
    SowingTerms preparedOn(LocalDate other) {
      return new SowingTerms(other, leastSoilWaterShare, spreadYears, paidShare);
    }
  }

  /**
   * A crop as it stands on the plan's first day.
   *
   * @param coverKgPerHa all that stands of it; 0 where it is not up yet
   * @param deadShare of that; 1 of a crop that is done
   * @param ready true where stock were on it already or may come in; false: once it is as high as
   *     it must be and its roots hold
   * @param heatDegreeDays heat above its base since it came up, or since the depth of winter where
   *     its kind counts from there: by it it heads and ripens. Null for what is usual by then
   * @param state null for one as its heat makes it
   */
  public record Standing(
      double coverKgPerHa,
      double deadShare,
      boolean ready,
      Double heatDegreeDays,
      OpeningState state) {
    public static final Stated.Figure COVER_KG_PER_HA =
        Stated.number("standing.coverKgPerHa", 0, 40000);
    public static final Stated.Figure DEAD_SHARE = Stated.number("standing.deadShare", 0, 1);
    public static final Stated.Figure HEAT_DEGREE_DAYS =
        Stated.number("standing.heatDegreeDays", 0, 6000).orNone();

    /** One as its heat makes it. */
    public Standing(double coverKgPerHa, double deadShare, boolean ready, Double heatDegreeDays) {
      this(coverKgPerHa, deadShare, ready, heatDegreeDays, null);
    }

    public Standing {
      COVER_KG_PER_HA.check(coverKgPerHa);
      DEAD_SHARE.check(deadShare);
      HEAT_DEGREE_DAYS.check(heatDegreeDays);
    }
  }

  /** A crop that is sown in the plan. */
  public Sowing(
      String id,
      String fieldId,
      String forageId,
      LocalDate sowOn,
      Preparation preparation,
      Double yieldKgPerHa,
      double seedShare,
      LocalDate endsOn) {
    this(id, fieldId, forageId, sowOn, preparation, yieldKgPerHa, seedShare, endsOn, null, null);
  }

  public Sowing {
    id = Check.text("sowing.id", id, 80);
    Check.text("sowing.fieldId", fieldId, 40);
    Check.text("sowing.forageId", forageId, 60);
    Check.present("sowing.sowOn", sowOn);
    Check.present("sowing.preparation", preparation);
    YIELD_KG_PER_HA.check(yieldKgPerHa);
    SEED_SHARE.check(seedShare);
    Check.ordered("sowing.endsOn", sowOn, endsOn);
    if (terms != null) {
      Check.ordered("terms.preparedOn", terms.preparedOn, sowOn);
    }
  }

  /** The same, sown on another day; ground prepared for it sooner or later by as much. */
  public Sowing sownOn(LocalDate other) {
    return between(other, endsOn);
  }

  /** The same between other days; ground prepared for it sooner or later as it is sown. */
  public Sowing between(LocalDate sown, LocalDate ends) {
    return new Sowing(
        id,
        fieldId,
        forageId,
        sown,
        preparation,
        yieldKgPerHa,
        seedShare,
        ends,
        moved(sown),
        standing);
  }

  private SowingTerms moved(LocalDate sown) {
    return terms == null || terms.preparedOn == null
        ? terms
        : terms.preparedOn(terms.preparedOn.plusDays(ChronoUnit.DAYS.between(sowOn, sown)));
  }

  /** The same with so much seed. */
  public Sowing seeded(double share) {
    return new Sowing(
        id, fieldId, forageId, sowOn, preparation, yieldKgPerHa, share, endsOn, terms, standing);
  }

  /** The same as it stands on the first day of a later plan. */
  public Sowing standing(String otherId, LocalDate ends, Standing then) {
    return new Sowing(
        otherId, fieldId, forageId, sowOn, preparation, yieldKgPerHa, seedShare, ends, terms, then);
  }

  /** True of a crop that stands on the first day of a plan, sown before: nothing of it is to do. */
  public boolean standsAtStart(PlanYear year) {
    return standing != null && sowOn.isBefore(year.start());
  }

  /** The same on another field. */
  public Sowing on(String otherId, String otherField) {
    return new Sowing(
        otherId,
        otherField,
        forageId,
        sowOn,
        preparation,
        yieldKgPerHa,
        seedShare,
        endsOn,
        terms,
        standing);
  }

  /** First day the field is out of use for it. */
  public LocalDate preparedFrom() {
    LocalDate least = sowOn.minusDays(preparation.daysOut());
    LocalDate said = terms == null ? null : terms.preparedOn;
    return said != null && said.isBefore(least) ? said : least;
  }

  /** Years over which its cost is spread: one where nobody says otherwise. */
  public int spreadYears() {
    return terms == null || terms.spreadYears == null ? 1 : terms.spreadYears;
  }

  /** The part of its cost that the farm pays. */
  public double ownShare() {
    return terms == null ? 1 : 1 - terms.paidShare;
  }
}
