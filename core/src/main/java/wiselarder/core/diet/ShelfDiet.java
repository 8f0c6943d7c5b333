package wiselarder.core.diet;

import java.util.ArrayList;
import java.util.List;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.forage.QualityTable.Values;
import wiselarder.core.herd.Energy;

/**
 * What each shelf gave some groups, in dry matter, energy or protein, against what they need of it.
 * What a group grazed has one worth, growing and standing alike, as it was taken in one mouthful;
 * so has what it ate of the store. What is fed besides the plan counts against the need.
 */
public final class ShelfDiet implements ByShelf {
  /** What is counted. */
  public enum Measure {
    /** Kg DM. */
    DRY_MATTER,
    /** MJ metabolisable; horses are left out, as the tables hold none for them. */
    ENERGY,
    /** Kg crude protein. */
    PROTEIN
  }

  private final YearBalance balance;
  private final Measure measure;
  private final List<Integer> groups = new ArrayList<>();
  private final List<DietYear> diets = new ArrayList<>();

  private ShelfDiet(YearBalance balance, Measure measure) {
    this.balance = balance;
    this.measure = measure;
  }

  /**
   * Reads it off a balance that keeps its fields.
   *
   * @param groupId one group, or null for all
   */
  public static ShelfDiet of(YearBalance balance, Measure measure, String groupId) {
    ShelfDiet made = new ShelfDiet(balance, measure);
    for (int g = 0; g < balance.stated().farm().groups().size(); g++) {
      String id = balance.stated().farm().groups().get(g).id();
      DietYear diet = DietYear.of(balance, g);
      if ((groupId == null || groupId.equals(id)) && made.counts(diet)) {
        made.groups.add(g);
        made.diets.add(diet);
      }
    }
    return made;
  }

  private boolean counts(DietYear diet) {
    return measure != Measure.ENERGY || diet.hasEnergy();
  }

  /** What the groups need that day, less what they are fed besides the plan. */
  @Override
  public double need(int day) {
    double sum = 0;
    for (int i = 0; i < groups.size(); i++) {
      sum += need(i, day);
    }
    return sum;
  }

  private double need(int i, int day) {
    return switch (measure) {
      case DRY_MATTER -> balance.needKg(groups.get(i), day);
      case ENERGY -> Math.max(0, diets.get(i).energyNeedMj(day) - besides(i, day));
      case PROTEIN -> Math.max(0, diets.get(i).proteinNeedKg(day) - besides(i, day));
    };
  }

  /** What is fed besides is in the diet and on no shelf. */
  private double besides(int i, int day) {
    double all =
        measure == Measure.ENERGY ? diets.get(i).energyMj(day) : diets.get(i).proteinKg(day);
    return all - factor() * balance.dietKg(groups.get(i), day, nutrient());
  }

  private int nutrient() {
    return measure == Measure.ENERGY ? Values.TDN : Values.PROTEIN;
  }

  /** Of a kg of the nutrient: MJ in a kg of TDN, or the kg itself. */
  private double factor() {
    return measure == Measure.ENERGY ? 100 * Energy.MJ_PER_TDN_PCT : 1;
  }

  /** What a shelf gave the groups that day. */
  @Override
  public double given(Shelf shelf, int day) {
    double sum = 0;
    for (int g : groups) {
      sum += given(shelf, g, day);
    }
    return sum;
  }

  private double given(Shelf shelf, int group, int day) {
    double kg = balance.eatenKg(shelf, group, day);
    if (measure == Measure.DRY_MATTER || kg <= 0) {
      return kg;
    }
    double grazedKg =
        balance.eatenKg(Shelf.GROWING, group, day) + balance.eatenKg(Shelf.STANDING, group, day);
    double grazedPct =
        measure == Measure.ENERGY
            ? balance.grazedTdnPct(group, day)
            : balance.grazedProteinPct(group, day);
    double grazed = grazedKg <= 0 ? 0 : grazedPct / 100 * grazedKg;
    if (shelf == Shelf.GROWING || shelf == Shelf.STANDING) {
      return factor() * grazed * kg / grazedKg;
    }
    double storedKg =
        balance.eatenKg(Shelf.PUT_BY, group, day) + balance.eatenKg(Shelf.BOUGHT_IN, group, day);
    double stored = balance.dietKg(group, day, nutrient()) - grazed;
    return factor() * stored * kg / storedKg;
  }

  /** What is lacking to the groups' needs, each for itself: what one has over feeds no other. */
  @Override
  public double lacking(int day) {
    double sum = 0;
    for (int i = 0; i < groups.size(); i++) {
      if (measure == Measure.DRY_MATTER) {
        sum += balance.bareKg(groups.get(i), day);
      } else {
        double given = 0;
        for (Shelf s : Shelf.values()) {
          given += given(s, groups.get(i), day);
        }
        sum += Math.max(0, need(i, day) - given);
      }
    }
    return sum;
  }
}
