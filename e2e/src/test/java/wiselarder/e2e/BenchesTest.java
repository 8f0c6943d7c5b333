package wiselarder.e2e;

import org.junit.jupiter.api.Test;

/** Each bench runs once, short, so that none rots. Nothing here is timed. */
class BenchesTest {
  @Test
  void fromAnEditToThePicture() {
    new PaintBench().run(3);
  }

  @Test
  void noAcknowledgedEditIsLost() throws Exception {
    new CrashBench().measure(12, 1);
  }
}
