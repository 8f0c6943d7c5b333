package wiselarder.server.closing;

import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.closing.Lever;
import wiselarder.core.closing.Trial;
import wiselarder.core.engine.Engine;
import wiselarder.core.gap.Gap;
import wiselarder.core.plan.FarmPlan;
import wiselarder.server.farm.DemoFarms;

/**
 * Goes through the ways out of the demo farms' gaps once, aside, as the application starts: the
 * first list that a keeper asks for is then reckoned by code that has been compiled. Nothing of it
 * is kept.
 */
@Component
@ConditionalOnProperty("larder.warm-up")
class WarmUp {
  private final Engine engine;

  WarmUp(Engine engine) {
    this.engine = engine.apart();
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    Thread aside = new Thread(this::run, "warm-up");
    aside.setDaemon(true);
    aside.start();
  }

  /** One lever after the other, so that another processor stays free; how many ways were found. */
  int run() {
    int found = 0;
    for (String demo : DemoFarms.NAMES) {
      FarmPlan plan = DemoFarms.read(demo).plans().get(0);
      YearBalance year = engine.simulate(plan);
      for (Gap gap : engine.gaps(year)) {
        for (Lever lever : Lever.ofTheFarm()) {
          found += new Trial(engine, plan, gap).options(List.of(lever)).size();
        }
      }
    }
    return found;
  }
}
