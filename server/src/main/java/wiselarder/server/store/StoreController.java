package wiselarder.server.store;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.SetOut;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;
import wiselarder.server.problem.ServerReason;
import wiselarder.server.year.PlanViews;

/** Sums on what is put by: bales for some days, and how they are set out. */
@RestController
@RequestMapping("/api/plans/{id}")
class StoreController {
  private final Plans plans;
  private final PlanViews views;

  StoreController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /**
   * Bales for some days.
   *
   * @param from first day, day number of the plan
   * @param toExclusive first day after
   * @param lines a group each; {@code all} is one heap for all, rounded up once
   * @param sets how the chosen group's feed is set out; empty where none is asked for
   */
  record HaySheet(
      String lotId,
      int from,
      int toExclusive,
      List<HayLine> lines,
      HayLine all,
      List<SetOut> sets) {}

  /** One line of it; {@code carriedFrom} is the day from which the ground carries the group. */
  record HayLine(
      String groupId,
      int days,
      int firstDay,
      int lastDay,
      double fedKg,
      double bareKg,
      double exactUnits,
      int units,
      int carriedFrom) {}

  /**
   * How many units of a lot the groups need.
   *
   * @param from first day, or null for the plan's
   * @param to last day, or null for the plan's end
   * @param groupId of the group whose sets are asked for, or null
   * @param unitsAtOnce set out each time
   * @param heldShare days held for each day of feed offered
   */
  @GetMapping("/hay-sum")
  HaySheet haySum(
      @PathVariable String id,
      @RequestParam String lotId,
      @RequestParam(required = false) LocalDate from,
      @RequestParam(required = false) LocalDate to,
      @RequestParam(required = false) String groupId,
      @RequestParam(defaultValue = "1") int unitsAtOnce,
      @RequestParam(defaultValue = "1") double heldShare,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    FarmPlan stated = plan.content();
    PlanYear year = stated.plan().year();
    YearBalance b = views.engine(season, plan).simulate(stated);
    int lot = index("lotId", stated.allLots().stream().map(Lot::id).toList(), lotId);
    int first = year.clippedStart(from);
    int end = year.clippedEnd(to == null ? null : to.plusDays(1));
    Check.ordered("haySum.dates", from, to == null ? null : to.plusDays(1));
    if (end <= first) {
      throw new Refused(ServerReason.NOT_IN_PLAN, "haySum.dates");
    }
    List<HaySum> sums = HaySum.ofAll(b, lot, first, end);
    List<HayLine> lines = new ArrayList<>();
    for (int g = 0; g < sums.size(); g++) {
      lines.add(line(sums.get(g), HaySum.carriedAgainFrom(b, g, first)));
    }
    HayLine all = sums.isEmpty() ? null : line(HaySum.together(sums), -1);
    return new HaySheet(
        lotId, first, end, lines, all, sets(b, stated, lot, sums, groupId, unitsAtOnce, heldShare));
  }

  private static List<SetOut> sets(
      YearBalance b,
      FarmPlan stated,
      int lot,
      List<HaySum> sums,
      String groupId,
      int unitsAtOnce,
      double heldShare) {
    if (groupId == null) {
      return List.of();
    }
    int g =
        index("groupId", stated.farm().groups().stream().map(AnimalGroup::id).toList(), groupId);
    HaySum sum = sums.get(g);
    return sum.days() == 0
        ? List.of()
        : SetOut.of(b, g, lot, sum.firstDay(), sum.lastDay() + 1, unitsAtOnce, heldShare);
  }

  private static HayLine line(HaySum s, int carriedFrom) {
    return new HayLine(
        s.groupId(),
        s.days(),
        s.firstDay(),
        s.lastDay(),
        s.fedKg(),
        s.bareKg(),
        s.exactUnits(),
        s.units(),
        carriedFrom);
  }

  private static int index(String field, List<String> ids, String wanted) {
    int at = ids.indexOf(wanted);
    if (at < 0) {
      throw new Refused(CoreReason.UNKNOWN_ID, field, wanted);
    }
    return at;
  }
}
