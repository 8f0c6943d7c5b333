package wiselarder.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * From releasing an edit to the new picture painted, in Chromium; and what the first load and a
 * year's answer weigh. Run by {@code ./larder bench paint}, not by the tests.
 */
class PaintBench {
  private static final int WARM = 15;
  private static final int SAMPLES = 120;

  /**
   * Changes the input as typing does, and resolves with the milliseconds until the picture has
   * changed and two frames have passed, so that it is on the screen.
   */
  private static final String CHANGE =
      """
      ([label, value]) => new Promise((done, fail) => {
        setTimeout(() => fail(new Error('the picture did not change')), 5000);
        const input = [...document.querySelectorAll('label')]
          .find(l => l.innerText.startsWith(label)).querySelector('input');
        const began = performance.now();
        const watch = new MutationObserver(() => {
          watch.disconnect();
          requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - began)));
        });
        watch.observe(document.querySelector('[data-testid=shelves]'),
          {subtree: true, attributes: true, childList: true, characterData: true});
        input.value = value;
        input.dispatchEvent(new Event('input', {bubbles: true}));
      })""";

  @Test
  void fromTheEditToThePicture() {
    try (Product product = Product.fresh("paint")) {
      product.resetDemo();
      Page page = product.visitorPage(1280, 800);
      page.navigate(product.demo() + "/store");
      page.getByTestId("shelves").waitFor();
      double[] ms = new double[SAMPLES];
      for (int i = -WARM; i < SAMPLES; i++) {
        // by tens, so that hay runs out on another day each time and the picture must change
        String bales = Integer.toString(60 + 10 * ((i + WARM) * 7 % 17));
        double took = ((Number) page.evaluate(CHANGE, List.of("Units", bales))).doubleValue();
        if (i >= 0) {
          ms[i] = took;
        }
      }
      Arrays.sort(ms);
      System.out.printf(
          "paint: %d edits, median %.0f ms, p95 %.0f ms, worst %.0f ms%n",
          SAMPLES, ms[SAMPLES / 2], ms[SAMPLES * 95 / 100], ms[SAMPLES - 1]);
      weigh(product);
    }
  }

  private static void weigh(Product product) {
    Page page = product.page(1280, 800);
    long[] first = new long[1];
    page.onResponse(r -> first[0] += size(r));
    page.navigate(product.url());
    page.getByText("Look at the demo farms").waitFor();
    page.waitForLoadState();
    System.out.printf("weight: first load %.0f kB compressed%n", first[0] / 1000.0);
    Page visitor = product.visitorPage(1280, 800);
    Response plan =
        visitor.waitForResponse(
            r -> r.url().endsWith("/api/plans/quillback"), () -> visitor.navigate(product.demo()));
    System.out.printf("weight: a plan with its year %.1f kB compressed%n", size(plan) / 1000.0);
  }

  private static long size(Response r) {
    return (long) (r.request().sizes().responseBodySize + r.request().sizes().responseHeadersSize);
  }
}
