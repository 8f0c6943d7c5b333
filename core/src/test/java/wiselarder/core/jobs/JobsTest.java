package wiselarder.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.bales.Spacing;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.herd.HeadChange;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.BreakField;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Irrigation;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.LightPass;
import wiselarder.core.plan.OwnJob;
import wiselarder.core.plan.Purchase;
import wiselarder.core.plan.Rung;
import wiselarder.core.plan.Sign;
import wiselarder.core.plan.Sowing;
import wiselarder.core.plan.Thing;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.HoldLifted;
import wiselarder.core.records.JobMarked;
import wiselarder.core.records.Struck;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Reserve;

class JobsTest {
  private static LocalDate on(String iso) {
    return LocalDate.parse(iso);
  }

  private static List<Job> jobs(FarmPlan plan) {
    return jobs(ENGINE, plan);
  }

  private static List<Job> jobs(Engine engine, FarmPlan plan) {
    return Jobs.of(engine, engine.simulate(plan));
  }

  private static Job one(List<Job> jobs, Job.Kind kind) {
    assertThat(jobs).filteredOn(j -> j.kind() == kind).as(kind.name()).hasSize(1);
    return jobs.stream().filter(j -> j.kind() == kind).findFirst().orElseThrow();
  }

  private static void days(Job job, String earliest, String day, String latest) {
    assertThat(List.of(job.earliest(), job.day(), job.latest()))
        .as(job.key())
        .isEqualTo(List.of(on(earliest), on(day), on(latest)));
  }

  private static AnimalGroup cows(HeadChange... changes) {
    return new AnimalGroup(
            "cows",
            "Cows",
            "beef/cow",
            20,
            550,
            0,
            null,
            MonthDay.of(3, 10),
            60,
            0.9,
            MonthDay.of(10, 20),
            null,
            null,
            null)
        .withChanges(List.of(changes));
  }

  /** Twelve hectares shut on 10 August for 1 December, open until 15 February. */
  @Test
  void aClosingIsGrazedShortShutOpenedAndLeft() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000);
    farm.start = on("2026-06-01");
    farm.closings.add(
        new wiselarder.core.plan.Closing(
            "c", "near", on("2026-08-10"), on("2026-12-01"), List.of("bulls"), on("2027-02-15")));
    List<Job> jobs = jobs(farm.build());
    days(one(jobs, Job.Kind.GRAZE_SHORT), "2026-07-27", "2026-08-03", "2026-08-10");
    Job shut = one(jobs, Job.Kind.SHUT);
    days(shut, "2026-08-03", "2026-08-10", "2026-08-17");
    assertThat(shut.wanted()).isEqualTo(on("2026-12-01"));
    assertThat(shut.with()).isEqualTo("bulls");
    assertThat(shut.key()).isEqualTo("SHUT/c/2026");
    Job open = one(jobs, Job.Kind.OPEN);
    days(open, "2026-11-24", "2026-12-01", "2027-02-14");
    assertThat(open.figure(Job.What.KG_DM_PER_HA)).isGreaterThan(1000);
    days(one(jobs, Job.Kind.OFF), "2027-02-07", "2027-02-14", "2027-02-14");
  }

  /**
   * Rye into the sod of a warm-season field: ten hectares at 100 kg seed... what the table says, of
   * which 300 kg lie in the shed; gone a week before the bermudagrass greens up.
   */
  @Test
  void aSowingIsOrderedPreparedSownLookedAtAndEndedBeforeTheSodGreensUp() {
    Farms farm = new Farms().eaters("bulls", 10, 10);
    farm.fields.add(Farms.stand("rye", 10, "bermudagrass", Collections.nCopies(12, 15.0), 1500));
    farm.graze("bulls", null, null, "rye");
    farm.sowings.add(
        new Sowing(
            "s",
            "rye",
            "cereal_rye",
            on("2026-09-23"),
            Sowing.Preparation.BURN_DOWN,
            null,
            1,
            null));
    FarmPlan plan = farm.build();
    List<Job> jobs = jobs(plan);
    double rate = ENGINE.catalogue().forage("cereal_rye").seedRateKgPerHa();
    Job seed = one(jobs, Job.Kind.ORDER_SEED);
    assertThat(seed.figure(Job.What.SEED_KG)).isCloseTo(10 * rate, within(1e-6));
    days(seed, "2026-07-10", "2026-08-24", "2026-09-16");
    days(one(jobs, Job.Kind.TEST_SOIL), "2026-05-26", "2026-07-25", "2026-09-02");
    // fourteen days before sowing, by the preparation
    Job spray = one(jobs, Job.Kind.SPRAY);
    assertThat(spray.day()).isEqualTo(on("2026-09-09"));
    // the table of sowings: 5 September to 10 November as spring feed
    days(one(jobs, Job.Kind.SOW), "2026-09-05", "2026-09-23", "2026-11-10");
    Job first = one(jobs, Job.Kind.FIRST_USE);
    assertThat(first.day()).isBetween("2026-10-20", "2027-04-20");
    assertThat(first.figure(Job.What.HEIGHT_CM))
        .isEqualTo(ENGINE.catalogue().forage("cereal_rye").entryHeightCm());
    Job end = one(jobs, Job.Kind.TERMINATE);
    assertThat(end.day()).isEqualTo(end.wanted().minusDays(7));
    assertThat(end.wanted()).isBetween("2027-04-01", "2027-05-15");
    assertThat(one(jobs, Job.Kind.LAST_USE).day()).isBefore(end.day());
    FarmPlan inShed =
        PlanEdit.all(
            plan,
            List.of(
                new PlanEdit.Put<>(
                    Items.SEEDS, new wiselarder.core.plan.Seed("cereal_rye", 10 * rate, ""))));
    assertThat(jobs(inShed)).extracting(Job::kind).doesNotContain(Job.Kind.ORDER_SEED);
  }

  /** A crop on a bed leaves bare ground: disked or ploughed, then something is sown behind it. */
  @Test
  void behindACropOnABedSomethingIsSown() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("bed", 4, 20, 1500);
    farm.start = on("2027-01-01");
    farm.sowings.add(
        new Sowing(
            "m",
            "bed",
            "pearl_millet",
            on("2027-05-24"),
            Sowing.Preparation.FULL_SEEDBED,
            null,
            1,
            on("2027-09-10")));
    List<Job> jobs = jobs(farm.build());
    // 28 days of preparation
    assertThat(one(jobs, Job.Kind.SEEDBED).day()).isEqualTo(on("2027-04-26"));
    days(one(jobs, Job.Kind.CATCH_CROP), "2027-09-10", "2027-09-12", "2027-09-20");
    Job end = one(jobs, Job.Kind.TERMINATE);
    assertThat(end.day()).isEqualTo(on("2027-09-10"));
    assertThat(end.wanted()).isNull();
    farm.sowings.add(
        new Sowing(
            "r",
            "bed",
            "cereal_rye",
            on("2027-09-20"),
            Sowing.Preparation.LIGHT_DISKING,
            null,
            1,
            null));
    List<Job> followed = jobs(farm.build());
    assertThat(followed).extracting(Job::kind).doesNotContain(Job.Kind.CATCH_CROP);
    // five days of preparation
    assertThat(one(followed, Job.Kind.DISK).day()).isEqualTo(on("2027-09-15"));
    farm.sowings.add(
        new Sowing(
            "f",
            "bed",
            "fallow",
            on("2027-02-10"),
            Sowing.Preparation.LIGHT_DISKING,
            null,
            1,
            on("2027-04-01")));
    assertThat(one(jobs(farm.build()), Job.Kind.FALLOW).of()).isEqualTo("bed");
  }

  /** 60 kg N on twelve hectares of fescue; on a clover field it says so. */
  @Test
  void nitrogenIsOrderedTestedForAndLessWhereCloverStands() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000);
    farm.fields.add(Farms.stand("clover", 5, "white_clover", Collections.nCopies(12, 15.0), 1500));
    farm.dressings.add(new Dressing("n", "near", on("2027-03-15"), 60, null));
    farm.dressings.add(new Dressing("w", "clover", on("2027-04-15"), 20, null));
    farm.irrigations.add(new Irrigation("i", "near", on("2027-06-10"), 30));
    List<Job> jobs = jobs(farm.build());
    Job n = jobs.stream().filter(j -> j.key().equals("NITROGEN/n/2026")).findFirst().orElseThrow();
    days(n, "2027-03-08", "2027-03-15", "2027-03-22");
    assertThat(n.figure(Job.What.KG_N)).isEqualTo(720);
    assertThat(n.figure(Job.What.KG_N_PER_HA)).isEqualTo(60);
    assertThat(n.figure(Job.What.CLOVER_PERCENT)).isNaN();
    // 25 kg a day through the year at most, 2.5% of it nitrogen
    assertThat(n.figure(Job.What.KG_N_TAKEN_UP_PER_HA)).isBetween(100.0, 0.025 * 365 * 30);
    Job w = jobs.stream().filter(j -> j.key().equals("NITROGEN/w/2026")).findFirst().orElseThrow();
    assertThat(w.figure(Job.What.CLOVER_PERCENT)).isGreaterThanOrEqualTo(30);
    assertThat(jobs)
        .filteredOn(j -> j.kind() == Job.Kind.ORDER_NITROGEN)
        .extracting(Job::day)
        .containsExactly(on("2027-02-22"), on("2027-03-25"));
    assertThat(jobs).filteredOn(j -> j.kind() == Job.Kind.TEST_SOIL).hasSize(2);
    days(one(jobs, Job.Kind.WATER), "2027-06-08", "2027-06-10", "2027-06-12");
  }

  /** Cut on 20 May: counted a week later, sampled four weeks later, when it has cured. */
  @Test
  void whatIsCutIsCountedAndSampled() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000);
    farm.graze("bulls", null, null, "near");
    farm.cuts.add(
        new HayCut("h", "near", on("2027-05-20"), "h_hay_conditioned_grass", Farms.bale("new", 0)));
    List<Job> jobs = jobs(farm.build());
    Job cut = one(jobs, Job.Kind.CUT);
    assertThat(cut.day()).isEqualTo(on("2027-05-20"));
    assertThat(cut.earliest()).isBetween("2027-05-06", "2027-05-20");
    assertThat(cut.latest()).isBetween("2027-05-20", "2027-06-03");
    assertThat(cut.figure(Job.What.UNITS)).isPositive();
    // 12 ha mown, tedded and raked at 0.45 + 0.25 + 0.3 hours, and 0.045 hours a bale
    assertThat(cut.hours()).isCloseTo(12 + 0.045 * cut.figure(Job.What.UNITS), within(1e-6));
    days(one(jobs, Job.Kind.COUNT_BALES), "2027-05-21", "2027-05-27", "2027-06-10");
    assertThat(one(jobs, Job.Kind.TAKE_SAMPLE).day()).isEqualTo(on("2027-06-17"));
  }

  /** Ten bulls of 10 kg from 1 November: 100 kg a day of hay, bought for 1 January. */
  @Test
  void hayIsBoughtBeforeItIsFedCountedEachMonthAndSampled() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000).bales("hay", 30);
    farm.graze("bulls", null, START.plusDays(61), "near");
    farm.purchases.add(
        new Purchase("p", on("2027-01-01"), Farms.bale("more", 40), List.of("bulls")));
    farm.feed("bulls", START.plusDays(61), null, "hay");
    List<Job> jobs = jobs(farm.build());
    Job buy = one(jobs, Job.Kind.BUY);
    assertThat(buy.day()).isEqualTo(on("2027-01-01"));
    assertThat(buy.earliest()).isEqualTo(on("2026-11-02"));
    // 30 bales of 360 kg less a tenth or two last to February
    assertThat(buy.latest()).isBetween("2027-01-20", "2027-02-20").isEqualTo(buy.wanted());
    assertThat(buy.figure(Job.What.UNITS)).isEqualTo(40);
    assertThat(jobs)
        .filteredOn(j -> j.kind() == Job.Kind.COUNT_BALES)
        .extracting(Job::day)
        .startsWith(on("2026-11-01"), on("2026-12-01"));
    assertThat(jobs)
        .filteredOn(j -> j.kind() == Job.Kind.TAKE_SAMPLE)
        .extracting(Job::of)
        .containsExactlyInAnyOrder("hay", "more");
    Engine tested =
        ENGINE.knowing(
            Farms.written(
                Farms.seen(
                    START,
                    new wiselarder.core.records.LotTested(
                        "hay",
                        new wiselarder.core.store.FeedTest(
                            "t", START, START, "L", 0.9, 9.0, 55.0, null, null, null, null)))));
    assertThat(jobs(tested, farm.build()))
        .filteredOn(j -> j.kind() == Job.Kind.TAKE_SAMPLE)
        .extracting(Job::of)
        .containsExactly("more");
  }

  /** First killing frost in one of ten years by day 282, 9 October. */
  @Test
  void balesThatAreGrazedAreSetOutBaredAndTheirPadsSpread() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000);
    Lot b = Farms.bale("rows", 60);
    Lot rows =
        new Lot(
            "rows",
            "Rows",
            "round bale",
            60,
            400,
            0.9,
            "s_net_field_winter",
            "f_bale_graze_2d",
            null,
            "",
            null,
            null,
            new Reserve(5, MonthDay.of(12, 15), MonthDay.of(3, 1)));
    assertThat(b.unitName()).isEqualTo(rows.unitName());
    farm.lots.add(rows);
    farm.graze("bulls", null, START.plusDays(75), "near");
    farm.feed("bulls", START.plusDays(75), START.plusDays(180), "rows");
    List<Job> jobs = jobs(farm.build());
    // first fed on 15 November
    days(one(jobs, Job.Kind.SET_OUT), "2026-09-27", "2026-10-25", "2026-11-13");
    days(one(jobs, Job.Kind.STRINGS_OFF), "2026-09-11", "2026-10-02", "2026-10-09");
    Job mark = one(jobs, Job.Kind.MARK_PADS);
    Job spread = one(jobs, Job.Kind.SPREAD_PADS);
    assertThat(mark.day()).isBefore(spread.day());
    // last killing frost in half of the years by day 110, 20 April
    assertThat(spread.day()).isEqualTo(on("2027-04-20"));
    assertThat(one(jobs, Job.Kind.OPEN_RESERVE).day()).isEqualTo(on("2026-12-15"));
    // forty of them keep their strings until they are opened, then all
    assertThat(one(jobs, Job.Kind.STRINGS_OFF).figure(Job.What.UNITS)).isEqualTo(60);
    assertThat(
            one(jobs(Items.BALES.put(farm.build(), bareOnTheDay(40, false))), Job.Kind.STRINGS_OFF)
                .figure(Job.What.UNITS))
        .isEqualTo(20);
    assertThat(jobs(Items.BALES.put(farm.build(), bareOnTheDay(60, true))))
        .noneMatch(j -> j.kind() == Job.Kind.STRINGS_OFF)
        // nobody hauls what lies where the baler left it
        .noneMatch(j -> j.kind() == Job.Kind.SET_OUT);
  }

  private static BaleField bareOnTheDay(int bales, boolean asMade) {
    return new BaleField(
        "b",
        "near",
        "rows",
        bales,
        4,
        List.of(),
        new Spacing(10, 12, 0, 0, 0),
        5,
        0,
        false,
        null,
        List.of(),
        2,
        true,
        true,
        asMade,
        null);
  }

  @Test
  void theHerdIsScoredMadeReadyWeanedAndChanged() {
    Farms farm = new Farms().field("near", 30, 25, 2000).bales("hay", 200);
    farm.groups.add(
        cows(
            new HeadChange(on("2026-12-10"), null, HeadChange.Kind.SOLD, 3, null, null, ""),
            new HeadChange(
                on("2027-05-01"), on("2027-07-01"), HeadChange.Kind.AWAY, 5, null, null, "")));
    farm.graze("cows", null, null, "near");
    farm.feed("cows", null, null, "hay");
    List<Job> jobs = jobs(farm.build());
    days(one(jobs, Job.Kind.FIRST_BIRTH), "2027-02-24", "2027-03-03", "2027-03-09");
    assertThat(jobs)
        .filteredOn(j -> j.kind() == Job.Kind.CONDITION)
        .extracting(Job::day)
        .containsExactly(on("2026-10-20"), on("2026-12-25"));
    Job wean = one(jobs, Job.Kind.WEAN);
    days(wean, "2026-10-06", "2026-10-20", "2026-10-27");
    assertThat(wean.figure(Job.What.HEAD)).isCloseTo(18, within(0.01));
    days(one(jobs, Job.Kind.SELL), "2026-11-26", "2026-12-10", "2026-12-10");
    assertThat(one(jobs, Job.Kind.SEND_AWAY).day()).isEqualTo(on("2027-05-01"));
    assertThat(one(jobs, Job.Kind.FETCH_BACK).day()).isEqualTo(on("2027-07-01"));
  }

  /** Cows on rye until they calve from 10 March: off three weeks before the first. */
  @Test
  void nobodyGivesBirthOnACrop() {
    Farms farm = new Farms().bales("hay", 200);
    farm.groups.add(cows());
    farm.fields.add(Farms.stand("rye", 20, "bermudagrass", Collections.nCopies(12, 15.0), 1500));
    farm.sowings.add(
        new Sowing(
            "s",
            "rye",
            "cereal_rye",
            on("2026-09-05"),
            Sowing.Preparation.GRAZE_DOWN,
            null,
            1,
            null));
    farm.graze("cows", null, null, "rye");
    farm.feed("cows", null, null, "hay");
    Job off = one(jobs(farm.build()), Job.Kind.OFF_CROP);
    days(off, "2027-02-10", "2027-02-17", "2027-02-28");
    assertThat(off.wanted()).isEqualTo(on("2027-03-10"));
    assertThat(off.with()).contains("rye");
  }

  /**
   * Ten bulls at 10 kg: a bale of 360 kg lasts them about three days. Four are opened on the first
   * day of the feeding, four when those are eaten up.
   */
  @Test
  void balesSetOutAreOpenedSectionBySection() {
    Farms farm = new Farms().eaters("bulls", 10, 10).bales("rounds", 60);
    farm.fields.add(
        Farms.fescue("home", 1, 0, 0)
            .shaped(
                "home",
                "Home",
                new Outline(
                    List.of(new Point(0, 0), new Point(100, 0), new Point(100, 100)), List.of())));
    farm.feed("bulls", on("2026-11-01"), on("2027-03-01"), "rounds");
    BaleField bales =
        new BaleField(
            "b",
            "home",
            "rounds",
            8,
            4,
            List.of(),
            new Spacing(10, 12, 0, 0, 0),
            5,
            0,
            false,
            null);
    List<Job> open =
        jobs(Items.BALES.put(farm.build(), bales)).stream()
            .filter(j -> j.kind() == Job.Kind.OPEN_BALES)
            .toList();
    assertThat(open).hasSize(2);
    days(open.get(0), "2026-11-01", "2026-11-01", "2026-11-02");
    assertThat(open.get(0).of()).isEqualTo("Home");
    assertThat(open.get(0).figure(Job.What.UNITS)).isEqualTo(4);
    assertThat(open.get(1).day()).isBetween(on("2026-11-11"), on("2026-11-15"));
  }

  /** A field fed off in breaks of two days: each on the day on which it is given. */
  @Test
  void eachBreakIsAJob() {
    Farms farm = new Farms().eaters("bulls", 4, 10);
    farm.fields.add(
        Farms.fescue("home", 2, 0, 4000)
            .shaped(
                "home",
                "Home",
                new Outline(
                    List.of(
                        new Point(0, 0), new Point(200, 0), new Point(200, 100), new Point(0, 100)),
                    List.of())));
    farm.graze("bulls", on("2026-12-01"), on("2026-12-07"), "home");
    BreakField breaks =
        new BreakField("k", "home", null, null, 90, null, 2, 1, true, 0, List.of(), null);
    List<Job> given =
        jobs(Items.BREAKS.put(farm.build(), breaks)).stream()
            .filter(j -> j.kind() == Job.Kind.GIVE_BREAK)
            .toList();
    assertThat(given).hasSize(3);
    days(given.get(1), "2026-12-03", "2026-12-03", "2026-12-03");
    assertThat(given.get(1).with()).isEqualTo("2");
    assertThat(given.get(1).figure(Job.What.HA)).isBetween(0.03, 0.15);
  }

  @Test
  void ownJobsRungsAndPassesAreJobsToo() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000);
    FarmPlan plan = farm.build();
    plan = Items.JOBS.put(plan, new OwnJob("o", "Order twine", on("2027-04-01"), null, "Sam", ""));
    plan = Items.RUNGS.put(plan, new Rung("r", MonthDay.of(6, 10), Sign.STANDS, 1800.0, "Sell"));
    plan =
        Items.PASSES.put(
            plan,
            new LightPass("p", "near", "bulls", on("2027-03-10"), on("2027-04-10"), 2500, 1500));
    List<Job> jobs = jobs(plan);
    assertThat(one(jobs, Job.Kind.OWN).of()).isEqualTo("Order twine");
    Job rung = one(jobs, Job.Kind.RUNG);
    assertThat(rung.day()).isEqualTo(on("2027-06-10"));
    assertThat(rung.with()).isEqualTo("STANDS");
    assertThat(rung.figure(Job.What.KG_DM_PER_HA)).isEqualTo(1800);
    days(one(jobs, Job.Kind.LIGHT_PASS), "2027-03-10", "2027-03-10", "2027-04-09");
    assertThatThrownBy(() -> new Rung("r", MonthDay.of(6, 10), Sign.RAIN, null, "Sell"))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new OwnJob("o", "x", on("2027-04-02"), on("2027-04-01"), "", ""))
        .isInstanceOf(Refused.class);
  }

  /** Moving a plan by a year moves its jobs by a year, but for days that go by a leap year. */
  @Test
  void aYearOnTheJobsAreAYearOn() {
    FarmPlan plan =
        Items.JOBS.put(
            new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000).build(),
            new OwnJob("o", "Order twine", on("2027-04-01"), on("2027-04-09"), "", ""));
    Job now = one(jobs(plan), Job.Kind.OWN);
    Job then = one(jobs(ENGINE.yearsOn(plan, 1)), Job.Kind.OWN);
    assertThat(then.day()).isEqualTo(now.day().plusYears(1));
    assertThat(then.latest()).isEqualTo(now.latest().plusYears(1));
    assertThat(then.key()).isNotEqualTo(now.key());
  }

  /** Ten bulls of 10 kg on 30 bales, 140 more for 1 November: bought in February they starve. */
  @Test
  void movingAJobSaysWhatTheYearLoses() {
    Farms farm = new Farms().eaters("bulls", 10, 10).bales("hay", 30);
    farm.purchases.add(
        new Purchase("p", on("2026-11-01"), Farms.bale("more", 140), List.of("bulls")));
    farm.feed("bulls", null, null, "hay");
    FarmPlan plan = farm.build();
    Job n = one(jobs(plan), Job.Kind.BUY);
    JobMoved moved = JobMoved.of(ENGINE, plan, n, on("2027-02-20"));
    assertThat(moved.edits()).hasSize(1);
    double before = ENGINE.simulate(plan).totalBareKg();
    double after = ENGINE.simulate(PlanEdit.all(plan, moved.edits())).totalBareKg();
    // 80 days of 100 kg; what was bought is then left over at the end
    assertThat(moved.bareKg()).isCloseTo(after - before, within(1e-6)).isBetween(7000.0, 9000.0);
    assertThat(moved.storeKg()).isPositive();
    JobMoved same = JobMoved.of(ENGINE, plan, n, n.day());
    assertThat(same.edits()).isEmpty();
    assertThat(same.costsKg()).isZero();
  }

  /** Every thing of the plan that a job dates can be moved, each by its own edit. */
  @Test
  void everyDatedThingMoves() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000).bales("hay", 30);
    farm.shut("near", on("2027-04-01"), on("2027-06-01"), "bulls");
    farm.purchases.add(new Purchase("p", on("2027-01-01"), Farms.bale("more", 40), List.of()));
    farm.irrigations.add(new Irrigation("i", "near", on("2027-06-10"), 30));
    farm.groups.add(
        cows(new HeadChange(on("2026-12-10"), null, HeadChange.Kind.SOLD, 3, null, null, "")));
    FarmPlan plan =
        Items.JOBS.put(
            farm.build(), new OwnJob("o", "Order twine", on("2027-04-01"), null, "", ""));
    Set<Thing> moved =
        jobs(plan).stream()
            .filter(j -> j.thing() != null)
            .filter(j -> !JobMoved.of(ENGINE, plan, j, j.day().plusDays(3)).edits().isEmpty())
            .map(Job::thing)
            .collect(Collectors.toSet());
    assertThat(moved)
        .containsExactlyInAnyOrder(
            Thing.CLOSING, Thing.PURCHASE, Thing.IRRIGATION, Thing.GROUP, Thing.JOB);
    Job shut = one(jobs(plan), Job.Kind.SHUT);
    // it cannot be shut after it opens
    assertThat(JobMoved.of(ENGINE, plan, shut, on("2027-07-01")).edits()).isEmpty();
  }

  @Test
  void whatBecameOfAJobStandsUntilItIsStruckOutOrThePlanMovesOn() {
    Farms farm = new Farms().eaters("bulls", 10, 10).field("near", 12, 25, 2000);
    farm.dressings.add(new Dressing("n", "near", on("2027-03-15"), 60, null));
    Job n = one(jobs(farm.build()), Job.Kind.NITROGEN);
    FarmRecord moved =
        Farms.seen(
            START, new JobMarked(n.key(), JobMarked.Mark.MOVED, n.day(), on("2027-03-30"), "wet"));
    FarmRecord done =
        Farms.seen(START, new JobMarked(n.key(), JobMarked.Mark.DONE, n.day(), null, ""));
    Marked both = new Marked(Farms.written(moved, done));
    assertThat(both.markOf(n).mark()).isEqualTo(JobMarked.Mark.DONE);
    FarmRecord struck = Farms.seen(START, new Struck("r1", "not so"));
    Marked again = new Marked(Farms.written(moved, done, struck));
    assertThat(again.markOf(n).to()).isEqualTo(on("2027-03-30"));
    farm.dressings.set(0, new Dressing("n", "near", on("2027-04-02"), 60, null));
    Job later = one(jobs(farm.build()), Job.Kind.NITROGEN);
    assertThat(again.markOf(later)).isNull();
    assertThatThrownBy(() -> new JobMarked(n.key(), JobMarked.Mark.DROPPED, n.day(), null, " "))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new JobMarked(n.key(), JobMarked.Mark.MOVED, n.day(), null, ""))
        .isInstanceOf(Refused.class);
  }

  /** Sorghum shut after frost: a job before it, and open again from the day it is lifted. */
  @Test
  void aHoldIsAJobAndIsLiftedFromADayOnWithAReason() {
    Farms farm = new Farms().eaters("bulls", 10, 10);
    farm.fields.add(Farms.stand("f", 5, "sorghum_sudangrass", Collections.nCopies(12, 10.0), 2000));
    farm.graze("bulls", null, null, "f");
    FarmPlan plan = farm.build();
    var held =
        ENGINE.simulate(plan).resolved().cautions.stream()
            .filter(c -> c.blocks() && c.hazard().id().equals("hz_frost_kill_sorghum"))
            .findFirst()
            .orElseThrow();
    assertThat(jobs(plan))
        .filteredOn(j -> j.kind() == Job.Kind.CAUTION)
        .extracting(Job::key)
        .contains("CAUTION/hz_frost_kill_sorghum-1/2026");
    int day = held.fromDay() + 2;
    assertThat(ENGINE.simulate(plan).resolved().holds.field(0, day)).isTrue();
    LocalDate from = plan.plan().year().date(day);
    Engine knowing =
        ENGINE.knowing(
            Farms.written(
                Farms.seen(
                    from,
                    new HoldLifted("hz_frost_kill_sorghum", "f", null, from, "brown and dry"))));
    var after = knowing.simulate(plan).resolved();
    assertThat(after.holds.field(0, day - 1)).isTrue();
    assertThat(after.holds.field(0, day)).isFalse();
    // it still cautions
    assertThat(after.cautions)
        .anyMatch(c -> !c.blocks() && c.hazard().id().equals("hz_frost_kill_sorghum"));
    // one lifted before it begins lifts nothing
    Engine early =
        ENGINE.knowing(
            Farms.written(
                Farms.seen(
                    START,
                    new HoldLifted(
                        "hz_frost_kill_sorghum",
                        "f",
                        null,
                        plan.plan().year().date(held.fromDay() - 5),
                        "looked"))));
    assertThat(early.simulate(plan).resolved().holds.field(0, day)).isTrue();
    assertThatThrownBy(() -> new HoldLifted("hz_frost_kill_sorghum", "f", null, from, ""))
        .isInstanceOf(Refused.class);
  }
}
