package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrainStages;
import wiselarder.core.forage.GrainStages.Purpose;
import wiselarder.core.forage.GrainStages.Stage;
import wiselarder.core.forage.GrainStages.Use;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.StemsSeen;

/**
 * What split stems mean, before they are written down.
 *
 * @param stems so many were split; {@code enough} where that is no too small sample
 * @param stageId stage that half of them have come to
 * @param counts by stage in the table's order
 * @param regrowShareByCm share of the stems that grows again where the stand is taken down to so
 *     many whole centimetres, from 0 on
 * @param setToCm least height that leaves what can be left, in whole cm, or where it is taken once
 *     the usual height; null where no height saves enough
 * @param tallEnough by the plan, or by what was read, enough stands there to let stock in
 * @param countsInPlan the plan has this crop growing there, and is corrected
 * @param laterKgBefore what the plan takes off the field from this day on, kg DM; {@code
 *     laterKgAfter} with these stems
 */
public record StemAnswer(
    int stems,
    boolean enough,
    String stageId,
    List<StageCount> counts,
    List<Double> regrowShareByCm,
    Double setToCm,
    double regrowShareAtSet,
    Use use,
    boolean tallEnough,
    String graze,
    String silage,
    String hay,
    String quality,
    boolean countsInPlan,
    double laterKgBefore,
    double laterKgAfter,
    FeedAhead before,
    FeedAhead after) {

  /** So many stems of a stage. */
  public record StageCount(String stageId, int stems) {}

  /** Heights that are looked at, cm. */
  private static final int TALLEST_CM = 60;

  /** No mower or mouth is kept higher, cm. Assumption. */
  private static final int HIGHEST_SET_CM = 20;

  /** So much less than at the highest set is as good. Assumption. */
  private static final double AS_GOOD = 0.05;

  /** Where fewer stems come back, nothing is saved by a height. Assumption. */
  private static final double WORTH_SAVING = 0.3;

  public StemAnswer {
    counts = List.copyOf(counts);
    regrowShareByCm = List.copyOf(regrowShareByCm);
  }

  /**
   * Answers a sample.
   *
   * @throws Refused where the day lies outside of the plan, or the plan does not know the field,
   *     the forage or a stage
   */
  public static StemAnswer to(Engine engine, FarmPlan stated, LocalDate on, StemsSeen seen) {
    YearBalance year = engine.simulate(stated);
    int day = Walk.dayOf(year, on);
    int f = Walk.fieldOf(year, seen.fieldId());
    Catalogue tables = engine.catalogue().on(stated.farm());
    Forage forage = tables.forage(seen.forageId());
    GrainStages known = tables.stages();
    Stage stage = known.all().get(seen.stage(known));
    List<Double> shares =
        IntStream.rangeClosed(0, TALLEST_CM).mapToObj(cm -> regrowShare(seen, known, cm)).toList();
    Double set =
        seen.purpose() == Purpose.ONCE ? (Double) forage.cutHeightCm() : set(forage, shares);
    Engine told = engine.knowingSince(on, Walk.with(engine.records(), on, seen));
    YearBalance after = told.simulate(stated);
    Ground ground = Walk.ground(engine, year, day);
    double cover = ground.coverKgPerHa(f);
    return new StemAnswer(
        seen.stems().size(),
        seen.enough(),
        stage.id(),
        counts(seen, known),
        shares,
        set,
        set == null ? shares.get(HIGHEST_SET_CM) : shares.get((int) Math.round(set)),
        stage.use(seen.purpose()),
        cover >= year.resolved().fields[f].base().turnIn || cover >= forage.entryMassKgPerHa(),
        stage.graze(),
        stage.silage(),
        stage.hay(),
        stage.quality(),
        seen.enough() && ground.grows(f, forage),
        laterKg(year, f, day),
        laterKg(after, f, day),
        FeedAhead.of(engine, stated, day),
        FeedAhead.of(told, stated, day));
  }

  /**
   * Share of the stems that grows again where everything above a height is taken: those whose
   * growing point lies below it go on, of the others what their crowns bring. Points that nobody
   * measured lie evenly between the table's heights.
   */
  static double regrowShare(StemsSeen seen, GrainStages known, double cm) {
    double share = 0;
    for (StemsSeen.Stem stem : seen.stems()) {
      Stage stage = known.stage(stem.stageId());
      double left = stem.pointCm() == null ? stage.leftAt(cm) : stem.pointCm() < cm ? 1 : 0;
      double comes = stage.comesBackIfTaken();
      share += left * Math.max(stage.goesOnIfLeft(), comes) + (1 - left) * comes;
    }
    return share / seen.stems().size();
  }

  private static Double set(Forage forage, List<Double> shares) {
    double best = shares.get(HIGHEST_SET_CM);
    if (best < WORTH_SAVING) {
      return null;
    }
    int low = (int) Math.ceil(Math.min(HIGHEST_SET_CM, forage.exitHeightCm()));
    return (double)
        IntStream.rangeClosed(low, HIGHEST_SET_CM)
            .filter(cm -> shares.get(cm) >= best - AS_GOOD)
            .findFirst()
            .orElse(HIGHEST_SET_CM);
  }

  private static List<StageCount> counts(StemsSeen seen, GrainStages known) {
    List<StageCount> counts = new ArrayList<>();
    for (Stage s : known.all()) {
      int n = (int) seen.stems().stream().filter(one -> one.stageId().equals(s.id())).count();
      if (n > 0) {
        counts.add(new StageCount(s.id(), n));
      }
    }
    return counts;
  }

  private static double laterKg(YearBalance year, int field, int day) {
    return IntStream.range(day, year.days())
        .mapToDouble(d -> year.grazedKg(field, d) + year.cutKg(field, d))
        .sum();
  }
}
