package wiselarder.core.walk;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Reading;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.HeightTable;
import wiselarder.core.plan.Catalogue;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.Clipped;
import wiselarder.core.records.Fact;
import wiselarder.core.records.FarmRecord;
import wiselarder.core.records.FarmRecords;
import wiselarder.core.resolved.ResolvedPlan;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;

/**
 * A round over the fields on a day of a plan, in the engine's season.
 *
 * @param fields in the plan's order
 * @param first ids of those to walk first, as a look there changes most; none where all were read
 * @param needKgPerDay what all animals eat in a day of the next weeks, 0 where nobody is there
 * @param paceShare what growth is multiplied by, as readings have the season run
 * @param ahead how long feed lasts from here
 */
public record Walk(
    LocalDate on,
    List<FieldToWalk> fields,
    List<String> first,
    double needKgPerDay,
    double paceShare,
    FeedAhead ahead) {

  /**
   * What nobody has measured, or has been eaten of since, is known to so much of itself.
   * Assumption.
   */
  private static final double GUESSED = 0.3;

  /** What has grown since is known to so much of itself. Assumption. */
  private static final double GROWTH_OFF = 0.3;

  /** So many fields are named to be walked first: to name most of them names none. */
  private static final int NAMED = 4;

  private static final double NAMED_SHARE = 1 / 3.0;

  private static final double LEAST_DAYS = 0.5;

  public Walk {
    fields = List.copyOf(fields);
    first = List.copyOf(first);
  }

  /**
   * What is to be walked.
   *
   * @throws Refused where the day lies outside of the plan
   */
  public static Walk of(Engine engine, FarmPlan stated, LocalDate on) {
    YearBalance year = engine.simulate(stated);
    int day = dayOf(year, on);
    Ground ground = ground(engine, year, day);
    List<FieldToWalk> fields = new ArrayList<>();
    for (int f = 0; f < year.resolved().fields.length; f++) {
      fields.add(field(year, ground, f, day));
    }
    List<String> first =
        fields.stream()
            .filter(f -> !f.readToday() && f.daysAtStake() >= LEAST_DAYS)
            .sorted(Comparator.comparingDouble(FieldToWalk::daysAtStake).reversed())
            .limit(Math.min(NAMED, (int) Math.ceil(NAMED_SHARE * fields.size())))
            .map(FieldToWalk::fieldId)
            .toList();
    return new Walk(
        on, fields, first, ground.needKg(), year.paceShare(day), FeedAhead.of(engine, stated, day));
  }

  static int dayOf(YearBalance year, LocalDate on) {
    int day = year.year().day(on);
    if (day < 0 || day >= year.days()) {
      throw new Refused(
          CoreReason.DATE_OUTSIDE_PLAN,
          "walk.on",
          on,
          year.year().start(),
          year.year().date(year.days() - 1));
    }
    return day;
  }

  /** Place of a field in the plan, refused where it has none such. */
  static int fieldOf(YearBalance year, String fieldId) {
    return IntStream.range(0, year.resolved().fields.length)
        .filter(i -> year.resolved().fields[i].field.id().equals(fieldId))
        .findFirst()
        .orElseThrow(() -> new Refused(CoreReason.UNKNOWN_ID, "record.fieldId", fieldId));
  }

  /** What is known, and one thing more that is not written down yet. */
  static FarmRecords with(FarmRecords known, LocalDate on, Fact fact) {
    List<FarmRecord> all = new ArrayList<>(known.written());
    all.add(new FarmRecord(UNWRITTEN, on, fact, new FarmRecord.Written("", null, "")));
    return FarmRecords.of(all);
  }

  private static final String UNWRITTEN = "not written down";

  static Ground ground(Engine engine, YearBalance year, int day) {
    return new Ground(year, heights(engine, year.stated()), day);
  }

  /** The table of heights, as the farm's own clipped frames have it. */
  static HeightTable heights(Engine engine, FarmPlan stated) {
    Catalogue tables = engine.catalogue().on(stated.farm());
    return Clipped.heights(engine.records(), tables.heights(), tables.forages());
  }

  private static FieldToWalk field(YearBalance year, Ground ground, int f, int day) {
    ResolvedPlan plan = year.resolved();
    FieldPlan p = plan.fields[f];
    double expected = ground.coverKgPerHa(f);
    Reading last = last(year, f, day);
    double doubt = doubt(year, ground, f, day, last);
    double cm = ground.heightCm(f, expected);
    int grazed = ground.grazedOn(f);
    double need = ground.needKg();
    double eatable = ground.eatableKg(f, expected + doubt) - ground.eatableKg(f, expected);
    return new FieldToWalk(
        p.field.id(),
        ground.stands(f).id(),
        ground.season(f),
        expected,
        Double.isNaN(cm) ? null : cm,
        doubt,
        p.base().residual,
        p.base().turnIn,
        year.grownKg(f, day) / p.areaHa,
        grazed < 0 ? null : plan.year.date(grazed),
        p.returnDays[day],
        ground.isYoung(f),
        Boolean.FALSE.equals(rootsHold(year, f, day)),
        p.field.soil() != null && p.field.soil().sandy(),
        p.shut[day] || plan.holds.field(f, day),
        last == null ? null : plan.year.date(last.day()),
        last == null ? null : last.seen().coverKgPerHa(),
        year.readings().stream().anyMatch(r -> r.field() == f && r.day() == day),
        need <= 0 ? 0 : eatable / need);
  }

  /** What the last pull before a morning or on it said; null where nobody pulled. */
  static Boolean rootsHold(YearBalance year, int f, int day) {
    Boolean hold = null;
    for (Reading r : year.readings()) {
      if (r.field() == f && r.day() <= day && r.rootsHold() != null) {
        hold = r.rootsHold();
      }
    }
    return hold;
  }

  private static Reading last(YearBalance year, int f, int day) {
    Reading last = null;
    for (Reading r : year.readings()) {
      last = r.field() == f && r.day() < day ? r : last;
    }
    return last;
  }

  /** What was read and eaten of since is known no better than what nobody has read. */
  private static double doubt(YearBalance year, Ground ground, int f, int day, Reading last) {
    int taken = ground.takenOn(f);
    boolean known = last != null && last.day() > taken;
    int since = known ? last.day() : Math.max(0, taken);
    double grown = 0;
    for (int d = since; d < day; d++) {
      grown += year.grownKg(f, d) / year.resolved().fields[f].areaHa;
    }
    double expected = ground.coverKgPerHa(f);
    double guessed = GUESSED * Math.max(0, expected - grown);
    double read = known ? (last.seen().highKgPerHa() - last.seen().lowKgPerHa()) / 4 : guessed;
    return Math.min(expected, Math.hypot(read, GROWTH_OFF * grown));
  }
}
