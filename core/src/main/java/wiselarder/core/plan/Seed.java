package wiselarder.core.plan;

import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.Stated;

/**
 * Seed that lies in the shed: it need not be bought.
 *
 * @param forageId what grows of it
 * @param kg that would be sown as it is; old seed that germinates poorly counts for less
 * @param note where it is, of which year, and the like
 */
public record Seed(String forageId, double kg, String note) {
  public static final Stated.Figure KG = Stated.number("seed.kg", 0.1, 100_000);
  public static final Stated.Text NOTE = Stated.note("seed.note", 200);

  public Seed {
    forageId = Check.text("seed.forageId", forageId, 60);
    KG.check(kg);
    note = NOTE.check(note);
  }
}
