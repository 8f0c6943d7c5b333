package wiselarder.core.price;

/**
 * A job: how long one person works on it, and where the price of having it done stands. Tractor of
 * 60 to 100 kW, fields of 2 to 6 ha.
 *
 * @param hoursPerHa NaN where it goes by the unit
 * @param hoursPerUnit NaN where it goes by the hectare
 * @param priceId row of the table of prices, or empty for own work only
 */
public record Operation(String id, double hoursPerHa, double hoursPerUnit, String priceId) {

  /** Hours of one person for so many hectares, or so many units. */
  public double hours(double amount) {
    return amount * (Double.isNaN(hoursPerHa) ? hoursPerUnit : hoursPerHa);
  }
}
