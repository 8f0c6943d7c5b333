package wiselarder.core.closing;

import java.util.List;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.forage.NitrogenRules;
import wiselarder.core.forage.QualityTable;
import wiselarder.core.herd.AnimalClass;
import wiselarder.core.herd.CattleGain;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.quantity.Stated;

/**
 * What a stand returns when growing cattle graze it: how many head it carries, what each gains, and
 * what is left over the cost. A sward with legumes often carries fewer that gain more, so head
 * alone misleads. A normal year by the growth table, grazed leafy in rotation.
 *
 * @param days on which the stand grows at a tenth of its best or more
 * @param eatenKgPerHa dry matter that ends in an animal
 * @param returnPerHa value of the gain less the cost borne; NaN without a price
 */
public record StandReturn(
    String forageId,
    double yieldKgPerHa,
    double eatenKgPerHa,
    int days,
    double tdnPct,
    double intakeKgPerHeadDay,
    double headPerHa,
    double gainKgPerHeadDay,
    double gainKgPerHa,
    double costPerHa,
    double costPerKgGain,
    double returnPerHa) {

  /** Leafy to full leaf: how stock in rotation find it. */
  private static final double GRAZED_AT = 0.25;

  private static final double GROWS_AT = 0.1;
  private static final String STEERS = "beef/steer";

  /**
   * What is put in.
   *
   * @param nitrogenKgPerHa put on in the year
   * @param costPerHa of the stand in a year, nitrogen apart: seed over its years, rent, fence
   */
  public record Candidate(String forageId, double nitrogenKgPerHa, double costPerHa) {
    public static final Stated.Figure NITROGEN_KG_PER_HA =
        Stated.number("stand.nitrogenKgPerHa", 0, 400);
    public static final Stated.Figure COST_PER_HA = Stated.number("stand.costPerHa", 0, 100_000);

    public Candidate {
      Check.text("stand.forageId", forageId, 60);
      NITROGEN_KG_PER_HA.check(nitrogenKgPerHa);
      COST_PER_HA.check(costPerHa);
    }
  }

  /**
   * Prices and animals.
   *
   * @param weightKg mean live weight over the season
   * @param nitrogenPricePerKg of nitrogen
   * @param valuePerKgGain of live weight gained
   * @param costShare of all costs that others bear, 0 to 1
   */
  public record Terms(
      double weightKg, double nitrogenPricePerKg, double valuePerKgGain, double costShare) {
    public static final Stated.Figure WEIGHT_KG = Stated.number("terms.weightKg", 100, 800);
    public static final Stated.Figure NITROGEN_PRICE_PER_KG =
        Stated.number("terms.nitrogenPricePerKg", 0, 100);
    public static final Stated.Figure VALUE_PER_KG_GAIN =
        Stated.number("terms.valuePerKgGain", 0, 1000);
    public static final Stated.Figure COST_SHARE = Stated.number("terms.costShare", 0, 1);

    public Terms {
      WEIGHT_KG.check(weightKg);
      NITROGEN_PRICE_PER_KG.check(nitrogenPricePerKg);
      VALUE_PER_KG_GAIN.check(valuePerKgGain);
      COST_SHARE.check(costShare);
    }
  }

  /** One for each stand, in their order. */
  public static List<StandReturn> compare(
      FarmPlan stated, Catalogue product, List<Candidate> stands, Terms terms) {
    Catalogue catalogue = product.on(stated.farm());
    return stands.stream().map(s -> of(stated, catalogue, s, terms)).toList();
  }

  private static StandReturn of(FarmPlan stated, Catalogue catalogue, Candidate s, Terms terms) {
    Forage forage = catalogue.forage(s.forageId);
    GrowthCurve curve = curve(stated.farm().climateId(), catalogue, forage);
    QualityTable.Values worth = catalogue.quality().of(s.forageId);
    double yield = curve.annualKgPerHa();
    yield += nitrogen(yield, s.nitrogenKgPerHa, forage.legumeShare());
    int days = grazingDays(curve);
    double eaten = yield * forage.utilizationRotational();
    double tdn = worth.green(QualityTable.Values.TDN, GRAZED_AT);
    AnimalClass steers = catalogue.herd().byWeight(STEERS, terms.weightKg);
    double intake = steers.intakeKg(terms.weightKg);
    double head = eaten / (intake * days);
    double gain = CattleGain.kgPerDay(terms.weightKg, intake, tdn);
    double gainPerHa = gain * head * days;
    double cost =
        (s.costPerHa + s.nitrogenKgPerHa * terms.nitrogenPricePerKg) * (1 - terms.costShare);
    return new StandReturn(
        s.forageId,
        yield,
        eaten,
        days,
        tdn,
        intake,
        head,
        gain,
        gainPerHa,
        cost,
        gainPerHa <= 0 ? Double.NaN : cost / gainPerHa,
        gainPerHa * terms.valuePerKgGain - cost);
  }

  private static GrowthCurve curve(String climateId, Catalogue catalogue, Forage forage) {
    return catalogue
        .growth()
        .curve(climateId, forage.id())
        .orElseThrow(
            () -> new Refused(CoreReason.NO_CURVE, "stand.forageId", forage.name(), climateId));
  }

  /** Days of the months in which it grows well enough to be grazed. */
  private static int grazingDays(GrowthCurve curve) {
    int days = 0;
    for (int m = 0; m < 12; m++) {
      days += curve.monthlyKgPerHaDay().get(m) >= GROWS_AT * curve.peakKgPerHaDay() ? DAYS[m] : 0;
    }
    return days;
  }

  private static final int[] DAYS = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};

  /** Grown by the year's nitrogen; a sward with legumes answers to two fifths. */
  private static double nitrogen(double yield, double kgN, double legumeShare) {
    double answer = NitrogenRules.answer(legumeShare);
    return Math.min(yield * answer, kgN * NitrogenRules.KG_DM_PER_KG_N * answer);
  }
}
