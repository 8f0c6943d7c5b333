package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/** Water put on a field on a date, mm that reach the soil. */
public record Irrigation(String id, String fieldId, LocalDate date, double waterMm) {
  public static final Stated.Figure WATER_MM = Stated.number("irrigation.waterMm", 1, 150);

  public Irrigation {
    id = Check.text("irrigation.id", id, 80);
    Check.text("irrigation.fieldId", fieldId, 40);
    Check.present("irrigation.date", date);
    WATER_MM.check(waterMm);
  }
}
