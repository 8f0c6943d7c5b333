package wiselarder.core.closing;

import java.util.List;
import wiselarder.core.balance.ResolvedPlan;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.balance.YearSimulator;
import wiselarder.core.caution.Cautions;
import wiselarder.core.gap.Gap;
import wiselarder.core.gap.GapFinder;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.PlanEdit;

/** From a stated plan to its year in one call: resolve, simulate, find the gaps. */
public final class Engine {
  private final Catalogue catalogue;
  private final Cautions cautions;

  public Engine(Catalogue catalogue, Cautions cautions) {
    this.catalogue = catalogue;
    this.cautions = cautions;
  }

  /** An engine on the product's tables. */
  public static Engine load() {
    return new Engine(Catalogue.load(), Cautions.load());
  }

  public Catalogue catalogue() {
    return catalogue;
  }

  public ResolvedPlan resolve(FarmPlan stated) {
    return ResolvedPlan.of(stated, catalogue, cautions.of(stated, catalogue));
  }

  /** Simulates a stated plan. */
  public YearBalance simulate(FarmPlan stated) {
    return YearSimulator.simulate(resolve(stated));
  }

  /** Applies the edits in order and simulates the outcome; nothing is kept. */
  public YearBalance tryOut(FarmPlan stated, List<PlanEdit> edits) {
    FarmPlan changed = stated;
    for (PlanEdit edit : edits) {
      changed = edit.apply(changed);
    }
    return simulate(changed);
  }

  public List<Gap> gaps(YearBalance balance) {
    return GapFinder.find(balance);
  }
}
