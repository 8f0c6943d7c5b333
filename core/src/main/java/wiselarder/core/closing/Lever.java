package wiselarder.core.closing;

import java.time.LocalDate;
import java.util.List;
import wiselarder.core.edit.PlanEdit;

/**
 * A way of closing a gap. It names what could be done, as edits, with what it costs and the last
 * day to decide; what each does to the year, its other side too, is measured the same way for all:
 * see {@link Trial#measure}.
 */
public interface Lever {
  /** Every way that the farm itself offers, the free ones first. */
  static List<Lever> ofTheFarm() {
    return List.of(
        new OpenStanding(),
        new OpenStore(),
        BetterFeed.stored(),
        BetterFeed.byTheHour(),
        new KeepOff(),
        new OpenSooner(),
        new LessWaste(),
        new LimitHours(),
        new SlowRound(),
        new SmallBreaks(),
        new StoreFirst(),
        new ShutForStockpile(),
        new WeanSooner(),
        CutSurplus.hay(),
        CutSurplus.wrapped(),
        new Dress(),
        new WaterMore(),
        new SowCrop(),
        new Companion(),
        new MoreSeed(),
        new MoveBirths(),
        FewerMouths.sold(),
        FewerMouths.away(),
        FeedBeside.straw(),
        FeedBeside.concentrate(),
        new Supplemented(),
        new BringWater());
  }

  /** How options are told apart on the screen. */
  LeverOption.Kind kind();

  /** What could be done about the gap of a trial; nothing that the plan refuses is among it. */
  List<Candidate> candidates(Trial trial);

  /**
   * One thing that could be done.
   *
   * @param edits applied together
   * @param decideBy last day on which deciding still brings as much, or nearly
   */
  record Candidate(List<PlanEdit> edits, LocalDate decideBy) {
    public Candidate {
      edits = List.copyOf(edits);
    }
  }
}
