package wiselarder.server.http;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.balance.HaySum;
import wiselarder.core.balance.SetOut;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.calendar.PlanYear;
import wiselarder.core.closing.SellingOrder;
import wiselarder.core.closing.WeanBy;
import wiselarder.core.diet.Supplement;
import wiselarder.core.engine.Engine;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Refused;
import wiselarder.core.store.Lot;
import wiselarder.server.laboratory.Samples;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** Sums on what is put by and on who eats it, and samples sent to the laboratory. */
@RestController
@RequestMapping("/api/plans/{id}")
class StoreController {
  private final Plans plans;
  private final PlanViews views;
  private final Samples samples;

  StoreController(Plans plans, PlanViews views, Samples samples) {
    this.plans = plans;
    this.views = views;
    this.samples = samples;
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
    if (end <= first) {
      throw new Refused(
          "dates_reversed",
          "haySum.dates",
          first + "/" + end,
          "the last day must lie after the first, both in the plan");
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
      throw new Refused("unknown_id", field, wanted, "there is no " + wanted);
    }
    return at;
  }

  /** The least supplement of each group and month in which something falls short. */
  @GetMapping("/supplement")
  List<Supplement> supplement(
      @PathVariable String id,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    Engine engine = views.engine(season, plan);
    return Supplement.of(engine.simulate(plan.content()), engine.catalogue());
  }

  /** In which order groups would be sold on a day, and what that brings. */
  @GetMapping("/selling")
  List<SellingOrder> selling(
      @PathVariable String id,
      @RequestParam LocalDate on,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return SellingOrder.of(views.engine(season, plan), plan.content(), on);
  }

  /** A weaning day, tried; score at birth null where no birth follows in the plan. */
  record WeaningView(
      LocalDate weaning,
      double lowestScore,
      Double scoreAtBirth,
      double needKg,
      double bareKg,
      boolean holds,
      boolean planned) {}

  /** What weaning earlier or later does to the dams of a group. */
  @GetMapping("/weaning")
  List<WeaningView> weaning(
      @PathVariable String id,
      @RequestParam String groupId,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    StoredPlan plan = plans.get(id, person);
    return WeanBy.of(views.engine(season, plan), plan.content(), groupId).stream()
        .map(
            w ->
                new WeaningView(
                    w.weaning(),
                    w.lowestScore(),
                    YearView.orNull(w.scoreAtBirth()),
                    w.needKg(),
                    w.bareKg(),
                    w.holds(),
                    w.planned()))
        .toList();
  }

  /**
   * A sample to send.
   *
   * @param commandId the device's own name for this request
   */
  record NewSample(String commandId, String device, String lotId, LocalDate sampledOn) {}

  /** Which device asks. */
  record Device(String device) {}

  @GetMapping("/samples")
  List<Samples.Sent> sent(@PathVariable String id, @AuthenticationPrincipal Person person) {
    return samples.of(id, person);
  }

  /** Sends a sample of a lot to the laboratory; sent twice under one name it is sent once. */
  @PostMapping("/samples")
  Samples.Sent send(
      @PathVariable String id,
      @RequestBody NewSample sample,
      @AuthenticationPrincipal Person person) {
    Check.text("command.id", sample.commandId, 80);
    Check.present("sample.lotId", sample.lotId);
    Check.present("sample.sampledOn", sample.sampledOn);
    Samples.Command command = new Samples.Command(sample.commandId, sample.device);
    return samples.send(id, person, command, sample.lotId, sample.sampledOn);
  }

  /** Writes a report that has come down of its lot. */
  @PostMapping("/samples/{sample}/take")
  PlanController.PlanView take(
      @PathVariable String id,
      @PathVariable String sample,
      @RequestBody Device device,
      @RequestParam(defaultValue = "normal") String season,
      @AuthenticationPrincipal Person person) {
    samples.take(id, person, sample, device.device);
    return views.of(plans.open(id, person), season);
  }
}
