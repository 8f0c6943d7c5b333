package wiselarder.core.price;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * A price that the keeper knows, in place of the product's.
 *
 * @param id row of the table of prices
 * @param amount in the farm's currency for the row's unit
 * @param bySeason whether it moves over the year as such prices use to, and is then its mean; else
 *     it holds as it stands in every month
 */
public record OwnPrice(String id, double amount, boolean bySeason) {
  public static final Stated.Figure AMOUNT = Stated.number("price.amount", 0, 1_000_000);

  public OwnPrice {
    id = Check.text("price.id", id, 60);
    AMOUNT.check(amount);
  }
}
