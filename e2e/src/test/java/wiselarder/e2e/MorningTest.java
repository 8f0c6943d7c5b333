package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Somebody who looks after several farms sees in the morning how each stands. */
class MorningTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.working("morning");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void bringAllUpToDate() {
    product.resetDemo();
    page = product.visitorPage(1280, 800);
    page.navigate(product.url());
    Hand.MOUSE.link(page, "How all of them stand this morning");
    assertThat(row("Quillback")).containsText("Not reckoned yet");
    Hand.MOUSE.button(page, "Bring up to date");
    assertThat(page.getByText("3 farms, all as they stand this morning.")).isVisible();
  }

  private Locator row(String farm) {
    return page.getByRole(
        AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^" + farm)));
  }

  private Locator rows() {
    return page.locator("tbody tr");
  }

  private Locator toggle(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
  }

  @Test
  void theWorstStandsFirstAndOneClickOpensIt() throws IOException {
    assertThat(rows()).hasCount(3);
    assertThat(rows().first()).containsText("Falls short");
    assertThat(rows().last()).containsText("Spruce Hollow");
    assertThat(rows().last()).containsText("Feed lasts");
    // 20 February 2028 is the day of the demo's gap on Year
    assertThat(row("Quillback")).containsText("20 Feb 2028");
    assertThat(row("Quillback")).containsText("lasts in 0 of 200 years");

    toggle("Feed lasts").click();
    assertThat(rows()).hasCount(1);
    toggle("Feed lasts").click();
    Hand.input(page, "Find a farm").fill("quill");
    assertThat(rows()).hasCount(1);
    Download csv = page.waitForDownload(() -> Hand.MOUSE.link(page, "CSV"));
    Assertions.assertThat(Files.readAllLines(csv.path()))
        .hasSize(2)
        .element(1)
        .asString()
        .contains("falls short", "2028-02-20");
    Hand.input(page, "Find a farm").fill("no such");
    assertThat(page.getByText("No farm is like that.")).isVisible();
    Hand.input(page, "Find a farm").fill("");
    assertThat(rows()).hasCount(3);

    Hand.MOUSE.button(page, "Farm");
    assertThat(rows().first()).containsText("Campo");
    toggle("Farm").click();
    assertThat(rows().first()).containsText("Spruce");

    page.getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Quillback")))
        .click();
    page.getByTestId("shelves").waitFor();
    assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("20 February");
    page.context().close();
  }

  /** What is done on a farm is told until it is reckoned anew; the way back is in its menu. */
  @Test
  void aFarmThatChangedSaysSo() {
    page.navigate(product.demo() + "/jobs");
    Hand.MOUSE.button(page, "Done");
    page.getByText(Pattern.compile("done or dropped")).first().waitFor();
    Hand.MOUSE.link(page, "This morning, all farms");
    assertThat(row("Quillback")).containsText("changed since");
    assertThat(page.getByText("1 changed since or not of today")).isVisible();
    Hand.MOUSE.button(page, "Bring up to date");
    assertThat(page.getByText("3 farms, all as they stand this morning.")).isVisible();
    assertThat(row("Quillback")).not().containsText("changed since");
    page.context().close();
  }

  @Test
  void axeFindsNothingAndNothingRunsOffTheSide() {
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    Assertions.assertThat(AccessTest.offTheSide(page)).isEmpty();
    page.setViewportSize(390, 844);
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    Assertions.assertThat(AccessTest.offTheSide(page)).isEmpty();
    page.context().close();
  }
}
