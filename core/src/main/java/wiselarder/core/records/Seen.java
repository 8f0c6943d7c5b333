package wiselarder.core.records;

import java.time.LocalDate;
import wiselarder.core.quantity.Check;

/** A fact and the day on which it happened, before it is written down. */
public record Seen(LocalDate on, Fact fact) {
  public Seen {
    Check.present("record.on", on);
    Check.present("record.fact", fact);
  }
}
