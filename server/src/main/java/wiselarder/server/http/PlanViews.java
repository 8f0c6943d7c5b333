package wiselarder.server.http;

import org.springframework.stereotype.Component;
import wiselarder.core.closing.Engine;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.plan.Plans;

/** Draws an opened plan for the web client. */
@Component
class PlanViews {
  private final Engine engine;

  PlanViews(Engine engine) {
    this.engine = engine;
  }

  PlanController.PlanView of(Plans.Opened opened) {
    FarmPlan content = opened.plan().content();
    return new PlanController.PlanView(
        opened.plan().slug(),
        opened.plan().farm(),
        opened.plan().demo(),
        opened.plan().role(),
        opened.plan().revision(),
        opened.undo(),
        opened.redo(),
        content.farm(),
        content.plan(),
        YearView.of(engine.simulate(content), engine));
  }
}
