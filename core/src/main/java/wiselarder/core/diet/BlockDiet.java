package wiselarder.core.diet;

import java.util.List;
import java.util.stream.IntStream;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.ShelfDiet.Measure;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.Energy;
import wiselarder.core.land.Field;

/**
 * What the fields of one block give towards the need of all groups. Dry matter is what was grazed
 * there; energy and protein are that times the worth of all that stands there on the day, although
 * sheep and goats pick better than that. Nothing is lacking of a block: the rest comes from
 * elsewhere.
 */
public final class BlockDiet implements ByShelf {
  private final YearBalance balance;
  private final Measure measure;
  private final ShelfDiet all;
  private final int[] fields;

  private BlockDiet(YearBalance balance, Measure measure, int[] fields) {
    this.balance = balance;
    this.measure = measure;
    this.all = ShelfDiet.of(balance, measure, null);
    this.fields = fields;
  }

  /**
   * Reads it off a balance that keeps its fields.
   *
   * @param block its name; a name that no field has gives nothing
   */
  public static BlockDiet of(YearBalance balance, Measure measure, String block) {
    List<Field> of = balance.stated().farm().fields();
    return new BlockDiet(
        balance,
        measure,
        IntStream.range(0, of.size()).filter(f -> of.get(f).block().equals(block)).toArray());
  }

  @Override
  public double need(int day) {
    return all.need(day);
  }

  @Override
  public double given(Shelf shelf, int day) {
    double sum = 0;
    for (int f : fields) {
      double kg = grazedKg(shelf, f, day);
      sum += kg <= 0 ? 0 : kg * worth(f, day);
    }
    return sum;
  }

  private double grazedKg(Shelf shelf, int field, int day) {
    double standing = balance.grazedStandingKg(field, day);
    return switch (shelf) {
      case GROWING -> balance.grazedKg(field, day) - standing;
      case STANDING -> standing;
      case PUT_BY, BOUGHT_IN -> 0;
    };
  }

  /** Of a kg DM; where all was eaten down that day, as it stood the day before. */
  private double worth(int field, int day) {
    if (measure == Measure.DRY_MATTER) {
      return 1;
    }
    int nutrient = measure == Measure.ENERGY ? Values.TDN : Values.PROTEIN;
    double pct = balance.standingPct(field, day, nutrient);
    if (Double.isNaN(pct) && day > 0) {
      pct = balance.standingPct(field, day - 1, nutrient);
    }
    if (Double.isNaN(pct)) {
      return 0;
    }
    return pct / 100 * (measure == Measure.ENERGY ? 100 * Energy.MJ_PER_TDN_PCT : 1);
  }

  @Override
  public double lacking(int day) {
    return 0;
  }
}
