package wiselarder.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wiselarder.core.Farms.ENGINE;
import static wiselarder.core.Farms.START;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.Anchor;
import wiselarder.core.plan.Anchor.Mark;
import wiselarder.core.plan.Anchor.Part;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.Dressing;
import wiselarder.core.plan.Farm;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.FeedStep;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.Marks;
import wiselarder.core.plan.Thing;
import wiselarder.core.quantity.Refused;

/**
 * Dates that go by a mark of the year. In the transition zone the first frost has come in half of
 * the years by day 294 of the year, 21 October; in the cold north by day 271, 28 September.
 */
class AnchoringTest {
  private static final LocalDate FROST = LocalDate.of(2026, 10, 21);
  private static final LocalDate SHUT = LocalDate.of(2026, 9, 10);
  private static final LocalDate OPEN = LocalDate.of(2026, 12, 1);
  private static final Anchor BEFORE_FROST = frost(Part.FROM, -41);

  private static Anchor frost(Part part, int days) {
    return new Anchor(Thing.CLOSING, "c0", part, Mark.FIRST_FROST_50, null, days);
  }

  private static Farms farms() {
    Farms farms =
        new Farms().field("a", 5, 20, 2000).field("b", 5, 20, 2000).shut("a", SHUT, OPEN, "cows");
    farms.groups.add(Farms.dams("cows", "beef/cow", 10, 550, MonthDay.of(3, 20), 0.9));
    farms.graze("cows", LocalDate.of(2027, 3, 6), LocalDate.of(2027, 5, 1), "b");
    return farms;
  }

  private static final FarmPlan PLAIN = farms().build();
  private static final FarmPlan TIED = changed(PLAIN, put(BEFORE_FROST));

  private static FarmPlan changed(FarmPlan before, PlanEdit... edits) {
    return ENGINE.changed(before, List.of(edits));
  }

  private static PlanEdit put(Anchor anchor) {
    return new PlanEdit.Put<>(Items.ANCHORS, anchor);
  }

  private static PlanEdit in(String climateId) {
    Farm f = PLAIN.farm();
    return new PlanEdit.SetFarm(
        f.name(), f.note(), climateId, f.units(), f.currency(), f.audKg(), List.of(), null);
  }

  private static Closing closing(FarmPlan of) {
    return of.plan().closings().get(0);
  }

  private static PlanEdit shut(LocalDate from, LocalDate to) {
    return new PlanEdit.Put<>(
        Items.CLOSINGS, new Closing("c0", "a", from, to, List.of("cows"), null));
  }

  @Test
  void aDateThatIsTiedStandsWhereItStood() {
    assertThat(FROST.minusDays(41)).isEqualTo(SHUT);
    assertThat(closing(TIED)).isEqualTo(closing(PLAIN));
    assertThat(TIED.plan().anchors()).containsExactly(BEFORE_FROST);
  }

  @Test
  void tiedAtAnotherDistanceItMoves() {
    FarmPlan moved = changed(TIED, put(BEFORE_FROST.at(-30)));
    assertThat(closing(moved).fromInclusive()).isEqualTo(LocalDate.of(2026, 9, 21));
    assertThat(closing(moved).toExclusive()).isEqualTo(OPEN);
  }

  @Test
  void inAColderPlaceItFollowsTheFrost() {
    FarmPlan north = changed(TIED, in("cold_continental_north"));
    // 28 September less 41 days
    assertThat(closing(north).fromInclusive()).isEqualTo(LocalDate.of(2026, 8, 18));
    assertThat(closing(north).toExclusive()).as("plain").isEqualTo(OPEN);
    assertThat(changed(north, in("transition_humid")).plan()).isEqualTo(TIED.plan());
  }

  @Test
  void movedByHandItStaysAndTheAnchorTakesTheDistance() {
    FarmPlan moved = changed(TIED, shut(SHUT.plusDays(5), OPEN));
    assertThat(closing(moved).fromInclusive()).isEqualTo(SHUT.plusDays(5));
    assertThat(moved.plan().anchors()).containsExactly(BEFORE_FROST.at(-36));
  }

  @Test
  void aYearOnItStandsBeforeThatYearsFrostAndItsEndComesAlong() {
    FarmPlan next = changed(TIED, new PlanEdit.SetYear(new PlanYear(START.plusYears(1), 12)));
    assertThat(closing(next).fromInclusive()).isEqualTo(SHUT.plusYears(1));
    assertThat(closing(next).toExclusive()).isEqualTo(OPEN.plusYears(1));
    assertThat(next.plan().steps()).as("tied to nothing").isEqualTo(TIED.plan().steps());
  }

  @Test
  void aPlanForTheNextYearTakesAllDatesAlong() {
    FarmPlan next = ENGINE.yearsOn(TIED, 1);
    assertThat(next.plan().year()).isEqualTo(new PlanYear(START.plusYears(1), 12));
    assertThat(closing(next).fromInclusive()).isEqualTo(SHUT.plusYears(1));
    assertThat(closing(next).toExclusive()).isEqualTo(OPEN.plusYears(1));
    assertThat(next.plan().steps().get(0).fromInclusive()).isEqualTo(LocalDate.of(2028, 3, 6));
    assertThat(next.plan().steps().get(0).toExclusive()).isEqualTo(LocalDate.of(2028, 5, 1));
    assertThat(next.plan().anchors()).isEqualTo(TIED.plan().anchors());
    assertThat(next.farm()).isEqualTo(TIED.farm());
    assertThat(ENGINE.yearsOn(PLAIN, 0)).isEqualTo(PLAIN);
  }

  /** By the mean of years each year is alike, but for a leap day. */
  @Property(tries = 20)
  void aPlanYearsOnFeedsAsBefore(@ForAll @IntRange(min = 1, max = 6) int years) {
    double is = ENGINE.simulate(PLAIN).totalBareKg();
    double then = ENGINE.simulate(ENGINE.yearsOn(PLAIN, years)).totalBareKg();
    double day = ENGINE.simulate(PLAIN).needKg(200);
    assertThat(then).isBetween(is - day, is + day);
  }

  @Test
  void birthsThatMoveTakeTheFlushingWithThem() {
    String step = PLAIN.plan().steps().get(0).id();
    Anchor birth = new Anchor(Thing.FEEDING, step, Part.FROM, Mark.FIRST_BIRTH, "cows", -14);
    FarmPlan tied = changed(PLAIN, put(birth));
    assertThat(tied.plan().steps().get(0).fromInclusive()).isEqualTo(LocalDate.of(2027, 3, 6));
    AnimalGroup later = Farms.dams("cows", "beef/cow", 10, 550, MonthDay.of(4, 10), 0.9);
    FarmPlan moved = changed(tied, new PlanEdit.Put<>(Items.GROUPS, later));
    assertThat(moved.plan().steps().get(0).fromInclusive()).isEqualTo(LocalDate.of(2027, 3, 27));
  }

  @Test
  void aStandGreensUpOnceAYearAfterItSlept() {
    Farms farms = farms();
    farms.fields.set(
        1,
        Farms.stand(
            "b",
            5,
            "tall_fescue_novel",
            List.of(0.0, 0.0, 0.0, 40.0, 40.0, 40.0, 40.0, 40.0, 40.0, 0.0, 0.0, 0.0),
            1500));
    farms.dressings.add(new Dressing("n", "b", LocalDate.of(2027, 4, 20), 50, null));
    FarmPlan plain = farms.build();
    List<LocalDate> ups = new Marks(plain, ENGINE.catalogue()).of(Mark.GREEN_UP, "b");
    assertThat(ups).extracting(LocalDate::getYear).containsExactly(2024, 2025, 2026, 2027, 2028);
    assertThat(ups).allMatch(d -> d.isAfter(d.withMonth(3).withDayOfMonth(15)));
    assertThat(ups).allMatch(d -> d.isBefore(d.withMonth(4).withDayOfMonth(16)));
    FarmPlan tied =
        changed(plain, put(new Anchor(Thing.DRESSING, "n", Part.FROM, Mark.GREEN_UP, "b", 0)));
    assertThat(tied.plan().dressings().get(0).date()).isEqualTo(ups.get(3));
  }

  @Test
  void aMarkThatIsNotThereIsRefusedAndOneThatGoesLeavesTheDate() {
    FarmPlan tropics = changed(TIED, in("subtropical_summer_rain_south"));
    assertThat(closing(tropics)).isEqualTo(closing(TIED));
    assertThat(tropics.plan().anchors()).containsExactly(BEFORE_FROST);
    assertThatThrownBy(() -> changed(tropics, put(frost(Part.TO, 20))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("no_such_mark");
    assertThatThrownBy(
            () ->
                changed(
                    PLAIN, put(new Anchor(Thing.CLOSING, "c0", Part.TO, Mark.GREEN_UP, "none", 0))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("unknown_id");
  }

  @Test
  void anAnchorGoesWithWhatItDates() {
    FarmPlan opened = changed(TIED, new PlanEdit.Remove<>(Items.CLOSINGS, "c0"));
    assertThat(opened.plan().anchors()).isEmpty();
    FarmPlan sold = changed(TIED, new PlanEdit.Remove<>(Items.FIELDS, "a"));
    assertThat(sold.plan().anchors()).isEmpty();
    String step = PLAIN.plan().steps().get(0).id();
    FarmPlan tied =
        changed(PLAIN, put(new Anchor(Thing.FEEDING, step, Part.TO, Mark.WEANING, "cows", 0)));
    assertThat(changed(tied, new PlanEdit.SetFeeding("cows", List.of())).plan().anchors())
        .isEmpty();
    FeedStep open =
        new FeedStep(step, "cows", FeedStep.Kind.GRAZE, List.of("b"), START.plusDays(9), null);
    FarmPlan opener = changed(tied, new PlanEdit.SetFeeding("cows", List.of(open)));
    assertThat(opener.plan().anchors()).as("its end is open now").isEmpty();
  }

  /** Wherever a date is put by hand, its anchor brings it back there after a year. */
  @Property(tries = 60)
  void anAnchoredClosingComesBackWithTheYears(
      @ForAll @IntRange(min = -60, max = 60) int by,
      @ForAll @IntRange(min = 1, max = 6) int years) {
    FarmPlan moved = changed(TIED, shut(SHUT.plusDays(by), OPEN));
    FarmPlan on = changed(moved, new PlanEdit.SetYear(new PlanYear(START.plusYears(years), 12)));
    int doyShift =
        on.plan().closings().get(0).fromInclusive().getDayOfYear()
            - closing(moved).fromInclusive().getDayOfYear();
    assertThat(Math.abs(doyShift)).as("but for a leap day").isLessThanOrEqualTo(1);
    FarmPlan back = changed(on, new PlanEdit.SetYear(new PlanYear(START, 12)));
    assertThat(closing(back)).isEqualTo(closing(moved));
  }
}
