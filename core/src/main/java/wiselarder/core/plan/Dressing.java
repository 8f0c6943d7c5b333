package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Nitrogen put on a field on a date, kg N/ha. How much, what product and where not to spread stand
 * in soil test, label and local code; the plan only reckons what it grows.
 */
public record Dressing(
    String id, String fieldId, LocalDate date, double nitrogenKgPerHa, Double pricePerKg) {
  public static final Stated.Figure PRICE_PER_KG =
      Stated.number("dressing.pricePerKg", 0, 100).orNone();
  public static final Stated.Figure NITROGEN_KG_PER_HA =
      Stated.number("dressing.nitrogenKgPerHa", 1, 200);

  public Dressing {
    id = Check.text("dressing.id", id, 80);
    Check.text("dressing.fieldId", fieldId, 40);
    Check.present("dressing.date", date);
    NITROGEN_KG_PER_HA.check(nitrogenKgPerHa);
    PRICE_PER_KG.check(pricePerKg);
  }
}
