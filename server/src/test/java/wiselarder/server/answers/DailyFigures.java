package wiselarder.server.answers;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import wiselarder.core.balance.YearBalance;
import wiselarder.core.day.Shelf;
import wiselarder.core.diet.DietYear;
import wiselarder.core.forage.QualityTable;

/** Every daily figure of a simulated year by its name: of the farm, its fields, lots and groups. */
final class DailyFigures {
  private final Map<String, double[]> series = new LinkedHashMap<>();
  private final YearBalance year;

  private DailyFigures(YearBalance year) {
    this.year = year;
  }

  static Map<String, double[]> of(YearBalance year) {
    DailyFigures figures = new DailyFigures(year);
    figures.add("farm/standing", year::standingKg);
    for (int f = 0; f < year.stated().farm().fields().size(); f++) {
      figures.field(f);
    }
    for (int l = 0; l < year.lotNames().size(); l++) {
      figures.lot(l);
    }
    for (int g = 0; g < year.stated().farm().groups().size(); g++) {
      figures.group(g);
    }
    return figures.series;
  }

  private void field(int f) {
    String name = "field/" + year.stated().farm().fields().get(f).id();
    add(name + "/cover", d -> year.coverKgPerHa(f, d));
    add(name + "/green", d -> year.greenKgPerHa(f, d));
    add(name + "/water", d -> year.soilWaterMm(f, d));
    add(name + "/protein", d -> year.standingProteinPct(f, d));
    add(name + "/tdn", d -> year.standingTdnPct(f, d));
    add(name + "/ripeness", d -> year.ripeness(f, d));
    add(name + "/grown", d -> year.grownKg(f, d));
    add(name + "/grazed", d -> year.grazedKg(f, d));
    add(name + "/standing", d -> year.grazedStandingKg(f, d));
    add(name + "/trampled", d -> year.trampledKg(f, d));
    add(name + "/weathered", d -> year.weatheredKg(f, d));
    add(name + "/cut", d -> year.cutKg(f, d));
  }

  private void lot(int l) {
    String name = "lot/" + year.stated().allLots().get(l).id();
    add(name + "/kg", d -> year.lotKg(l, d));
    add(name + "/units", d -> year.lotUnits(l, d));
    add(name + "/opened", d -> year.lotOpened(l, d));
    add(name + "/eaten", d -> year.lotEatenKg(l, d));
  }

  private void group(int g) {
    String name = "group/" + year.stated().farm().groups().get(g).id();
    DietYear diet = DietYear.of(year, g);
    add(name + "/need", d -> year.needKg(g, d));
    add(name + "/bare", d -> year.bareKg(g, d));
    for (Shelf shelf : Shelf.values()) {
      add(name + "/" + shelf, d -> year.eatenKg(shelf, g, d));
    }
    for (int n = 0; n < QualityTable.Values.COUNT; n++) {
      int nutrient = n;
      add(name + "/nutrient" + n, d -> year.dietKg(g, d, nutrient));
    }
    add(name + "/water", d -> year.feedWaterL(g, d));
    add(name + "/field", d -> year.onField(g, d));
    add(name + "/energy", diet::energyMj);
    add(name + "/energy-need", diet::energyNeedMj);
    add(name + "/gain", diet::gainKg);
    add(name + "/weight", diet::weightKg);
    add(name + "/score", diet::score);
  }

  private void add(String name, IntToDoubleFunction ofDay) {
    double[] values = new double[year.days()];
    for (int d = 0; d < values.length; d++) {
      values[d] = ofDay.applyAsDouble(d);
    }
    series.put(name, values);
  }
}
