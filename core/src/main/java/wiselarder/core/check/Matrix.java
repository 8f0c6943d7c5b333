package wiselarder.core.check;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import wiselarder.core.engine.Engine;
import wiselarder.core.forage.CropUses.Regrowth;
import wiselarder.core.forage.QualityTable.Values;

/** The checks as two tables of Markdown, each row with what of it does not fit. */
public final class Matrix {
  private Matrix() {}

  /**
   * Both tables.
   *
   * @param years simulated years behind each row
   */
  public static String of(Engine engine, int years) {
    return stands(engine, StandCheck.all(engine, years))
        + "\n"
        + crops(engine, CropCheck.all(engine, years));
  }

  private static String stands(Engine engine, List<StandCheck> checks) {
    StringBuilder out = new StringBuilder();
    out.append(
        "| climate | stand | typed | normal | mean of years | months off | stockpile TDN by"
            + " month | does not fit |\n|---|---|---|---|---|---|---|---|\n");
    for (StandCheck c : checks) {
      Values values = engine.catalogue().quality().of(c.forage().id());
      String against =
          (c.monthsFit() ? "" : "months ")
              + (c.meanFits() ? "" : "mean ")
              + (c.stockpileFits(values) ? "" : "stockpile");
      out.append(
          String.format(
              Locale.ROOT,
              "| %s | %s | %.0f | %.2f | %.2f | %.2f | %s | %s |%n",
              c.climate().id(),
              c.forage().id(),
              c.typedKgPerHa(),
              c.normalShare(),
              c.meanShare(),
              c.monthsShare(),
              c.monthlyTdn().stream()
                  .map(tdn -> String.format(Locale.ROOT, "%.0f", tdn))
                  .collect(Collectors.joining(" ")),
              against.strip()));
    }
    return out.toString();
  }

  private static String crops(Engine engine, List<CropCheck> checks) {
    StringBuilder out = new StringBuilder();
    out.append(
        "| climate | crop | for | first use, days (table) | yield (table) | comes up | ever ready |"
            + " second growth (table) | does not fit |\n|---|---|---|---|---|---|---|---|---|\n");
    for (CropCheck c : checks) {
      Regrowth comesBack =
          engine.catalogue().crops().uses().of(engine.catalogue().forage(c.window().forageId()));
      String against =
          (c.useFits() ? "" : "first use ")
              + (c.yieldFits() ? "" : "yield ")
              + (c.secondFits(comesBack) ? "" : "second growth");
      out.append(
          String.format(
              Locale.ROOT,
              "| %s | %s | %s | %s | %.0f (%.0f to %.0f) | %.2f | %.2f | %s | %s |%n",
              c.window().climateId(),
              c.window().forageId(),
              c.window().purpose().replace('_', ' '),
              c.window().grazed()
                  ? String.format(
                      Locale.ROOT,
                      "%s (%d to %d)",
                      c.useDays() < 0 ? "never" : Integer.toString(c.useDays()),
                      c.window().useFromDays(),
                      c.window().useToDays())
                  : "",
              c.yieldKgPerHa(),
              c.window().yieldLow(),
              c.window().yieldHigh(),
              c.cameUpShare(),
              c.readyShare(),
              Double.isNaN(c.second())
                  ? ""
                  : String.format(
                      Locale.ROOT, "%.2f (%.2f)", c.second(), comesBack.headed().share()),
              against.strip()));
    }
    return out.toString();
  }
}
