package wiselarder.server.closing;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import wiselarder.core.engine.Engine;

class WarmUpTest {
  /** Two of the demo farms have a gap, and each some ways out of it. */
  @Test
  void theWaysOfTheDemoFarmsAreGoneThrough() {
    assertThat(new WarmUp(Engine.load()).run()).isGreaterThan(20);
  }
}
