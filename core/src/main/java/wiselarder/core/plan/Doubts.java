package wiselarder.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.GrowthCurve;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.BufferRule;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Survey;
import wiselarder.core.store.Lot;
import wiselarder.core.store.Origin;

/**
 * Finds stated figures that are possible but hard to believe. The bounds are assumptions of the
 * product, wide on purpose: they catch a slipped digit or a wrong unit, not a good or a bad farm.
 */
public final class Doubts {
  /** A yield beyond this many times the best, or below this share of the poorest, climate's. */
  private static final double BEST_YIELD_TIMES = 1.6;

  private static final double POOREST_YIELD_SHARE = 0.3;

  /** Of the typical weights of a kind's classes. */
  private static final double LIGHTEST_SHARE = 0.6;

  private static final double HEAVIEST_TIMES = 1.6;

  /** Of live weight a day, flat figures that hold a young one at foot included. */
  private static final double LEAST_INTAKE_SHARE = 0.008;

  private static final double MOST_INTAKE_SHARE = 0.055;

  /** Dry hay below this dry matter heats in a stack; above 0.65 it is not haylage either. */
  private static final double DRY_HAY_DM = 0.8;

  private static final double WILTED_DM = 0.65;

  private static final double MOST_COVER_TIMES = 1.3;

  /** The loss table says of wrapped haylage: use within a year. */
  private static final int WRAPPED_DAYS = 365;

  private final Catalogue catalogue;
  private final List<Doubt> found = new ArrayList<>();

  private Doubts(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /** Every doubtful figure: fields, groups, lots, in the order they stand in the plan. */
  public static List<Doubt> of(FarmPlan stated, Catalogue catalogue) {
    return of(stated, catalogue, ofMap(stated.farm().fields()));
  }

  /**
   * The same where those of the map are known: they follow from the fields' outlines and areas only
   * and cost more than a year.
   */
  public static List<Doubt> of(FarmPlan stated, Catalogue catalogue, List<Doubt> ofMap) {
    Doubts doubts = new Doubts(catalogue.on(stated.farm()));
    stated.farm().fields().forEach(doubts::field);
    stated.farm().groups().forEach(doubts::group);
    stated.allLots().forEach(l -> doubts.lot(l, stated.plan().year().start()));
    stated.plan().cuts().forEach(c -> doubts.cut(c, stated));
    doubts.found.addAll(ofMap);
    return List.copyOf(doubts.found);
  }

  private void field(Field f) {
    Forage forage = catalogue.forage(f.stand().forageId());
    growth(f);
    if (f.stand().openingCoverKgPerHa() != null) {
      usual(
          f.id(),
          "stand.openingCoverKgPerHa",
          f.stand().openingCoverKgPerHa(),
          0,
          forage.ceilingKgPerHa() * MOST_COVER_TIMES);
    }
    if (f.residualKgPerHa() != null) {
      double most = f.turnInKgPerHa() != null ? f.turnInKgPerHa() : forage.ceilingKgPerHa();
      usual(f.id(), "field.residualKgPerHa", f.residualKgPerHa(), 0, most);
    }
    Double slope = f.lie().slopeDeg();
    if (f.hayable() && slope != null && slope > Lie.STEEPEST_TO_CUT_DEG) {
      found.add(
          new Doubt(
              Doubt.Code.TOO_STEEP_TO_CUT,
              f.id(),
              "lie.slopeDeg",
              slope,
              0,
              Lie.STEEPEST_TO_CUT_DEG));
    }
    strips(f);
    if (f.utilization() != null) {
      usual(f.id(), "field.utilization", f.utilization(), 0.2, 0.9);
    }
  }

  /** The narrowest strip along water, where the rule for the slope asks for more. */
  private void strips(Field f) {
    if (f.outline() == null) {
      return;
    }
    double slope = f.lie().slopeDeg() == null ? 0 : f.lie().slopeDeg();
    double least = BufferRule.bufferM(catalogue.buffers(), slope);
    f.outline().off().stream()
        .filter(o -> o.kind() == Outline.Kind.WATERWAY || o.kind() == Outline.Kind.POND)
        .mapToDouble(Outline.Off::bufferM)
        .filter(m -> m < least)
        .min()
        .ifPresent(
            m ->
                found.add(
                    new Doubt(
                        Doubt.Code.STRIP_TOO_NARROW, f.id(), "off.bufferM", m, least, least)));
  }

  /** Machines and ration filter a cut before its yield does. */
  private void cut(HayCut c, FarmPlan stated) {
    Farm farm = stated.farm();
    Forage forage = catalogue.forage(stated.field(c.fieldId()).stand().forageId());
    boolean hay = c.harvestMethodId().startsWith("h_hay_");
    if (hay && forage.thickStems() && !farm.has(Farm.Machine.MOWER_CONDITIONER)) {
      wants(c, Doubt.Code.NEEDS_CONDITIONER);
    }
    if (hay && !forage.hayEatenAsIs() && !farm.has(Farm.Machine.MIXER)) {
      wants(c, Doubt.Code.NEEDS_MIXER);
    }
    boolean wrapped = c.harvestMethodId().equals("h_haylage");
    boolean chopped = c.harvestMethodId().startsWith("h_silage");
    if ((wrapped && !farm.has(Farm.Machine.WRAPPER))
        || (chopped && !farm.has(Farm.Machine.FORAGE_HARVESTER))) {
      wants(c, Doubt.Code.NEEDS_MACHINE);
    }
  }

  private void wants(HayCut c, Doubt.Code code) {
    found.add(new Doubt(code, c.fieldId(), "cut.harvestMethodId", 0, 0, 0));
  }

  /** Areas typed otherwise than drawn, and fields that lie over each other. */
  public static List<Doubt> ofMap(List<Field> fields) {
    List<Doubt> found = new ArrayList<>();
    for (int i = 0; i < fields.size(); i++) {
      Field f = fields.get(i);
      if (f.outline() == null) {
        continue;
      }
      double drawnHa = Survey.measure(f.outline()).areaHa();
      double slack = Math.max(0.02, drawnHa * AREA_SLACK);
      if (Math.abs(drawnHa - f.areaHa()) > slack) {
        found.add(
            new Doubt(
                Doubt.Code.DRAWN_OTHERWISE,
                f.id(),
                "field.areaHa",
                f.areaHa(),
                drawnHa - slack,
                drawnHa + slack));
      }
      for (Field other : fields.subList(0, i)) {
        double sharedHa =
            other.outline() == null ? 0 : Survey.sharedHa(f.outline(), other.outline());
        if (sharedHa > drawnHa * AREA_SLACK) {
          found.add(
              new Doubt(Doubt.Code.LIES_OVER_ANOTHER, f.id(), "field.outline", sharedHa, 0, 0));
        }
      }
    }
    return List.copyOf(found);
  }

  /** Typed and drawn areas may differ by this share before it is worth a word. */
  private static final double AREA_SLACK = 0.02;

  private void growth(Field f) {
    double[] range = catalogue.growth().annualRangeKgPerHa(f.stand().forageId());
    if (range.length == 0) {
      return;
    }
    double min = range[0] * POOREST_YIELD_SHARE;
    double max = range[1] * BEST_YIELD_TIMES;
    if (f.stand().yieldKgPerHa() != null) {
      grown(f.id(), "stand.yieldKgPerHa", f.stand().yieldKgPerHa(), min, max);
    } else if (f.stand().monthlyKgPerHaDay() != null) {
      double annual = new GrowthCurve(f.stand().monthlyKgPerHaDay()).annualKgPerHa();
      grown(f.id(), "stand.monthlyKgPerHaDay", annual / 365, min / 365, max / 365);
    }
  }

  private void grown(String id, String field, double value, double min, double max) {
    if (value < min || value > max) {
      found.add(new Doubt(Doubt.Code.NO_CLIMATE_GROWS_THIS, id, field, value, min, max));
    }
  }

  private void group(AnimalGroup g) {
    double[] kg = catalogue.herd().typicalWeightsKg(g.kind());
    usual(g.id(), "group.weightKg", g.weightKg(), kg[0] * LIGHTEST_SHARE, kg[1] * HEAVIEST_TIMES);
    if (g.flatIntakeKgPerHeadDay() != null) {
      usual(
          g.id(),
          "group.flatIntakeKgPerHeadDay",
          g.flatIntakeKgPerHeadDay(),
          g.weightKg() * LEAST_INTAKE_SHARE,
          g.weightKg() * MOST_INTAKE_SHARE);
    }
    usual(g.id(), "group.gainKgPerDay", g.gainKgPerDay(), -0.5, 1.8);
    if (g.birthStart() != null) {
      usual(g.id(), "group.youngPerDam", g.youngPerDam(), 0.3, mostYoung(g.kind()));
    }
  }

  private static double mostYoung(String kind) {
    return kind.startsWith("sheep") || kind.startsWith("goat") ? 2.6 : 1.1;
  }

  private void lot(Lot l, LocalDate planStart) {
    shelfLife(l, planStart);
    boolean dryStore = l.storageMethodId().matches("s_(barn|tarp|net|twine).*");
    if (dryStore && l.dmShare() < DRY_HAY_DM && l.dmShare() > WILTED_DM) {
      found.add(
          new Doubt(
              Doubt.Code.DAMP_HAY_HEATS, l.id(), "lot.dmShare", l.dmShare(), DRY_HAY_DM, 0.92));
    } else {
      usual(l.id(), "lot.dmShare", l.dmShare(), dryStore ? DRY_HAY_DM : 0.18, 0.95);
    }
    usual(l.id(), "lot.kgPerUnitAsFed", l.kgPerUnitAsFed(), 8, 3600);
  }

  /** Wrapped feed is for a year; a clamp stays where it was made. */
  private void shelfLife(Lot l, LocalDate planStart) {
    LocalDate cut = l.origin().cutOn();
    if (l.storageMethodId().startsWith("s_wrapped") && cut != null) {
      long days = ChronoUnit.DAYS.between(cut, planStart);
      if (days > WRAPPED_DAYS) {
        found.add(
            new Doubt(Doubt.Code.KEPT_TOO_LONG, l.id(), "origin.cutOn", days, 0, WRAPPED_DAYS));
      }
    }
    boolean said = !l.origin().equals(Origin.UNSAID);
    if (l.storageMethodId().startsWith("s_clamp") && said && l.origin().movable()) {
      found.add(new Doubt(Doubt.Code.STAYS_WHERE_IT_IS, l.id(), "origin.movable", 0, 0, 0));
    }
  }

  private void usual(String id, String field, double value, double min, double max) {
    if (value < min || value > max) {
      found.add(new Doubt(Doubt.Code.UNUSUAL, id, field, value, min, max));
    }
  }
}
