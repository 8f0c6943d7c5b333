package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.Readiness;
import wiselarder.core.forage.SwardSigns;
import wiselarder.core.land.CoverMeasure;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.CoverSeen;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;

/**
 * What a reading means, before it is written down.
 *
 * @param seen what stands there, with how sure that is
 * @param expectedKgPerHa what the plan had in that morning
 * @param counts false where nothing stands in the plan that it could be: written down it changes
 *     nothing
 * @param feedDays days of feed for all animals by which there is more; below zero less
 * @param forAllDays days that what stands there above what is to be left would feed all animals
 * @param effect the strictest of what the signs say
 * @param reasons those that say it
 * @param ready tall enough, rested, rooted where it is young, and no sign against it; a hold stands
 *     above it
 * @param openKgPerHa cover that is wanted before stock come in, by the table where it is young
 * @param rootsHold whether roots hold a pull, by this reading or the last one that tried; null
 *     where nobody did
 * @param restDays days since somebody grazed there as the plan has it; null for none in the plan
 * @param before how long feed lasts as it was thought, {@code after} with the reading
 * @param paceBefore what growth is multiplied by as readings had the season run, and after it
 */
public record Answer(
    CoverMeasure seen,
    double expectedKgPerHa,
    boolean counts,
    double feedDays,
    double forAllDays,
    SwardSigns.Effect effect,
    List<Reason> reasons,
    boolean ready,
    double openKgPerHa,
    Boolean rootsHold,
    Integer restDays,
    FeedAhead before,
    FeedAhead after,
    double paceBefore,
    double paceAfter) {

  /** A sign, what was seen of it, and what the table says that means. */
  public record Reason(String signId, String value, String meaning) {}

  public Answer {
    reasons = List.copyOf(reasons);
  }

  /**
   * Answers a reading.
   *
   * @throws Refused where the day lies outside of the plan, or the plan does not know the field,
   *     the forage or a sign
   */
  public static Answer to(Engine engine, FarmPlan stated, LocalDate on, CoverSeen reading) {
    YearBalance year = engine.simulate(stated);
    int day = Walk.dayOf(year, on);
    int f = Walk.fieldOf(year, reading.fieldId());
    FieldPlan p = year.resolved().fields[f];
    SwardSigns signs = engine.catalogue().signs();
    CoverMeasure seen =
        reading.cover(
            Walk.heights(engine, stated),
            engine.catalogue().on(stated.farm()).forage(reading.forageId()),
            signs);
    // kept apart: whoever turns a knob asks for many years that nobody asks for again
    FarmRecords with = Walk.with(engine.records(), on, reading);
    // frames with their heights make other heights read otherwise, those of days before as well
    boolean recalibrates = reading.way() == CoverSeen.Way.CLIP && !reading.heightsCm().isEmpty();
    Engine told = recalibrates ? engine.apart().knowing(with) : engine.knowingSince(on, with);
    Ground ground = Walk.ground(engine, year, day);
    double expected = ground.coverKgPerHa(f);
    double needKg = ground.needKg();
    YearBalance after = told.simulate(stated);
    boolean counts = after.readings().stream().anyMatch(r -> r.field() == f && r.day() == day);
    double feeds = counts && needKg > 0 ? 1 / needKg : 0;
    double moreKg = ground.eatableKg(f, seen.coverKgPerHa()) - ground.eatableKg(f, expected);
    SwardSigns.Effect effect = strictest(signs, reading);
    int grazed = ground.grazedOn(f);
    Integer rest = grazed < 0 ? null : day - grazed;
    boolean rested = rest == null || rest >= p.returnDays[day];
    Boolean pulled = reading.rootsHold(signs);
    Boolean hold = pulled == null ? Walk.rootsHold(year, f, day) : pulled;
    // a young stand wants both, height and roots; any other one only that nobody found it loose
    boolean rooted = ground.isYoung(f) ? Boolean.TRUE.equals(hold) : !Boolean.FALSE.equals(hold);
    double openKgPerHa = Math.max(p.base().turnIn, opens(engine, year, ground, f));
    boolean ready =
        counts
            && rested
            && rooted
            && seen.coverKgPerHa() >= openKgPerHa
            && effect.compareTo(SwardSigns.Effect.WAIT) < 0;
    return new Answer(
        seen,
        expected,
        counts,
        moreKg * feeds,
        ground.eatableKg(f, seen.coverKgPerHa()) * feeds,
        effect,
        reasons(signs, reading, effect),
        ready,
        openKgPerHa,
        hold,
        rest,
        FeedAhead.of(engine, stated, day),
        FeedAhead.of(told, stated, day),
        year.paceShare(day),
        after.paceShare(day));
  }

  /**
   * Cover at which a young stand is tall enough by the table, kg DM/ha; 0 where it is not young.
   */
  private static double opens(Engine engine, YearBalance year, Ground ground, int f) {
    FieldPlan p = year.resolved().fields[f];
    Readiness rule =
        !ground.isYoung(f)
            ? null
            : engine.catalogue().readinessOf(year.stated().farm(), ground.stands(f).id());
    boolean sandy = p.field.soil() != null && p.field.soil().sandy();
    return rule == null ? 0 : ground.massKgPerHa(f, rule.openCm(sandy));
  }

  private static SwardSigns.Effect strictest(SwardSigns signs, CoverSeen reading) {
    return reading.signs().stream()
        .map(s -> signs.sign(s.signId()).value(s.value()).effect())
        .max(Comparator.naturalOrder())
        .orElse(SwardSigns.Effect.READY);
  }

  private static List<Reason> reasons(
      SwardSigns signs, CoverSeen reading, SwardSigns.Effect effect) {
    return reading.signs().stream()
        .map(s -> new SignValue(s.signId(), signs.sign(s.signId()).value(s.value())))
        .filter(s -> s.value.effect() == effect)
        .map(s -> new Reason(s.signId, s.value.id(), s.value.meaning()))
        .toList();
  }

  private record SignValue(String signId, SwardSigns.Value value) {}
}
