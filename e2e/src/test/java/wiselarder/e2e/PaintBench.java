package wiselarder.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * From an edit on Herd to the new picture painted, in Chromium, beside a frame of an empty page;
 * how long the server takes for it and what its answers weigh. Run by {@code ./larder bench paint};
 * {@code BenchesTest} runs it once, short.
 */
class PaintBench {
  /** The part of Herd that changes with the server's answer only. */
  private static final String PICTURE = "section[aria-label=\"The year\"]";

  /**
   * Resolves with the milliseconds from the next input or pointer move until the picture has
   * changed and two frames have passed, so that it is on the screen.
   */
  private static final String WATCH =
      """
      (picture) => {
        window.painted = new Promise((done, fail) => {
          setTimeout(() => fail(new Error('the picture did not change')), 10000);
          let began = null;
          const start = () => { began ??= performance.now(); };
          addEventListener('input', start, {capture: true, once: true});
          addEventListener('pointermove', start, {capture: true, once: true});
          const watch = new MutationObserver(() => {
            if (began === null) return;
            watch.disconnect();
            requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - began)));
          });
          watch.observe(document.querySelector(picture),
            {subtree: true, attributes: true, childList: true, characterData: true});
        });
      }""";

  private static final String FRAMES =
      """
      () => new Promise(done => {
        const began = performance.now();
        requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - began)));
      })""";

  /** Of each trial: milliseconds until answered; bytes compressed; bytes. */
  private static final String TRIALS =
      """
      () => performance.getEntriesByType('resource').filter(r => r.name.includes('/trial'))
        .map(r => [r.responseEnd - r.requestStart, r.encodedBodySize, r.decodedBodySize])""";

  private int samples;

  /** Fewer than this only prove that it runs. */
  private static final int LONG = 20;

  @Test
  void fromTheEditToThePicture() {
    run(60);
  }

  void run(int times) {
    samples = times;
    try (Product product = Product.fresh("paint")) {
      product.resetDemo();
      Page page = product.visitorPage(1280, 800);
      page.navigate("about:blank");
      measure("an empty page's two frames", i -> number(page.evaluate(FRAMES)));
      page.navigate(product.demo() + "/herd?side=animals");
      page.getByTestId("verdict").waitFor();
      var head =
          page.getByRole(
                  AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Head")))
              .first();
      int kept = Integer.parseInt(head.inputValue());
      measure("head count typed", i -> painted(page, () -> head.fill("" + (kept + 1 + i % 7))));
      BoundingBox mark = page.getByRole(AriaRole.SLIDER).first().boundingBox();
      double x = mark.x + mark.width / 2;
      double y = mark.y + mark.height / 2;
      page.mouse().move(x, y);
      page.mouse().down();
      measure(
          "a birth mark dragged",
          i -> painted(page, () -> page.mouse().move(x + 20 + 30 * (i % 5), y)));
      page.mouse().up();
      trials(page);
      onTheRuler(page, product, "14 fields");
      if (times >= LONG) {
        SixtyFields.into(page);
        onTheRuler(page, product, "60 fields");
      }
      weigh(product);
    }
  }

  /**
   * A cut dragged along its lane on Year: until the shelves have changed, and pictures a second.
   */
  private void onTheRuler(Page page, Product product, String farm) {
    page.navigate(product.demo());
    page.reload();
    Locator cut =
        page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("cut on$")))
            .first();
    cut.scrollIntoViewIfNeeded();
    BoundingBox mark = cut.boundingBox();
    double x = mark.x + mark.width / 2;
    double y = mark.y + mark.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    measure(
        "a cut dragged on its lane, " + farm,
        i -> painted(page, SHELVES, () -> page.mouse().move(x - 20 - 15 * (i % 5), y)));
    page.evaluate(COUNT, SHELVES);
    for (int i = 0; i < samples * 4; i++) {
      page.mouse().move(x - 20 - 4 * (i % 20), y);
      page.waitForTimeout(8); // as often as a mouse tells where it is
    }
    System.out.printf(
        "paint: dragged without a stop, %s: %.0f pictures a second%n",
        farm, number(page.evaluate("() => window.pictures()")));
    page.keyboard().press("Escape");
    page.mouse().up();
  }

  /** What grows beyond the need: of the shelves, the line of the day read off moves at once. */
  private static final String SHELVES = "[data-testid=\"shelves\"] path[fill=\"url(#t-beyond)\"]";

  /** Counts the frames in which the picture changed, from now on. */
  private static final String COUNT =
      """
      (picture) => {
        const began = performance.now();
        let changed = 0, dirty = false;
        new MutationObserver(() => { dirty = true; }).observe(document.querySelector(picture),
          {attributes: true});
        const frame = () => { if (dirty) changed++; dirty = false; requestAnimationFrame(frame); };
        requestAnimationFrame(frame);
        window.pictures = () => 1000 * changed / (performance.now() - began);
      }""";

  private static double painted(Page page, Runnable edit) {
    return painted(page, PICTURE, edit);
  }

  private static double painted(Page page, String picture, Runnable edit) {
    page.evaluate(WATCH, picture);
    edit.run();
    return number(page.evaluate("() => window.painted"));
  }

  private static double number(Object of) {
    return ((Number) of).doubleValue();
  }

  /** A quarter as many again come first, to warm up. */
  private void measure(String what, IntToDoubleFunction one) {
    int warm = samples / 4;
    double[] ms = new double[samples];
    for (int i = 0; i < warm + samples; i++) {
      double took = one.applyAsDouble(i);
      if (i >= warm) {
        ms[i - warm] = took;
      }
    }
    told(what, ms);
  }

  private static void told(String what, double[] ms) {
    Arrays.sort(ms);
    System.out.printf(
        "paint: %s, %d times: median %.1f ms, p95 %.1f ms, worst %.1f ms%n",
        what, ms.length, ms[ms.length / 2], ms[ms.length * 95 / 100], ms[ms.length - 1]);
  }

  private static void trials(Page page) {
    @SuppressWarnings("unchecked")
    List<List<Object>> all = (List<List<Object>>) page.evaluate(TRIALS);
    told("trial answered", all.stream().mapToDouble(t -> number(t.get(0))).toArray());
    System.out.printf(
        "weight: the answer of a trial %.1f kB compressed, %.1f kB of JSON%n",
        all.stream().mapToDouble(t -> number(t.get(1))).max().orElseThrow() / 1000,
        all.stream().mapToDouble(t -> number(t.get(2))).max().orElseThrow() / 1000);
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
