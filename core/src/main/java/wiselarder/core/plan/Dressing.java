package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;

/**
 * Nitrogen put on a field on a date, kg N/ha. How much, what product and where not to spread stand
 * in soil test, label and local code; the plan only reckons what it grows.
 */
public record Dressing(
    String id, String fieldId, LocalDate date, double nitrogenKgPerHa, Double pricePerKg) {
  public Dressing {
    id = Check.text("dressing.id", id, 80);
    Check.text("dressing.fieldId", fieldId, 40);
    Check.present("dressing.date", date);
    Check.range("dressing.nitrogenKgPerHa", nitrogenKgPerHa, 1, 200);
    if (pricePerKg != null) {
      Check.range("dressing.pricePerKg", pricePerKg, 0, 100);
    }
  }
}
