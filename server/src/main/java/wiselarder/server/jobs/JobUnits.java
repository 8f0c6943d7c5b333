package wiselarder.server.jobs;

import java.util.Locale;
import wiselarder.core.plan.Farm.UnitSystem;
import wiselarder.core.quantity.Units;

/** Amounts in the words of a yard: pounds and acres, or kilograms and hectares. */
record JobUnits(UnitSystem system) {
  private static final double MM_PER_INCH = 25.4;
  private static final double CM_PER_INCH = 2.54;

  private boolean imperial() {
    return system == UnitSystem.IMPERIAL;
  }

  String massPerArea(double kgPerHa) {
    return imperial() ? whole(kgPerHa / Units.kgPerHa(1)) + " lb/ac" : whole(kgPerHa) + " kg/ha";
  }

  String rate(double kgPerHaDay) {
    return imperial()
        ? one(kgPerHaDay / Units.kgPerHa(1)) + " lb/ac a day"
        : one(kgPerHaDay) + " kg/ha a day";
  }

  String weight(double kg) {
    return imperial() ? whole(Units.lb(kg)) + " lb" : whole(kg) + " kg";
  }

  String bulk(double kg) {
    return imperial() ? one(kg / Units.KG_PER_SHORT_TON) + " tons" : one(kg / 1000) + " t";
  }

  String area(double ha) {
    return imperial() ? one(Units.acres(ha)) + " ac" : one(ha) + " ha";
  }

  String height(double cm) {
    return imperial() ? whole(cm / CM_PER_INCH) + " in" : whole(cm) + " cm";
  }

  String water(double mm) {
    return imperial() ? one(mm / MM_PER_INCH) + " in" : whole(mm) + " mm";
  }

  static String whole(double value) {
    return String.format(Locale.ENGLISH, "%,d", Math.round(value));
  }

  static String one(double value) {
    return String.format(Locale.ENGLISH, "%,.1f", value);
  }
}
