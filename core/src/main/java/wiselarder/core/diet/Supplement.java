package wiselarder.core.diet;

import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.Energy;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.price.FarmPrices;
import wiselarder.core.price.Price;
import wiselarder.core.store.Lot;
import wiselarder.core.store.StoredFeed;

/**
 * The least cost of feed beside the diet that brings a group's protein and energy to its need, by
 * month, on the means of the days that fall short. A linear programme: each feed up to its ceiling
 * in the diet; what is fed first fills bulk that is missing, then takes the place of the diet, as
 * an animal eats no more than it holds. From troughs comes no more than there is forage beside it,
 * or the rumen turns sour (assumption). Amounts are for planning: the tag, an adviser and a
 * veterinarian stand above them, and a new feed is built up slowly.
 *
 * @param shortDays days of the month on which protein or energy falls short
 * @param proteinShortKg protein that lacks a head on a mean of these days; 0 for none
 * @param energyShortMj energy that lacks; 0 for none, and for horses
 * @param parts feeds that meet both at the least cost; empty where none can
 * @param costPerHeadDay of these, in the farm's currency
 * @param cost over the month for all
 * @param met false where no feed within its ceiling brings both to the need
 */
public record Supplement(
    String groupId,
    YearMonth month,
    int shortDays,
    double proteinShortKg,
    double energyShortMj,
    List<Ingredient> parts,
    double costPerHeadDay,
    double cost,
    boolean met) {

  /**
   * One feed of it.
   *
   * @param kgDm dry matter a head and day
   * @param kgAsFed the same as it is weighed out
   * @param pricePerTonneAsFed used for it
   * @param defaultPrice true where that is the product's, in US dollars
   */
  public record Ingredient(
      String feedId,
      double kgDm,
      double kgAsFed,
      double pricePerTonneAsFed,
      boolean defaultPrice) {}

  private static final Set<String> UREA =
      Set.of("molasses_liquid", "molasses_block", "cubes_range_20");
  private static final Set<String> COPPER =
      Set.of("molasses_liquid", "molasses_block", "cubes_range_20", "corn_gluten_feed");

  /** Of a feed that is set before stock so much is lost: troughs and hay alike. */
  private static final double FED_LOSS = 0.05;

  private static final double NO_ENERGY = 1;

  /** Of every group and month in which something falls short. */
  public static List<Supplement> of(YearBalance balance, Catalogue catalogue) {
    List<Supplement> all = new ArrayList<>();
    List<AnimalGroup> groups = balance.stated().farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      DietYear diet = DietYear.of(balance, g);
      for (PlanYear.MonthSpan month : balance.year().monthSpans()) {
        Means means = Means.of(balance, g, diet, month.startInclusive(), month.endExclusive());
        if (means.days > 0) {
          all.add(solve(groups.get(g), month.month(), means, balance, catalogue));
        }
      }
    }
    return all;
  }

  /**
   * Of one group over some days, both ends with them; none where nothing falls short.
   *
   * @param energy false to see to protein alone
   * @param share of what lacks that is to be met
   * @return its month is that of the first day
   */
  public static Optional<Supplement> over(
      YearBalance balance,
      Catalogue catalogue,
      int g,
      int firstDay,
      int lastDay,
      boolean energy,
      double share) {
    Means all = Means.of(balance, g, DietYear.of(balance, g), firstDay, lastDay + 1).lacking(share);
    Means means = energy ? all : all.ofProtein();
    return means.days == 0
        ? Optional.empty()
        : Optional.of(
            solve(
                balance.stated().farm().groups().get(g),
                YearMonth.from(balance.year().date(firstDay)),
                means,
                balance,
                catalogue));
  }

  /** Means a head over the days that fall short. */
  private record Means(
      int days,
      double headDays,
      double needKg,
      double eatenKg,
      double proteinPct,
      double mjPerKg,
      double proteinShortKg,
      double energyShortMj) {
    /** The same where so much of what lacks is to be met. */
    Means lacking(double share) {
      return new Means(
          days,
          headDays,
          needKg,
          eatenKg,
          proteinPct,
          mjPerKg,
          share * proteinShortKg,
          share * energyShortMj);
    }

    /** The same where energy is not asked for. */
    Means ofProtein() {
      return new Means(
          days, headDays, needKg, eatenKg, proteinPct, mjPerKg, proteinShortKg, -Double.MAX_VALUE);
    }

    static Means of(YearBalance b, int g, DietYear diet, int from, int toExclusive) {
      int days = 0;
      double head = 0;
      double[] sum = new double[6];
      for (int d = from; d < toExclusive; d++) {
        double n = b.resolved().groupYear(g).head(d);
        boolean protein = diet.proteinKg(d) < DietYear.MET_SHARE * diet.proteinNeedKg(d);
        boolean energy =
            diet.hasEnergy() && diet.energyMj(d) < DietYear.MET_SHARE * diet.energyNeedMj(d);
        if (n <= 0 || !(protein || energy)) {
          continue;
        }
        days++;
        head += n;
        sum[0] += b.needKg(g, d) + diet.eatenKg(d) - b.eatenKg(g, d);
        sum[1] += diet.eatenKg(d);
        sum[2] += diet.proteinKg(d);
        sum[3] += diet.energyMj(d);
        sum[4] += diet.proteinNeedKg(d);
        sum[5] += diet.hasEnergy() ? diet.energyNeedMj(d) : 0;
      }
      double eaten = Math.max(1e-9, sum[1]);
      return new Means(
          days,
          head,
          sum[0] / Math.max(NO_ENERGY, head),
          sum[1] / Math.max(NO_ENERGY, head),
          100 * sum[2] / eaten,
          sum[3] / eaten,
          Math.max(0, sum[4] - sum[2]) / Math.max(NO_ENERGY, head),
          diet.hasEnergy() ? Math.max(0, sum[5] - sum[3]) / Math.max(NO_ENERGY, head) : 0);
    }
  }

  private static Supplement solve(
      AnimalGroup group, YearMonth month, Means m, YearBalance balance, Catalogue catalogue) {
    ExpressionsBasedModel model = new ExpressionsBasedModel();
    Expression protein = model.addExpression("protein").lower(m.proteinShortKg);
    Expression energy = model.addExpression("energy").lower(m.energyShortMj);
    Expression loose = model.addExpression("loose").upper(Math.max(0, m.eatenKg));
    Expression bulk = model.addExpression("bulk").upper(Math.max(0, m.needKg - m.eatenKg));
    Variable displaced =
        model.addVariable("displaced").lower(0).upper(Math.max(0, m.eatenKg)).weight(0);
    protein.set(displaced, -m.proteinPct / 100);
    energy.set(displaced, -m.mjPerKg);
    bulk.set(displaced, -1);
    loose.set(displaced, 1);
    List<Offer> offers = new ArrayList<>();
    FarmPrices prices = catalogue.pricesOn(balance.stated().farm());
    for (StoredFeed f : catalogue.storedFeeds()) {
      if (!suits(f, group.kind()) || !isToBeHad(f, balance)) {
        continue;
      }
      Ingredient price = price(f, balance, prices);
      double perKgDm = price.pricePerTonneAsFed / 1000 / f.dmShare() / (1 - FED_LOSS);
      Variable kg =
          model.addVariable(f.id()).lower(0).upper(f.maxShareOfDiet() * m.needKg).weight(perKgDm);
      offers.add(new Offer(f, price, kg));
      protein.set(kg, f.worth().proteinPct() / 100);
      energy.set(kg, Energy.mjPerKg(f.worth().tdnPct()));
      bulk.set(kg, 1);
      loose.set(kg, f.isLoose() ? 1 : -1);
    }
    Optimisation.Result result = model.minimise();
    boolean met = result.getState().isFeasible();
    List<Ingredient> parts = met ? parts(offers) : List.of();
    double cost = parts.stream().mapToDouble(p -> p.kgAsFed * p.pricePerTonneAsFed / 1000).sum();
    return new Supplement(
        group.id(),
        month,
        m.days,
        m.proteinShortKg,
        m.energyShortMj,
        parts,
        cost,
        cost * m.headDays,
        met);
  }

  /** A feed that may be given, at its price, and how much of it. */
  private record Offer(StoredFeed feed, Ingredient price, Variable kg) {}

  private static List<Ingredient> parts(List<Offer> offers) {
    List<Ingredient> parts = new ArrayList<>();
    for (Offer o : offers) {
      double kg = o.kg.getValue().doubleValue();
      if (kg > 1e-4) {
        double asFed = kg / o.feed.dmShare() / (1 - FED_LOSS);
        Ingredient p = o.price;
        parts.add(new Ingredient(o.feed.id(), kg, asFed, p.pricePerTonneAsFed, p.defaultPrice));
      }
    }
    return parts;
  }

  /**
   * Hay of every kind is not sold everywhere: what the farm has, common grass hay and alfalfa. What
   * is ensiled is not moved.
   */
  private static boolean isToBeHad(StoredFeed f, YearBalance balance) {
    boolean fodder =
        f.kind().equals("hay") || f.kind().equals("haylage") || f.kind().equals("silage");
    return !fodder
        || COMMON.contains(f.id())
        || balance.stated().allLots().stream().anyMatch(l -> f.id().equals(l.origin().feedId()));
  }

  private static final Set<String> COMMON =
      Set.of("hay_orchardgrass_early", "hay_alfalfa_early", "hay_alfalfa_late");

  /** Straw and minerals meet no need; some feeds are shut to some animals. */
  private static boolean suits(StoredFeed f, String kind) {
    boolean fodder = !f.kind().equals("straw") && f.worth().tdnPct() > 0;
    boolean horse = kind.startsWith("horse/");
    boolean ensiled = f.kind().equals("haylage") || f.kind().equals("silage");
    boolean shut =
        horse
            && (UREA.contains(f.id())
                || ensiled
                || f.id().equals("hay_sorghum_sudan")
                || f.id().equals("hay_millet")
                || f.id().equals("cottonseed_meal")
                || f.id().equals("cottonseed_whole"));
    boolean copper = kind.startsWith("sheep/") && COPPER.contains(f.id());
    boolean urea = UREA.contains(f.id());
    return fodder && !shut && !copper && !urea && !f.id().equals("hay_sweetclover");
  }

  /**
   * The price of a lot of this feed, else the keeper's own, else the middle of the product's range
   * at the level of the farm's currency.
   */
  private static Ingredient price(StoredFeed f, YearBalance balance, FarmPrices prices) {
    for (Lot lot : balance.stated().allLots()) {
      if (f.id().equals(lot.origin().feedId()) && lot.pricePerTonneAsFed() != null) {
        return new Ingredient(f.id(), 0, 0, lot.pricePerTonneAsFed(), false);
      }
    }
    Optional<Price> here = prices.of(f.id());
    if (here.isPresent() && here.get().own()) {
      return new Ingredient(f.id(), 0, 0, here.get().likely(), false);
    }
    double level = here.map(p -> p.likely() / p.row().likely()).orElse(1.0);
    return new Ingredient(f.id(), 0, 0, f.usdPerTonneAsFed() * level, true);
  }
}
