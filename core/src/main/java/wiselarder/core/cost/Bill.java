package wiselarder.core.cost;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.diet.WaterYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Sowing;
import wiselarder.core.price.FarmPrices;
import wiselarder.core.price.Operation;
import wiselarder.core.price.Price;
import wiselarder.core.store.Lot;

/**
 * What one plan costs more than another on the same farm, line by line: all that is bought, made,
 * spread, sown, watered, sold or sent away in the one and not in the other. Work is taken as hired,
 * with machine, fuel and driver, beside the hours that it would take the keeper. Fence and water
 * that may have to be put up are not in it.
 */
public final class Bill {
  /** So many cattle eat at one feeder; half as many again of small stock. Assumption. */
  private static final int CATTLE_PER_FEEDER = 20;

  private static final int SMALL_PER_FEEDER = 30;

  /** A feeder lasts so long: one year bears its share. Assumption. */
  private static final double FEEDER_YEARS = 8;

  /** Usual weight of a unit above which a machine moves it, kg. */
  private static final double BY_HAND_KG = FeedCosts.BY_HAND_KG;

  /**
   * One thing that is paid for, or paid.
   *
   * @param priceId row of the table of prices; null where the price stands on the thing itself
   * @param of what it is for, as the keeper calls it
   * @param amount in the unit of the price: ha, bales, kg, head
   * @param each price of one, in the farm's currency
   * @param money paid; negative where it is taken in
   * @param hours of one person, where the keeper does it
   * @param own whether the price is the keeper's own
   */
  public record Line(
      String priceId,
      String of,
      double amount,
      double each,
      double money,
      double hours,
      boolean own) {}

  private final YearBalance before;
  private final YearBalance after;
  private final FarmPlan stated;
  private final Catalogue product;
  private final FarmPrices prices;
  private final boolean dry;
  private final SeedUse seed;
  private final List<Line> lines = new ArrayList<>();
  private final Set<String> unpriced = new HashSet<>();

  private Bill(YearBalance before, YearBalance after, Catalogue product, boolean dry) {
    this.before = before;
    this.after = after;
    this.stated = after.stated();
    this.product = product;
    this.prices = product.pricesOn(stated.farm());
    this.dry = dry;
    Set<String> kept = new HashSet<>();
    before.stated().plan().sowings().forEach(s -> kept.add(s.id()));
    this.seed = SeedUse.of(stated, product, kept);
  }

  /**
   * What a plan costs more than the one before it.
   *
   * @param dry whether the district is short of feed: what is not the keeper's own price is dearer
   */
  public static Bill of(YearBalance before, YearBalance after, Catalogue product, boolean dry) {
    Bill bill = new Bill(before, after, product, dry);
    bill.make();
    return bill;
  }

  public List<Line> lines() {
    return List.copyOf(lines);
  }

  /** Rows of the table of prices that would be needed and are not known in the currency. */
  public List<String> unpriced() {
    return unpriced.stream().sorted().toList();
  }

  /** In the farm's currency; negative where more is taken in than paid. */
  public double total() {
    return lines.stream().mapToDouble(Line::money).sum();
  }

  /** Hours of one person, where nothing is hired. */
  public double hours() {
    return lines.stream().mapToDouble(Line::hours).sum();
  }

  private void make() {
    added(Items.PURCHASES).forEach(this::bought);
    added(Items.CUTS).forEach(this::cut);
    added(Items.SOWINGS).forEach(this::sown);
    added(Items.DRESSINGS).forEach(this::dressed);
    added(Items.IRRIGATIONS).forEach(this::watered);
    added(Items.FIELDS).forEach(this::waterAt);
    feeders();
    for (AnimalGroup group : added(Items.GROUPS)) {
      came(group);
      weanedSooner(group);
    }
  }

  /** What is in the one and not, or not so, in the other. */
  private <T extends Record> List<T> added(Items<T> items) {
    List<T> was = items.in(before.stated());
    return items.in(stated).stream().filter(t -> !was.contains(t)).toList();
  }

  /** Water that is brought to a field, or a line or tank that gives more. */
  private void waterAt(Field field) {
    Lie was =
        before.stated().farm().fields().stream()
            .filter(f -> f.id().equals(field.id()))
            .findFirst()
            .map(Field::lie)
            .orElse(field.lie());
    if (field.lie().water() != Lie.Water.HAULED) {
      if (!Objects.equals(was.waterLPerDay(), field.lie().waterLPerDay())) {
        unpriced.add(WATER_LINE);
      }
      return;
    }
    double m3 = hauledM3(field);
    if (was.water() == Lie.Water.HAULED || m3 <= 0) {
      return;
    }
    Double each = field.lie().waterCostPerM3();
    if (each == null) {
      unpriced.add(WATER_BROUGHT);
    } else {
      lines.add(new Line(null, field.name(), m3, each, m3 * each, 0, true));
    }
  }

  /** Things that no table prices. */
  private static final String WATER_LINE = "water_line";

  private static final String WATER_BROUGHT = "water_brought";

  private double hauledM3(Field field) {
    return WaterYear.of(after).fields().stream()
        .filter(f -> f.fieldId().equals(field.id()))
        .mapToDouble(WaterYear.FieldWater::hauledM3)
        .sum();
  }

  private void bought(Purchase p) {
    Lot lot = p.lot();
    Optional<Purchase> was =
        before.stated().plan().purchases().stream().filter(x -> x.id().equals(p.id())).findFirst();
    int units = lot.units() - was.map(x -> x.lot().units()).orElse(0);
    if (lot.costPerUnit() != null) {
      double each = lot.costPerUnit();
      lines.add(new Line(null, lot.name(), units, each, units * each, 0, true));
      return;
    }
    String feed = pricedAs(lot);
    priced(prices.of(feed), feed, lot.name(), units * lot.kgPerUnitAsFed() / 1000, month(p), 0);
  }

  /** The feed of the table of prices that a lot is bought as. */
  public static String pricedAs(Lot lot) {
    return lot.origin().feedId() == null ? COMMON_HAY : lot.origin().feedId();
  }

  /** Hay of which nobody said what it is. */
  private static final String COMMON_HAY = "hay_orchardgrass_early";

  private static int month(Purchase p) {
    return p.date().getMonthValue();
  }

  private void cut(HayCut cut) {
    int month = cut.date().getMonthValue();
    String field = stated.field(cut.fieldId()).name();
    double ha = stated.field(cut.fieldId()).netAreaHa();
    int lot = lotIndex(cut.lot().id());
    int units = lot < 0 ? 0 : made(lot);
    String way = cut.harvestMethodId();
    boolean chopped = way.startsWith("h_silage");
    if (!way.equals("h_stalk_bales")) {
      job(way.startsWith("h_hay_cond") ? "mow_condition" : "mow", field, ha, month);
    }
    if (chopped) {
      double tonnes = units * cut.lot().kgPerUnitAsFed() / 1000;
      job("silage_chop", field, tonnes, month);
      job("clamp_sheet", field, tonnes, month);
      return;
    }
    if (way.startsWith("h_hay") && !way.equals("h_haylage")) {
      job("ted", field, ha, month);
    }
    job("rake", field, ha, month);
    bales(cut, field, units, month);
  }

  private void bales(HayCut cut, String field, int units, int month) {
    boolean small = cut.lot().kgPerUnitAsFed() <= BY_HAND_KG;
    boolean square = cut.lot().unitName().toLowerCase(java.util.Locale.ROOT).contains("square");
    job(small ? "bale_small" : square ? "bale_large" : "bale_round", field, units, month);
    if (cut.harvestMethodId().equals("h_haylage")) {
      job("wrap_bale", field, units, month);
    }
    if (small) {
      job("pick_up_small", field, units, month);
    } else if (!cut.harvestMethodId().equals("h_dropped_in_field")) {
      job("move_bale_near", field, units, month);
    }
  }

  private int lotIndex(String id) {
    List<Lot> lots = stated.allLots();
    for (int l = 0; l < lots.size(); l++) {
      if (lots.get(l).id().equals(id)) {
        return l;
      }
    }
    return -1;
  }

  /** Units that a cut made: those opened and those left. */
  private int made(int lot) {
    int units = after.lotUnits(lot, after.days() - 1);
    for (int d = 0; d < after.days(); d++) {
      units += after.lotOpened(lot, d);
    }
    return units;
  }

  /**
   * What a sowing of the plan costs: seed that is not at hand, ground and drill, less what others
   * pay; in the farm's currency.
   */
  public static Bill ofSowing(YearBalance year, Catalogue product, Sowing s) {
    Bill bill = new Bill(year, year, product, false);
    bill.anew(s);
    bill.othersPay(s, 0);
    return bill;
  }

  /**
   * What is sown after the plan's end is that year's to pay; what was too dry to sow costs none.
   */
  private void sown(Sowing s) {
    int at = stated.plan().sowings().indexOf(s);
    if (s.sowOn().isBefore(stated.plan().year().endExclusive()) && !after.sowing(at).skipped()) {
      int from = lines.size();
      sowing(s);
      othersPay(s, from);
    }
  }

  private void othersPay(Sowing s, int from) {
    double money = lines.subList(from, lines.size()).stream().mapToDouble(Line::money).sum();
    double paid = (1 - s.ownShare()) * money;
    if (paid > 0) {
      String field = stated.field(s.fieldId()).name();
      lines.add(new Line(PAID_BY_OTHERS, field, 1 - s.ownShare(), 0, -paid, 0, true));
    }
  }

  private void sowing(Sowing s) {
    int month = s.sowOn().getMonthValue();
    double ha = stated.field(s.fieldId()).netAreaHa();
    Optional<Sowing> was =
        before.stated().plan().sowings().stream().filter(x -> x.id().equals(s.id())).findFirst();
    if (was.isPresent() && isSameButForSeed(was.get(), s)) {
      moreSeed(s, s.seedShare() - was.get().seedShare(), ha, month);
      return;
    }
    anew(s);
  }

  private void anew(Sowing s) {
    int month = s.sowOn().getMonthValue();
    String field = stated.field(s.fieldId()).name();
    double ha = stated.field(s.fieldId()).netAreaHa();
    seed.of(s)
        .forEach(
            (forage, taken) -> {
              if (taken.fromShed() > 0) {
                lines.add(new Line(AT_HAND, field, taken.fromShed(), 0, 0, 0, true));
              }
              if (taken.bought() > 0) {
                priced(prices.of(forage), forage, field, taken.bought(), month, 0);
              }
            });
    if (isInOnePassWithAnother(s)) {
      return;
    }
    switch (s.preparation()) {
      case GRAZE_DOWN -> job("drill_no_till", field, ha, month);
      case LIGHT_DISKING -> {
        job("disk_light", field, ha, month);
        job("drill", field, ha, month);
      }
      case BURN_DOWN -> {
        job("spray_pass", field, ha, month);
        job("drill_no_till", field, ha, month);
      }
      case FULL_SEEDBED -> {
        tilled(field, ha, month);
        job("drill", field, ha, month);
      }
      case SPRAYED_OUT -> {
        job("spray_pass", field, 2 * ha, month);
        job("drill_no_till", field, ha, month);
      }
      case BURNT_OFF -> job("drill_no_till", field, ha, month);
    }
  }

  private static boolean isSameButForSeed(Sowing was, Sowing is) {
    return was.fieldId().equals(is.fieldId())
        && was.forageId().equals(is.forageId())
        && was.sowOn().equals(is.sowOn())
        && was.preparation() == is.preparation();
  }

  /** One price covers plough and later passes; both take their time. */
  private void tilled(String field, double ha, int month) {
    Operation plough = prices.table().operation("plough");
    double hours = plough.hours(ha) + prices.table().operation("cultivate").hours(ha);
    priced(prices.find(plough.priceId()), plough.priceId(), field, ha, month, hours);
  }

  /** The pass is made anyway; what more goes into the drill is bought. */
  private void moreSeed(Sowing s, double share, double ha, int month) {
    String field = stated.field(s.fieldId()).name();
    product
        .partsOf(stated.farm(), s.forageId())
        .forEach(
            (forage, part) -> {
              double kg = ha * share * part * product.forage(forage).seedRateKgPerHa();
              if (!Double.isNaN(kg) && kg > 0) {
                priced(prices.of(forage), forage, field, kg, month, 0);
              }
            });
  }

  /** What is sown on one day on one field goes through the drill once. */
  private boolean isInOnePassWithAnother(Sowing s) {
    return stated.plan().sowings().stream()
        .takeWhile(x -> !x.id().equals(s.id()))
        .anyMatch(x -> x.fieldId().equals(s.fieldId()) && x.sowOn().equals(s.sowOn()));
  }

  /** Line of what others pay of a sowing. */
  private static final String PAID_BY_OTHERS = "paid_by_others";

  /** Line of seed that lies in the shed. */
  private static final String AT_HAND = "seed_at_hand";

  private void dressed(Dressing d) {
    int month = d.date().getMonthValue();
    String field = stated.field(d.fieldId()).name();
    double ha = stated.field(d.fieldId()).netAreaHa();
    double kg = ha * d.nitrogenKgPerHa();
    if (d.pricePerKg() != null) {
      lines.add(new Line("nitrogen", field, kg, d.pricePerKg(), kg * d.pricePerKg(), 0, true));
    } else {
      priced(prices.find("nitrogen"), "nitrogen", field, kg, month, 0);
    }
    job("spread_fertiliser", field, ha, month);
  }

  private void watered(Irrigation i) {
    double mmHa = i.waterMm() * stated.field(i.fieldId()).netAreaHa();
    String field = stated.field(i.fieldId()).name();
    int month = i.date().getMonthValue();
    priced(prices.find("irrigation_mm_ha"), "irrigation_mm_ha", field, mmHa, month, 0);
  }

  /** Another way of feeding may want feeders: one for so many of those that eat there at most. */
  private void feeders() {
    Set<String> bought = new HashSet<>();
    List<Lot> lots = stated.allLots();
    for (int l = 0; l < lots.size(); l++) {
      Lot lot = lots.get(l);
      Optional<Lot> was =
          before.stated().allLots().stream().filter(x -> x.id().equals(lot.id())).findFirst();
      boolean changed =
          was.isPresent() && !was.get().feedingMethodId().equals(lot.feedingMethodId());
      String row = feeder(lot.feedingMethodId());
      if (changed && row != null && bought.add(row)) {
        double count = feedersFor(l) / FEEDER_YEARS;
        priced(prices.find(row), row, lot.name(), count, 1, 0);
      }
    }
  }

  private static String feeder(String feedingMethodId) {
    return switch (feedingMethodId) {
      case "f_ring_open" -> "feeder_ring_open";
      case "f_ring_sheeted" -> "feeder_ring_sheeted";
      case "f_cone" -> "feeder_cone";
      case "f_bunk", "f_trough_suppl", "f_rack_small" -> "trough_feed";
      default -> null;
    };
  }

  private double feedersFor(int lot) {
    double count = 0;
    List<AnimalGroup> groups = stated.farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      double most = 0;
      for (int d = 0; d < after.days(); d++) {
        if (after.groupLotEatenKg(g, lot, d) > 0) {
          most = Math.max(most, after.resolved().groupYear(g).head(d));
        }
      }
      count += Math.ceil(most / (small(groups.get(g)) ? SMALL_PER_FEEDER : CATTLE_PER_FEEDER));
    }
    return Math.max(1, count);
  }

  private static boolean small(AnimalGroup group) {
    return group.kind().startsWith("sheep/") || group.kind().startsWith("goat/");
  }

  /** Young weaned sooner want a little concentrate a day until they would have been weaned. */
  private static final double CALF_KG_PER_DAY = 1.5;

  private static final double LAMB_KG_PER_DAY = 0.3;

  private static final int YEAR = 365;

  /** So much sooner is later, by the other way round the year. */
  private static final int LONGEST_DAYS = 182;

  private static final String WEANERS_FEED = "grain_barley";

  private void weanedSooner(AnimalGroup group) {
    Optional<AnimalGroup> was =
        before.stated().farm().groups().stream().filter(x -> x.id().equals(group.id())).findFirst();
    boolean sameBirths =
        was.isPresent() && Objects.equals(was.get().birthStart(), group.birthStart());
    if (!sameBirths || Objects.equals(was.get().weaning(), group.weaning())) {
      return;
    }
    int g = index(group);
    double sooner = 0;
    List<Integer> then = before.resolved().groupYear(g).weanings();
    List<Integer> now = after.resolved().groupYear(g).weanings();
    for (int day : now) {
      int days = then.stream().mapToInt(t -> Math.floorMod(t - day, YEAR)).min().orElse(0);
      double young = after.resolved().groupYear(g).head(day) * group.youngPerDam();
      sooner += days < LONGEST_DAYS ? young * days : 0;
    }
    double kg = sooner * (small(group) ? LAMB_KG_PER_DAY : CALF_KG_PER_DAY);
    int month = now.isEmpty() ? 1 : after.year().date(now.get(0)).getMonthValue();
    priced(prices.find(WEANERS_FEED), WEANERS_FEED, group.name(), kg / 1000, month, 0);
  }

  private void came(AnimalGroup group) {
    Optional<AnimalGroup> was =
        before.stated().farm().groups().stream().filter(x -> x.id().equals(group.id())).findFirst();
    List<HeadChange> known = new ArrayList<>(was.map(AnimalGroup::changes).orElse(List.of()));
    for (HeadChange c : group.changes()) {
      if (!known.remove(c)) {
        came(group, c);
      }
    }
  }

  private void came(AnimalGroup group, HeadChange c) {
    switch (c.kind()) {
      case SOLD, CULLED -> traded(group, c, -1);
      case BOUGHT -> traded(group, c, 1);
      case AWAY -> away(group, c, 1);
      case TAKEN_IN -> away(group, c, -1);
      case DIED, MOVED -> {}
    }
  }

  private int index(AnimalGroup group) {
    List<AnimalGroup> groups = stated.farm().groups();
    for (int g = 0; g < groups.size(); g++) {
      if (groups.get(g).id().equals(group.id())) {
        return g;
      }
    }
    throw new IllegalStateException(group.id());
  }

  private void traded(AnimalGroup group, HeadChange c, int sign) {
    int month = c.date().getMonthValue();
    if (c.moneyPerHead() != null) {
      double each = c.moneyPerHead();
      lines.add(new Line(null, group.name(), c.head(), each, sign * c.head() * each, 0, true));
    } else {
      int day = Math.min(Math.max(0, after.year().day(c.date())), after.days() - 1);
      double kg = after.resolved().groupYear(index(group)).weightKg(day);
      Optional<Price> price = prices.sale(product.herd().classWeightsKg(group.kind()), kg);
      boolean head = price.map(p -> p.row().perHead()).orElse(true);
      double amount = head ? c.head() : c.head() * kg;
      priced(price, group.kind(), group.name(), sign * amount, month, 0);
    }
    String costs = small(group) ? "sale_cost_small" : "sale_cost_cattle";
    if (sign < 0) {
      priced(prices.find(costs), costs, group.name(), c.head(), month, 0);
    }
  }

  /** By the day of an animal unit: what the animals would have eaten, over what one unit eats. */
  private void away(AnimalGroup group, HeadChange c, int sign) {
    int from = before.year().clippedStart(c.date());
    int to =
        c.untilExclusive() == null ? before.days() : before.year().clippedEnd(c.untilExclusive());
    if (c.moneyPerHead() != null) {
      double headDays = (double) c.head() * (to - from);
      double each = c.moneyPerHead();
      lines.add(new Line(null, group.name(), headDays, each, sign * headDays * each, 0, true));
      return;
    }
    int g = index(group);
    double grazed = 0;
    double fed = 0;
    for (int d = from; d < to; d++) {
      double head = before.resolved().groupYear(g).head(d);
      double units = head <= 0 ? 0 : c.head() * before.needKg(g, d) / head / stated.farm().audKg();
      // where frost stops the grass here it does so there: they are kept on feed
      if (before.resolved().normal().frostSeason(d)) {
        fed += units;
      } else {
        grazed += units;
      }
    }
    int month = c.date().getMonthValue();
    rented("agistment_pasture", group, sign * grazed, month);
    rented("winter_board", group, sign * fed, month);
  }

  private void rented(String row, AnimalGroup group, double unitDays, int month) {
    priced(prices.find(row), row, group.name(), unitDays, month, 0);
  }

  private void job(String operation, String of, double amount, int month) {
    Operation job = prices.table().operation(operation);
    priced(prices.find(job.priceId()), job.priceId(), of, amount, month, job.hours(amount));
  }

  /** Negative amounts are taken in: their money is, and the amount is shown as it is. */
  private void priced(
      Optional<Price> price, String wanted, String of, double amount, int month, double hours) {
    if (amount == 0) {
      return;
    }
    if (price.isEmpty()) {
      unpriced.add(Objects.requireNonNull(wanted));
      return;
    }
    double each = price.get().in(month, dry);
    lines.add(
        new Line(
            price.get().row().id(),
            of,
            Math.abs(amount),
            each,
            amount * each,
            hours,
            price.get().own()));
  }
}
