package wiselarder.core;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.herd.Keeping;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Plan;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Scenario;
import wiselarder.core.plan.Sowing;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;
import wiselarder.core.store.Reserve;
import wiselarder.core.store.UnitSize;

/** Small invented farms for tests. */
public final class Farms {
  public static final Engine ENGINE = Engine.load();
  public static final LocalDate START = LocalDate.of(2026, 9, 1);

  public final List<Field> fields = new ArrayList<>();
  public final List<AnimalGroup> groups = new ArrayList<>();
  public final List<Lot> lots = new ArrayList<>();
  public final List<FeedStep> steps = new ArrayList<>();
  public final List<Closing> closings = new ArrayList<>();
  public final List<HayCut> cuts = new ArrayList<>();
  public final List<Purchase> purchases = new ArrayList<>();
  public final List<Sowing> sowings = new ArrayList<>();
  public final List<Dressing> dressings = new ArrayList<>();
  public final List<Irrigation> irrigations = new ArrayList<>();
  public final List<Scenario> scenarios = new ArrayList<>();
  public String climate = "transition_humid";
  public LocalDate start = START;
  public int months = 12;

  public FarmPlan build() {
    return new FarmPlan(
        new Farm(
            "Test Farm", "", climate, Farm.UnitSystem.METRIC, "EUR", 11.8, fields, groups, lots),
        new Plan(
            "Plan",
            new PlanYear(start, months),
            steps,
            closings,
            cuts,
            purchases,
            sowings,
            dressings,
            irrigations,
            scenarios));
  }

  /** A group that eats a flat amount all year. */
  public Farms eaters(String id, int head, double kgPerHeadDay) {
    groups.add(
        new AnimalGroup(
            id, id, "beef/bull", head, 800, 0, kgPerHeadDay, null, 1, 0, null, null, null, null));
    return this;
  }

  /** Round bales of 400 kg at 90% dry matter: 360 kg DM, barn stored, fed in an open ring. */
  public Farms bales(String id, int units) {
    lots.add(bale(id, units));
    return this;
  }

  /** Such bales of a feed of the table. */
  public static Lot of(String id, int units, String feedId) {
    return with(bale(id, units), new Origin(feedId, null, Origin.Wrap.NONE, "", true, null, null));
  }

  public static Lot with(Lot lot, Origin origin) {
    return with(lot, origin, null, null);
  }

  public static Lot with(Lot lot, Origin origin, UnitSize size, Reserve reserve) {
    return new Lot(
        lot.id(),
        lot.name(),
        lot.unitName(),
        lot.units(),
        lot.kgPerUnitAsFed(),
        lot.dmShare(),
        lot.storageMethodId(),
        lot.feedingMethodId(),
        lot.pricePerTonneAsFed(),
        lot.note(),
        origin,
        size,
        reserve);
  }

  /** The same group kept in another way. */
  public static AnimalGroup kept(AnimalGroup g, Keeping keeping, List<HeadChange> changes) {
    return new AnimalGroup(
        g.id(),
        g.name(),
        g.kind(),
        g.head(),
        g.weightKg(),
        g.gainKgPerDay(),
        g.flatIntakeKgPerHeadDay(),
        g.birthStart(),
        g.birthSpreadDays(),
        g.youngPerDam(),
        g.weaning(),
        g.youngLeave(),
        g.fromInclusive(),
        g.toExclusive(),
        changes,
        keeping);
  }

  /** Dams of a kind that give birth on a day of the year, all on one, and wean at the usual age. */
  public static AnimalGroup dams(
      String id, String kind, int head, double weightKg, MonthDay birth, double young) {
    return new AnimalGroup(
        id, id, kind, head, weightKg, 0, null, birth, 1, young, null, null, null, null);
  }

  /** A fact written down on the day it happened; its id is its place in {@link #written}. */
  public static FarmRecord seen(LocalDate on, Fact fact) {
    return new FarmRecord("unplaced", on, fact, SOMEBODY);
  }

  /** What was written down, in this order, as r0, r1 and so on. */
  /** A cover as somebody judged it by eye. */
  public static CoverSeen cover(
      String field, String forage, Double kgPerHa, Double deadShare, CoverSeen.SignSeen... signs) {
    return new CoverSeen(
        field,
        forage,
        CoverSeen.Way.EYE,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        kgPerHa,
        deadShare,
        List.of(signs),
        "");
  }

  public static FarmRecords written(FarmRecord... records) {
    List<FarmRecord> all = new ArrayList<>();
    for (FarmRecord r : records) {
      all.add(new FarmRecord("r" + all.size(), r.on(), r.fact(), r.written()));
    }
    return FarmRecords.of(all);
  }

  private static final FarmRecord.Written SOMEBODY =
      new FarmRecord.Written("Ann", java.time.Instant.EPOCH, "test");

  public static Lot bale(String id, int units) {
    return new Lot(id, id, "round bale", units, 400, 0.9, "s_barn", "f_ring_open", 100.0, "");
  }

  /** A fescue field with twelve equal monthly rates, set stocked. */
  public Farms field(String id, double areaHa, double rate, double cover) {
    fields.add(fescue(id, areaHa, rate, cover));
    return this;
  }

  public static Field fescue(String id, double areaHa, double rate, double cover) {
    return stand(id, areaHa, "tall_fescue_novel", Collections.nCopies(12, rate), cover);
  }

  public static Field stand(
      String id, double areaHa, String forage, List<Double> rates, double cover) {
    return new Field(
        id,
        id,
        areaHa,
        new Stand(forage, null, rates, cover, 0, null, null),
        Field.Grazing.SET_STOCKED,
        null,
        null,
        null,
        true,
        "",
        null);
  }

  public Farms graze(String group, LocalDate from, LocalDate to, String... fieldIds) {
    steps.add(
        new FeedStep(
            "s" + steps.size(), group, FeedStep.Kind.GRAZE, Arrays.asList(fieldIds), from, to));
    return this;
  }

  public Farms feed(String group, LocalDate from, LocalDate to, String... lotIds) {
    steps.add(
        new FeedStep(
            "s" + steps.size(), group, FeedStep.Kind.STORE, Arrays.asList(lotIds), from, to));
    return this;
  }

  public Farms shut(String field, LocalDate from, LocalDate to, String... groupIds) {
    closings.add(
        new Closing("c" + closings.size(), field, from, to, Arrays.asList(groupIds), null));
    return this;
  }
}
