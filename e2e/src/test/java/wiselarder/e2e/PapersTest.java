package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Files in: shown first, told what is wrong and where, taken whole; and what is said beside inputs.
 */
class PapersTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("papers");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void demo() {
    product.resetDemo();
    page = product.visitorPage(1280, 800);
    page.navigate(product.demo() + "/papers");
  }

  @AfterEach
  void close() {
    page.context().close();
  }

  private void give(String name, String text) {
    page.getByLabel("File to take in")
        .setInputFiles(new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8)));
  }

  private Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first();
  }

  private Locator preview() {
    return page.getByTestId("preview");
  }

  @Test
  void aListShowsWhatItChangesIsTakenAndUndone() {
    give("fields.csv", "name,area_ac\nSaddle,20\n");
    assertThat(preview()).containsText("Changes field Saddle");
    assertThat(preview()).containsText("Area, ac: 14.0 to 20.0");
    button("Take it in").click();
    assertThat(page.getByText("Taken as one change")).isVisible();
    button("Undo").click();
    assertThat(button("Redo")).isEnabled();
    give("fields.csv", "name,area_ha\nSaddle,5.6656\n");
    assertThat(preview()).containsText("It changes nothing");
  }

  @Test
  void aListIsFilledDownAndPastedIntoAsInASpreadsheet() {
    page.navigate(product.demo() + "/land");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("As a table")).click();
    Locator first = page.getByLabel("block, row 2");
    first.fill("Low ground");
    first.press("Shift+ArrowDown");
    first.press("Shift+ArrowDown");
    first.press("ControlOrMeta+d");
    assertThat(page.getByLabel("block, row 3")).hasValue("Low ground");
    assertThat(page.getByLabel("block, row 4")).hasValue("Low ground");
    assertThat(page.getByLabel("block, row 5")).not().hasValue("Low ground");

    // what another program put on the clipboard, from the first cell on
    page.getByLabel("name, row 2").focus();
    page.evaluate(
        """
        () => {
          const data = new DataTransfer();
          data.setData('text/plain', 'Home Meadow\\t17.5\\nMill Meadow\\t22.5\\n');
          document.activeElement.dispatchEvent(
            new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
        }""");
    assertThat(page.getByLabel("name, row 3")).hasValue("Mill Meadow");
    assertThat(page.getByLabel(Pattern.compile("^area ac, row 3"))).hasValue("22.5");
    button("See what would change").click();
    assertThat(preview()).containsText("Changes field Home Meadow");
    assertThat(preview()).containsText("Area, ac: 18.9 to 17.5");
    assertThat(preview()).containsText("Changes field Kiln Hill");
    org.assertj.core.api.Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    button("Take it in").click();
    assertThat(page.getByText("Taken as one change")).isVisible();
    // the table shows the plan as it is now
    assertThat(button("See what would change")).isDisabled();
    assertThat(page.getByLabel("name, row 3")).hasValue("Mill Meadow");
    Hand.MOUSE.link(page, "Land");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Mill Meadow");
  }

  @Test
  void badRowsAreListedAndNothingIsTaken() {
    give("lots.csv", "name,units\nFirst-cut fescue,many\nNo such,4\n");
    assertThat(preview().locator("tbody tr")).hasCount(2);
    assertThat(preview()).containsText("A number is accepted, not \"many\"");
    assertThat(button("Take it in")).isDisabled();
  }

  @Test
  void aForeignOrBrokenFileIsToldWhatIsWrongAndWhere() {
    give("song.json", "{\"la\": \"la\"}");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("This is no farm file");
    give("farm.json", "{\"format\": \"wise-larder-farm\",\n \"version\": 2,,}");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("no JSON at line 2");
    assertThat(preview()).hasCount(0);
  }

  @Test
  void aDoubtfulFigureIsMarkedAndKept() {
    page.navigate(product.demo() + "/herd?side=animals");
    Locator weight = Hand.input(page, "Weight of one");
    weight.fill("3000");
    assertThat(page.getByTestId("doubt")).containsText("Unusual:");
    button("Save group").click();
    assertThat(page.getByText("doubtful").first()).isVisible();
    page.reload();
    assertThat(page.getByTestId("doubt")).containsText("lb is usual. Taken as typed.");
  }

  @Test
  void weanedBeforeBirthIsToldBesideTheDay() {
    page.navigate(product.demo() + "/herd?side=animals");
    page.getByLabel("Weaning, month").selectOption("2");
    assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("30 April to 25 January");
    assertThat(button("Save group")).isDisabled();
  }

  @Test
  void aPlanIsCopiedNamedAndOpened() {
    page.navigate(product.demo() + "/farm");
    Hand.MOUSE.choose(page.getByLabel("It is of"), "The same year once more");
    Hand.input(page, "Name of the new plan").fill("Spare plan");
    button("Make the plan").click();
    assertThat(page.locator("header")).containsText("Spare plan");
    Hand.MOUSE.link(page, "All farms");
    assertThat(page.locator("main")).containsText("Spare plan");
  }
}
