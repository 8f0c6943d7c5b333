package wiselarder.core.plan;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;
import wiselarder.core.store.Lot;

/**
 * A cut on a date into a new lot. The number of units is worked out from what is standing; {@code
 * lot.units} is not read, {@code lot.kgPerUnitAsFed} is the weight aimed at.
 */
public record HayCut(String id, String fieldId, LocalDate date, String harvestMethodId, Lot lot) {
  public HayCut {
    id = Check.text("cut.id", id, 80);
    Check.text("cut.fieldId", fieldId, 40);
    Check.present("cut.date", date);
    Check.text("cut.harvestMethodId", harvestMethodId, 60);
    Check.present("cut.lot", lot);
  }
}
