package wiselarder.core.carry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.cost.SeedUse;
import wiselarder.core.day.AtHand;
import wiselarder.core.day.AtHand.InStore;
import wiselarder.core.day.AtHand.OnField;
import wiselarder.core.day.AtHand.Standing;
import wiselarder.core.day.YearSimulator;
import wiselarder.core.diet.DietYear;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropRules;
import wiselarder.core.forage.Forage;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.GroupYear;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.land.Field;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Pads;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.OpeningGround;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Seed;
import wiselarder.core.plan.Sowing;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.CropPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.LotPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.store.FeedWorth;
import wiselarder.core.store.Lot;
import wiselarder.core.winter.BaleWinter;

/**
 * The first day of a plan as another one leaves it: what stands on each field and of what crop, how
 * wet its soil is and what nitrogen waits there, where bales were eaten, what lies in store and in
 * the shed, how many animals there are and in what condition. What the plan intends stays.
 */
public final class NextPlan {
  /** Less than this is nothing, kg DM/ha. */
  private static final double NOTHING_KG_PER_HA = 1;

  /** Bales of one winter are eaten up within so many days of each other. Assumption. */
  private static final int SAME_WINTER_DAYS = 200;

  private static final int MOST_WINTERS = 20;

  private final Engine engine;
  private final FarmPlan from;
  private final FarmPlan into;
  private final LocalDate start;

  /** Growing groups that are the same animals as before, grown on. */
  private final Set<String> sameAnimals;

  private final YearBalance year;
  private final ResolvedPlan resolved;
  private final int day;
  private final AtHand there;
  private final List<PlanEdit> edits = new ArrayList<>();

  private NextPlan(Engine engine, FarmPlan from, FarmPlan into, Set<String> sameAnimals) {
    this.engine = engine;
    this.from = from;
    this.into = into;
    this.start = into.plan().year().start();
    this.sameAnimals = sameAnimals;
    this.day = from.plan().year().day(start);
    this.year = engine.simulate(from);
    this.resolved = year.resolved();
    this.there = YearSimulator.atHand(resolved, day);
  }

  /** True where one plan comes to the first day of another. */
  public static boolean reaches(FarmPlan from, LocalDate start) {
    int day = from.plan().year().day(start);
    return day > 0 && day <= from.plan().year().days();
  }

  /**
   * The edits that make a plan begin as another one leaves it, in the engine's season and by what
   * it knows was written down.
   *
   * @param sameAnimals ids of growing groups that go on as the animals they are, with the weight
   *     they have come to; all others begin as their plan says, with a new year's animals
   * @throws Refused where the one does not come to the other's first day
   */
  public static List<PlanEdit> edits(
      Engine engine, FarmPlan from, FarmPlan into, Set<String> sameAnimals) {
    LocalDate start = into.plan().year().start();
    if (!reaches(from, start)) {
      throw new Refused(
          CoreReason.DOES_NOT_REACH,
          "year.start",
          from.plan().name(),
          from.plan().year().start().plusDays(1),
          from.plan().year().endExclusive(),
          start);
    }
    NextPlan next = new NextPlan(engine, from, into, sameAnimals);
    next.land();
    next.crops();
    next.store();
    next.herd();
    next.shed();
    return List.copyOf(next.edits);
  }

  /**
   * Growing groups that are there all through a plan: only their keeper knows whether they go on.
   */
  public static List<AnimalGroup> growing(FarmPlan from) {
    return from.farm().groups().stream()
        .filter(g -> g.gainKgPerDay() > 0 && g.fromInclusive() == null && g.toExclusive() == null)
        .toList();
  }

  /**
   * The plan that follows a plan, so many years on, and begins as it leaves the farm. What is
   * planned goes on by so many years, but for fields on which a perennial is sown, or of which
   * something is written for a day after the plan's end: there comes what is written, and nothing
   * again by itself but what is sown after the last perennial.
   *
   * @param sameAnimals as of {@link #edits}
   * @throws Refused where the plan does not come to that day
   */
  public static FarmPlan next(Engine engine, FarmPlan from, int years, Set<String> sameAnimals) {
    FarmPlan into =
        years == 0 ? from : engine.changed(engine.yearsOn(from, years), onward(engine, from));
    return engine.changed(into, edits(engine, from, into, sameAnimals));
  }

  /** What is written for fields of more than a year stays where it is written. */
  private static List<PlanEdit> onward(Engine engine, FarmPlan from) {
    Catalogue catalogue = engine.catalogue().on(from.farm());
    LocalDate end = from.plan().year().endExclusive();
    List<PlanEdit> edits = new ArrayList<>();
    for (Sowing s : from.plan().sowings()) {
      List<Sowing> field =
          from.plan().sowings().stream().filter(x -> x.fieldId().equals(s.fieldId())).toList();
      boolean later = field.stream().anyMatch(x -> !x.sowOn().isBefore(end));
      boolean over =
          field.stream()
              .filter(x -> catalogue.forage(x.forageId()).sownToStay())
              .anyMatch(x -> !x.sowOn().isBefore(s.sowOn()));
      if (!s.sowOn().isBefore(end)) {
        edits.add(new PlanEdit.Put<>(Items.SOWINGS, s));
      } else if (later || over) {
        edits.add(new PlanEdit.Remove<>(Items.SOWINGS, s.id()));
      }
    }
    return edits;
  }

  private static <T extends Record> Optional<T> find(Items<T> items, FarmPlan in, String id) {
    return items.in(in).stream().filter(t -> items.id(t).equals(id)).findFirst();
  }

  private void land() {
    Map<String, Pads> pads = pads();
    for (int f = 0; f < resolved.fields.length; f++) {
      Field was = resolved.fields[f].field;
      Optional<Field> is = find(Items.FIELDS, into, was.id());
      if (is.isEmpty()) {
        continue;
      }
      OnField on = there.fields().get(f);
      Field drawn = is.get().with(is.get().stand(), drawn(is.get(), pads.get(was.id())));
      int own = cameToItsOwn(f);
      Field then =
          own > 0
              ? drawn.sown(newStand(f, own))
              : drawn.with(stand(is.get(), on.stands().get(0)), drawn.outline());
      if (!then.equals(is.get())) {
        edits.add(new PlanEdit.Put<>(Items.FIELDS, then));
      }
      edits.add(
          new PlanEdit.Put<>(
              Items.GROUND,
              new OpeningGround(
                  was.id(),
                  rounded(Math.min(1, on.waterShare()), 1000),
                  rounded(on.nitrogenKgPerHa(), 10),
                  rounded(on.nitrogenToComeKgPerHa(), 10),
                  on.stands().get(Math.max(0, own)).state())));
    }
  }

  /**
   * The one perennial that was sown and has come to its full growth where nothing else lives: it is
   * the field's stand from then on, what is dead of others standing in it. Its place, or -1.
   */
  private int cameToItsOwn(int f) {
    FieldPlan field = resolved.fields[f];
    List<Standing> stands = there.fields().get(f).stands();
    int own = -1;
    for (int i = 0; i < field.stands.length; i++) {
      boolean lives = i == 0 ? stands.get(0).there() : stands.get(i).up() && !stands.get(i).over();
      boolean whole =
          i > 0 && age(field.stands[i]) >= CropRules.fullAfterDays(field.stands[i].forage);
      if (lives && (own >= 0 || i == 0 || field.stands[i].passing() || !whole)) {
        return -1;
      }
      own = lives ? i : own;
    }
    return own;
  }

  private int age(StandPlan stand) {
    return day - stand.crop.sowDay;
  }

  private Stand newStand(int f, int i) {
    Standing is = there.fields().get(f).stands().get(i);
    Sowing s = resolved.fields[f].stands[i].crop.stated;
    double others = 0;
    for (int other = 1; other < resolved.fields[f].stands.length; other++) {
      others += other == i ? 0 : there.fields().get(f).stands().get(other).coverKgPerHa();
    }
    double cover = is.coverKgPerHa() + others;
    double dead = cover <= 0 ? 0 : rounded((is.deadKgPerHa() + others) / cover, 1000);
    return new Stand(s.forageId(), s.yieldKgPerHa(), null, rounded(cover, 10), dead, null, null);
  }

  private Forage forage(Sowing s) {
    return engine.catalogue().on(from.farm()).forage(s.forageId());
  }

  /** What was ploughed in is not there any more; what comes later comes as it did. */
  private Stand stand(Field field, Standing base) {
    Stand is = field.stand();
    if (base.gone()) {
      return is.between(null, start);
    }
    boolean here = is.fromInclusive() == null || !is.fromInclusive().isAfter(start);
    if (!base.there() || !here) {
      return is;
    }
    double cover = base.coverKgPerHa();
    return is.standing(
        rounded(cover, 10), cover <= 0 ? 0 : rounded(base.deadKgPerHa() / cover, 1000));
  }

  private static Outline drawn(Field field, Pads more) {
    Outline is = field.outline();
    if (is == null || more == null) {
      return is;
    }
    List<Pads> pads = new ArrayList<>();
    for (Pads p : is.pads()) {
      long apart = Math.abs(p.eatenUp().toEpochDay() - more.eatenUp().toEpochDay());
      if (apart >= SAME_WINTER_DAYS) {
        pads.add(p);
      }
    }
    pads.add(more);
    int over = Math.max(0, pads.size() - MOST_WINTERS);
    return new Outline(is.edge(), is.off(), pads.subList(over, pads.size()));
  }

  /** Where bales were eaten until that day, by field. */
  private Map<String, Pads> pads() {
    List<BaleField> drawn =
        from.plan().bales().stream()
            .filter(b -> from.field(b.fieldId()).outline() != null)
            .toList();
    Map<String, Pads> pads = new TreeMap<>();
    List<BaleWinter> laid = BaleWinter.of(year, engine.catalogue(), drawn);
    for (int i = 0; i < laid.size(); i++) {
      List<Outline.Point> at = new ArrayList<>();
      LocalDate last = null;
      for (BaleWinter.BaleSection s : laid.get(i).sections()) {
        if (s.from() != null && s.from().isBefore(start)) {
          s.spots().forEach(spot -> at.add(spot.at()));
          last =
              s.toExclusive() == null || s.toExclusive().isAfter(start) ? start : s.toExclusive();
        }
      }
      if (!at.isEmpty()) {
        Pads these = new Pads(last, at);
        pads.merge(drawn.get(i).fieldId(), these, NextPlan::both);
      }
    }
    return pads;
  }

  private static Pads both(Pads a, Pads b) {
    List<Outline.Point> at = new ArrayList<>(a.at());
    at.addAll(b.at());
    return new Pads(a.eatenUp().isAfter(b.eatenUp()) ? a.eatenUp() : b.eatenUp(), at);
  }

  /** Crops that stand on the day or lie sown, in place of those that stood on the plan's day. */
  private void crops() {
    Set<String> ids = new HashSet<>();
    for (Sowing s : into.plan().sowings()) {
      if (s.standsAtStart(into.plan().year())) {
        edits.add(new PlanEdit.Remove<>(Items.SOWINGS, s.id()));
      } else {
        ids.add(s.id());
      }
    }
    for (int f = 0; f < resolved.fields.length; f++) {
      FieldPlan field = resolved.fields[f];
      for (int i = 1; i < field.stands.length; i++) {
        Standing is = there.fields().get(f).stands().get(i);
        CropPlan crop = field.stands[i].crop;
        boolean stands = is.up() && is.coverKgPerHa() >= NOTHING_KG_PER_HA;
        boolean sown = !is.up() && !is.over() && crop.sowDay < day;
        boolean kept = find(Items.FIELDS, into, field.field.id()).isPresent();
        kept &= cameToItsOwn(f) < 0;
        if ((stands || sown) && kept) {
          edits.add(new PlanEdit.Put<>(Items.SOWINGS, carried(crop.stated, is, ids)));
        }
      }
    }
  }

  private Sowing carried(Sowing s, Standing is, Set<String> taken) {
    String year = "-" + s.sowOn().getYear();
    String id = free(s.id().endsWith(year) ? s.id() : s.id() + year, taken);
    taken.add(id);
    LocalDate ends = s.endsOn() == null || s.endsOn().isAfter(start) ? s.endsOn() : null;
    double cover = is.up() ? is.coverKgPerHa() : 0;
    double dead = cover <= 0 ? 0 : is.over() ? 1 : is.deadKgPerHa() / cover;
    boolean stays = forage(s).sownToStay();
    Double heat = is.up() && !stays ? (Double) rounded(is.heat(), 1) : null;
    return s.standing(
        id,
        ends,
        new Sowing.Standing(
            rounded(cover, 10),
            rounded(dead, 1000),
            is.ready(),
            heat,
            is.up() ? is.state() : null));
  }

  private static String free(String wanted, Set<String> taken) {
    String id = wanted;
    for (int n = 2; taken.contains(id); n++) {
      id = wanted + "-" + n;
    }
    return id;
  }

  /**
   * What is left of each lot. What was cut or bought in the plan becomes a lot of its own, as the
   * next plan may cut or buy such a lot again; orders of feeds that name it name both, the older
   * first. A step that names nothing but lots which are empty now would feed nobody: it is given
   * what was made.
   */
  private void store() {
    Map<String, String> older = new TreeMap<>();
    Set<String> empty = new HashSet<>();
    for (int l = 0; l < resolved.lots.length; l++) {
      LotPlan plan = resolved.lots[l];
      InStore is = there.lots().get(l);
      boolean made = plan.fromCut || plan.bought;
      if (made && (!is.there() || is.units() == 0)) {
        continue;
      }
      String id = made ? plan.lot.id() + "-" + madeOn(l).getYear() : plan.lot.id();
      Optional<Lot> known = find(Items.LOTS, into, id);
      if (!made && known.isEmpty()) {
        continue;
      }
      Lot left = left(l, id, is);
      if (!known.equals(Optional.of(left))) {
        edits.add(new PlanEdit.Put<>(Items.LOTS, left));
      }
      if (made) {
        older.put(plan.lot.id(), id);
      } else if (left.units() == 0) {
        empty.add(id);
      }
    }
    named(older, empty);
  }

  private Lot left(int l, String id, InStore is) {
    LotPlan plan = resolved.lots[l];
    double stated = plan.lot.kgDmPerUnit();
    double share = is.there() && stated > 0 ? is.kgDmPerUnit() / stated : 1;
    boolean alike = Math.abs(share - 1) < ALIKE;
    boolean reckoned = plan.fromCut || plan.lot.origin().worth() != null;
    LocalDate cut = plan.fromCut ? madeOn(l) : plan.lot.origin().cutOn();
    FeedWorth worth = reckoned && is.there() ? worth(is.worth()) : plan.lot.origin().worth();
    return plan.lot.left(
        id, is.units(), alike ? 1 : rounded(share, 10_000), plan.lot.origin().reckoned(cut, worth));
  }

  /** A unit that lost less than this weighs what it did. */
  private static final double ALIKE = 0.0005;

  private static FeedWorth worth(List<Double> w) {
    return new FeedWorth(
        rounded(w.get(0), 100),
        rounded(w.get(1), 100),
        rounded(w.get(2), 100),
        rounded(w.get(3), 1000),
        rounded(w.get(4), 1000),
        FeedWorth.From.CUT);
  }

  private LocalDate madeOn(int lot) {
    String id = resolved.lots[lot].lot.id();
    Optional<LocalDate> cut =
        from.plan().cuts().stream()
            .filter(c -> c.lot().id().equals(id))
            .map(HayCut::date)
            .findFirst();
    return cut.orElseGet(
        () ->
            from.plan().purchases().stream()
                .filter(p -> p.lot().id().equals(id))
                .map(Purchase::date)
                .findFirst()
                .orElse(start));
  }

  private void named(Map<String, String> older, Set<String> empty) {
    for (AnimalGroup group : into.farm().groups()) {
      List<FeedStep> steps =
          into.plan().steps().stream().filter(s -> s.groupId().equals(group.id())).toList();
      List<FeedStep> then = steps.stream().map(s -> naming(s, older, empty)).toList();
      if (!then.equals(steps)) {
        edits.add(new PlanEdit.SetFeeding(group.id(), then));
      }
    }
  }

  private static FeedStep naming(FeedStep s, Map<String, String> older, Set<String> empty) {
    boolean nothing =
        s.kind() == FeedStep.Kind.STORE
            && !s.sourceIds().isEmpty()
            && empty.containsAll(s.sourceIds());
    if (nothing && !older.isEmpty()) {
      return s.from(older.values().stream().sorted().toList());
    }
    List<String> sources = new ArrayList<>();
    for (String id : s.sourceIds()) {
      String before = s.kind() == FeedStep.Kind.STORE ? older.get(id) : null;
      if (before != null && !s.sourceIds().contains(before)) {
        sources.add(before);
      }
      sources.add(id);
    }
    return sources.equals(s.sourceIds()) ? s : s.from(sources);
  }

  private void herd() {
    int last = day - 1;
    for (int g = 0; g < resolved.groups.length; g++) {
      AnimalGroup was = from.farm().groups().get(g);
      GroupYear group = resolved.groups[g].year;
      Optional<AnimalGroup> is = find(Items.GROUPS, into, was.id());
      boolean stays =
          is.isPresent()
              && (is.get().fromInclusive() == null || !is.get().fromInclusive().isAfter(start));
      if (!stays || group.head(last) <= 0) {
        continue;
      }
      boolean older = sameAnimals.contains(was.id());
      boolean sameHerd = was.gainKgPerDay() <= 0 || older;
      int head = sameHerd ? (int) Math.round(group.head(last)) + awayOver(was) : is.get().head();
      double weight = older ? rounded(group.weightKg(last), 10) : is.get().weightKg();
      double score = DietYear.of(year, g).score(last);
      Double condition = Double.isNaN(score) || !sameHerd ? null : (Double) rounded(score, 10);
      AnimalGroup then = is.get().later(head, weight, is.get().keeping().from(condition));
      if (!then.equals(is.get())) {
        edits.add(new PlanEdit.Put<>(Items.GROUPS, then));
      }
    }
  }

  /** Head that are away for a time on that day and come back; other people's go. */
  private int awayOver(AnimalGroup group) {
    int away = 0;
    for (HeadChange c : group.changes()) {
      boolean over =
          c.kind().forATime()
              && c.date().isBefore(start)
              && c.untilExclusive() != null
              && c.untilExclusive().isAfter(start);
      away -= over ? c.kind().sign() * c.head() : 0;
    }
    return away;
  }

  private void shed() {
    List<Sowing> done =
        from.plan().sowings().stream().filter(s -> s.sowOn().isBefore(start)).toList();
    FarmPlan sown = new FarmPlan(from.farm(), from.plan().withAnchors(List.of()).withSowings(done));
    Map<String, Double> left = SeedUse.leftKg(sown, engine.catalogue().on(from.farm()));
    for (Seed seed : from.farm().seeds()) {
      double kg = rounded(left.getOrDefault(seed.forageId(), 0.0), 10);
      Optional<Seed> is = find(Items.SEEDS, into, seed.forageId());
      if (is.isPresent() && kg < LEAST_SEED_KG) {
        edits.add(new PlanEdit.Remove<>(Items.SEEDS, seed.forageId()));
      } else if (is.isPresent() && is.get().kg() != kg) {
        edits.add(new PlanEdit.Put<>(Items.SEEDS, new Seed(seed.forageId(), kg, is.get().note())));
      }
    }
  }

  private static final double LEAST_SEED_KG = 0.1;

  private static double rounded(double value, double parts) {
    return Math.round(value * parts) / parts;
  }
}
