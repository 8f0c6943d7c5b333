package wiselarder.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** axe finds nothing on any screen, wide or on a phone, and nothing runs off the side. */
class AccessTest {
  private static Product product;

  @BeforeAll
  static void start() {
    product = Product.fresh("access");
    product.resetDemo();
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  private static Page open(String screen, int width, int height) {
    Page page = product.visitorPage(width, height);
    page.navigate(product.demo() + screen);
    page.getByRole(AriaRole.HEADING).first().waitFor();
    return page;
  }

  /**
   * Elements that reach beyond the window, where the window can be moved sideways at all, once
   * charts have drawn themselves for the new width: that takes some frames.
   */
  @SuppressWarnings("unchecked")
  static List<String> offTheSide(Page page) {
    return (List<String>)
        page.evaluate(
            """
            async () => {
              const off = () => document.documentElement.scrollWidth <= window.innerWidth ? [] :
                [...document.querySelectorAll('body *')]
                  .filter(e => e.getBoundingClientRect().right > window.innerWidth + 1)
                  .map(e => e.outerHTML.slice(0, 120));
              for (let frame = 0; frame < 60 && off().length > 0; frame++) {
                await new Promise(drawn => requestAnimationFrame(drawn));
              }
              return off();
            }""");
  }

  @SuppressWarnings("unchecked")
  static List<String> violations(Page page) {
    if (!(boolean) page.evaluate("() => 'axe' in window")) {
      page.evaluate(axe());
    }
    return (List<String>)
        page.evaluate(
            "async () => (await axe.run(document, {resultTypes: ['violations']})).violations.map("
                + "v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160)).join(' | '))");
  }

  private static String axe() {
    try (InputStream in = AccessTest.class.getResourceAsStream("/axe.min.js")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** At 200% a window of 1280 shows what one of 640 does. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "?view=cover",
        "?view=ahead",
        "?view=stocking",
        "?view=ledger",
        "/land",
        "/land/draw",
        "/land?side=stand",
        "/land?side=grazing",
        "/land?side=place",
        "/land?side=seen",
        "/herd",
        "/herd?side=animals",
        "/herd?side=feeds",
        "/herd?side=keeping",
        "/store",
        "/store?side=lot",
        "/store?side=worth",
        "/gaps",
        "/seasons",
        "/jobs",
        "/walk",
        "/winter",
        "/winter?way=breaks",
        "/instruments",
        "/instruments/plate",
        "/instruments/station",
        "/forages",
        "/prices",
        "/market",
        "/farm",
        "/ahead",
        "/start",
        "/changes",
        "/papers",
        "/people"
      })
  void axeFindsNothingAndNothingRunsOffTheSide(String screen) {
    Page page = open(screen, 1280, 800);
    assertThat(violations(page)).as("wide").isEmpty();
    assertThat(offTheSide(page)).as("wide").isEmpty();
    page.setViewportSize(640, 400);
    assertThat(offTheSide(page)).as("at twice the size").isEmpty();
    page.setViewportSize(390, 844);
    assertThat(violations(page)).as("on a phone").isEmpty();
    assertThat(offTheSide(page)).as("on a phone").isEmpty();
    page.context().close();
  }

  @ParameterizedTest
  @CsvSource({"1280, 800", "390, 844"})
  void axeFindsNothingBeforeAPlanIsOpen(int width, int height) {
    Page page = product.page(width, height);
    page.navigate(product.url());
    page.getByRole(AriaRole.HEADING).first().waitFor();
    page.getByTestId("quick-answer").getByText("bales").waitFor();
    assertThat(violations(page)).as("sign-in, with its hay sum").isEmpty();
    page.navigate(product.url() + "/#/invited/nothing");
    page.getByText("leads nowhere").waitFor();
    assertThat(violations(page)).as("invitation").isEmpty();
    page.context().close();
    page = product.visitorPage(width, height);
    page.navigate(product.url());
    page.getByText("Demo farms").waitFor();
    assertThat(violations(page)).as("farms").isEmpty();
    page.keyboard().press("?");
    page.getByRole(AriaRole.DIALOG).waitFor();
    assertThat(violations(page)).as("keys").isEmpty();
    page.context().close();
  }

  @Test
  void axeFindsNothingWhileAGapIsBeingClosedOrInTheLedger() {
    Page page = open("", 1280, 800);
    page.getByTestId("shelves").waitFor();
    Hand.MOUSE.link(page, "Close this gap");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Shut Mill Bottom"))
        .click();
    page.getByTestId("compare").waitFor();
    assertThat(violations(page)).isEmpty();
    for (String side : new String[] {"By month", "Other years", "Cost"}) {
      Hand.MOUSE.side(page, side);
      assertThat(violations(page)).as(side).isEmpty();
    }
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Find the cheapest mix"))
        .click();
    page.getByTestId("mix").waitFor();
    page.getByTestId("in-full").waitFor();
    assertThat(violations(page)).as("the cheapest mix").isEmpty();
    page.setViewportSize(390, 844);
    assertThat(violations(page)).as("the cheapest mix on a phone").isEmpty();
    assertThat(offTheSide(page)).as("the cheapest mix on a phone").isEmpty();
    page.setViewportSize(1280, 800);
    Hand.MOUSE.link(page, "Year");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Ledger")).click();
    assertThat(violations(page)).isEmpty();
    page.context().close();
  }

  @Test
  void theWholePathIsWalkedByKeyboard() {
    Page page = open("", 1280, 800);
    Hand.reach(
        page.getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName("Close this gap").setExact(true)));
    page.keyboard().press("Enter");
    page.getByTestId("close-gap")
        .getByRole(
            AriaRole.BUTTON,
            new com.microsoft.playwright.Locator.GetByRoleOptions().setName("round bales"))
        .waitFor();
    page.getByTestId("close-gap").getByRole(AriaRole.BUTTON).nth(1).focus();
    page.keyboard().press("Enter");
    page.getByTestId("compare").waitFor();
    page.context().close();
  }
}
