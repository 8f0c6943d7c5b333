package wiselarder.core.records;

import wiselarder.core.quantity.Check;
import wiselarder.core.store.FeedTest;

/** What a laboratory reported of a sample of a lot; its day is that of the sample. */
public record LotTested(String lotId, FeedTest test) implements Fact {
  public LotTested {
    lotId = Check.text("record.lotId", lotId, 80);
    Check.present("record.test", test);
  }
}
