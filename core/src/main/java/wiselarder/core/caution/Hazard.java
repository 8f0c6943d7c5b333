package wiselarder.core.caution;

import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wiselarder.core.reference.CsvTable;

/**
 * A hazard of the product's table. The text is general caution, never a diagnosis: the people in
 * {@code whoToAsk}, the product label and local code stand above it.
 *
 * @param appliesTo feeds, kinds of feed and activities
 * @param species cattle, sheep, goats, horses or people
 * @param trigger code of what sets it off
 * @param holdDays the longer end of the usual hold, 0 where the table gives none
 */
public record Hazard(
    String id,
    String title,
    String action,
    String severity,
    String whoToAsk,
    int holdDays,
    Set<String> appliesTo,
    Set<String> species,
    String trigger) {
  /** Triggers of the ordinary care that goes with a job, whatever the weather or the herd. */
  private static final Set<String> EVERYDAY =
      Set.of(
          "moving_bales",
          "electric_fence",
          "wrap_ingestion",
          "hay_fire_moisture",
          "walking_through_smoke_or_silo_gas",
          "hungry_turnout",
          "sudden_diet_change",
          "treated_seed",
          "mud_and_lying",
          "ice_and_water",
          "waterway",
          "mouldy_feed");

  /** True where it is ordinary care that goes with a job rather than a danger of this plan. */
  public boolean everyday() {
    return EVERYDAY.contains(trigger);
  }

  /** True where a kind of group, {@code species/animal group}, is among those it harms. */
  public boolean harms(String kind) {
    String of =
        switch (kind.substring(0, Math.max(0, kind.indexOf('/')))) {
          case "sheep" -> "sheep";
          case "goat" -> "goats";
          case "horse" -> "horses";
          default -> "cattle";
        };
    return species.contains(of);
  }

  /** All hazards by id. */
  public static Map<String, Hazard> loadAll() {
    return CsvTable.load("hazards.csv", Hazard::of).stream()
        .collect(Collectors.toUnmodifiableMap(Hazard::id, Function.identity()));
  }

  private static Hazard of(CsvTable.Row r) {
    double hold = r.numberOrNaN("hold_days_high", 0, 1000);
    Set<String> severities = Set.of("danger", "caution", "notice");
    String severity = r.text("severity");
    if (!severities.contains(severity)) {
      throw new IllegalStateException("hazards.csv: severity '" + severity + "' is not known");
    }
    return new Hazard(
        r.text("id"),
        r.text("title"),
        r.text("action"),
        severity,
        r.text("who_to_ask").replace("|", ", "),
        Double.isNaN(hold) ? 0 : (int) hold,
        Set.of(r.text("applies_to").split("\\|")),
        Set.of(r.text("affects_species").split("\\|")),
        r.text("trigger_code"));
  }
}
