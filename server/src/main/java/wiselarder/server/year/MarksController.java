package wiselarder.server.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wiselarder.core.plan.Anchor.Mark;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Marks;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** What a date can go by: frosts, green-up, births, weaning. */
@RestController
@RequestMapping("/api/plans/{id}")
class MarksController {
  private final Plans plans;
  private final PlanViews views;

  MarksController(Plans plans, PlanViews views) {
    this.plans = plans;
    this.views = views;
  }

  /**
   * A mark of the year with its dates from a year before the plan to a year after it.
   *
   * @param ofId the field or group whose mark it is; null for frosts
   */
  record MarkView(Mark mark, String ofId, List<LocalDate> dates) {}

  /** Every mark that occurs at this place. */
  @GetMapping("/marks")
  List<MarkView> marks(@PathVariable String id, @AuthenticationPrincipal Person person) {
    StoredPlan stored = plans.get(id, person);
    FarmPlan plan = stored.content();
    Marks marks = new Marks(plan, views.engine("normal", stored).catalogue());
    List<MarkView> found = new ArrayList<>();
    for (Mark mark : Mark.values()) {
      for (String of : subjects(plan, mark)) {
        found.add(new MarkView(mark, of, marks.of(mark, of)));
      }
    }
    return found.stream().filter(m -> !m.dates.isEmpty()).toList();
  }

  private static List<String> subjects(FarmPlan plan, Mark mark) {
    if (mark.ofGroup()) {
      return plan.farm().groups().stream().map(g -> g.id()).toList();
    }
    if (mark == Mark.GREEN_UP) {
      return plan.farm().fields().stream().map(f -> f.id()).toList();
    }
    List<String> nobody = new ArrayList<>();
    nobody.add(null);
    return nobody;
  }
}
