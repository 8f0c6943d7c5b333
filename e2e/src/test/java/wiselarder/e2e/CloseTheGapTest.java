package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A keeper opens the demo farm, sees the gap, and does something about it. */
class CloseTheGapTest {
  private static final Pattern RUNS_OUT = Pattern.compile("Hay runs out on .* February\\.");
  private static final String LASTS = "Feed lasts the whole year.";

  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("e2e");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void openTheDemo() {
    product.resetDemo();
    page = product.visitorPage(1280, 800);
    page.navigate(product.demo());
  }

  @AfterEach
  void close() {
    page.context().close();
  }

  private Locator verdict() {
    return page.getByTestId("verdict");
  }

  private Locator button(String name) {
    return page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(false))
        .first();
  }

  private void go(String screen) {
    Hand.MOUSE.link(page, screen);
  }

  private void side(String name) {
    Hand.MOUSE.side(page, name);
  }

  private void comeBackAfterARestart() {
    product.restart();
    page.navigate(product.demo());
  }

  @Test
  void boughtHayClosesTheGapAndIsThereAfterARestart() {
    assertThat(verdict()).containsText(RUNS_OUT);
    go("Close this gap");
    button("round bales").click();
    assertThat(verdict()).hasText(LASTS);
    assertThat(page.getByTestId("compare")).containsText("0.0 tons");
    button("Put it in the plan").click();
    assertThat(page.getByTestId("planned")).containsText("round bales of 860 lb, there on 6 Feb");
    assertThat(verdict()).hasText(LASTS);

    comeBackAfterARestart();
    assertThat(verdict()).hasText(LASTS);
    assertThat(page.getByTestId("planned")).containsText("Buy ");

    button("Take back buying").click();
    assertThat(verdict()).containsText(RUNS_OUT);
  }

  @Test
  void shutFieldsCloseTheGapAndAreThereAfterARestart() {
    assertThat(verdict()).containsText(RUNS_OUT);
    go("Close this gap");
    int shut = 0;
    while (!verdict().innerText().equals(LASTS) && shut < 6) {
      Locator first =
          page.getByTestId("close-gap")
              .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Shut "))
              .first();
      String field = first.innerText().substring("Shut ".length());
      first.click();
      page.getByTestId("compare").waitFor();
      button("Put it in the plan").click();
      assertThat(page.getByTestId("planned")).containsText("Shut " + field + " from");
      shut++;
    }
    org.assertj.core.api.Assertions.assertThat(shut).isBetween(1, 4);
    assertThat(verdict()).hasText(LASTS);
    assertThat(page.getByTestId("shelves"))
        .hasAttribute("aria-label", Pattern.compile("bare 0\\."));

    comeBackAfterARestart();
    assertThat(verdict()).hasText(LASTS);
    assertThat(
            page.getByRole(
                AriaRole.SLIDER,
                new Page.GetByRoleOptions().setName(Pattern.compile("(shut|open) from$"))))
        .hasCount(2 * shut);
  }

  @Test
  void whatStandsBehindAGateClosesTheGapForNothing() {
    assertThat(verdict()).containsText(RUNS_OUT);
    go("Close this gap");
    Locator ways = page.getByTestId("close-gap");
    assertThat(ways.locator("tbody").first()).containsText("Open what stands");
    button("Open Mill Bottom and ").click();
    assertThat(verdict()).hasText(LASTS);
    button("Put it in the plan").click();
    assertThat(page.getByTestId("close-gap")).hasCount(0);
    assertThat(verdict()).hasText(LASTS);
    comeBackAfterARestart();
    assertThat(verdict()).hasText(LASTS);
  }

  @Test
  void fewerAreSoldThanOfferedAndWhatIsNotOfferedSaysWhy() {
    go("Close this gap");
    button("Sell 18 of Steers").click();
    Locator bare = page.getByTestId("compare").locator("tbody tr").first().locator("td").last();
    assertThat(bare).hasText(Pattern.compile("\\d"));
    String all = bare.innerText();
    Hand.input(page, "Head").fill("6");
    assertThat(bare).not().hasText(all);
    page.getByText("What was looked at and is not offered").click();
    assertThat(page.getByTestId("close-gap")).containsText("All that is stored is opened already");
    button("Put it in the plan").click();
    assertThat(verdict()).containsText(RUNS_OUT);
    go("Herd");
    button("Steers").click();
    side("Animals");
    assertThat(page.locator("option[value=SOLD]:checked")).hasCount(1);
  }

  @Test
  void twoWaysAreTriedTogetherKeptAsAPlanAndComparedWithThisOne() {
    go("Close this gap");
    page.getByLabel("Try with others: Open Mill Bottom from").first().check();
    page.getByLabel("Try with others: Sell 18 of Steers").check();
    Locator full = page.getByTestId("in-full");
    assertThat(full).containsText("Alone they bring");
    assertThat(full).containsText("Brings in USD");
    side("By month");
    assertThat(full.locator("tbody")).containsText("Mar 2028");
    side("Other years");
    assertThat(full.locator("tbody tr")).hasCount(2);
    side("Cost");
    assertThat(page.getByTestId("bill")).containsText("18 head at USD 40 a head");
    button("Keep as a plan of its own").click();
    Hand.input(page, "Name of the plan").fill("Sell early");
    button("Keep it").click();
    assertThat(page.getByTestId("close-gap")).containsText("Kept as Sell early.");
    assertThat(verdict()).containsText("Hay runs out on 13 March");
    button("Throw away").click();
    assertThat(page.getByTestId("set")).hasCount(0);
    page.reload();
    assertThat(verdict()).containsText(RUNS_OUT);
    Locator beside = page.getByTestId("plans-beside");
    beside.getByLabel("Sell early").check();
    assertThat(beside.locator("thead")).containsText("Sell early");
    assertThat(beside).containsText("27 days");
    assertThat(beside).containsText("4 days");
  }

  @Test
  void theCheapestMixIsFoundRuledByTheKeeperAndPutInThePlan() {
    go("Close this gap");
    button("Find the cheapest mix").click();
    Locator mix = page.getByTestId("mix");
    assertThat(mix).containsText("It costs nothing; hay alone would cost USD");
    assertThat(mix).containsText("it closes the gap");
    assertThat(mix).containsText("hours over the year");
    button("Without: Open Mill Bottom and").click();
    assertThat(mix).containsText("It costs USD");
    mix.getByText("What is not in it, and why").click();
    assertThat(mix).containsText("Open Mill Bottom and 11 more from 5 Feb: you do without it");
    button("Without hay").click();
    assertThat(mix).containsText("Hay: you do without it");
    assertThat(mix).not().containsText("Hay for USD");
    button("Allow hay again").click();
    assertThat(mix).containsText("it closes the gap");
    button("Put them in the plan").click();
    assertThat(page.getByTestId("close-gap")).hasCount(0);
    assertThat(verdict()).hasText(LASTS);
  }

  @Test
  void aCropIsSownByItsLastDayAndStandsInTheListOfPlans() {
    go("Close this gap");
    button("Sow cereal rye on Tannery Flat").click();
    assertThat(page.getByTestId("in-full")).containsText("ready to graze on");
    assertThat(page.getByTestId("in-full")).containsText("chance that it fails");
    Hand.input(page, "Sow on").fill("2027-09-05");
    assertThat(page.getByTestId("in-full")).containsText("Up on");
    button("Put it in the plan").click();
    assertThat(page.getByTestId("planned")).containsText("5 Sep");
    assertThat(page.getByTestId("planned"))
        .containsText(
            "cereal rye", new LocatorAssertions.ContainsTextOptions().setIgnoreCase(true));
    go("Year");
    assertThat(page.getByText("Tannery Flat").first()).isVisible();
  }

  @Test
  void aCropIsChosenAmongThoseThatFitTheGapAndTried() {
    go("Close this gap");
    page.getByText("Choose a crop for this gap").click();
    Locator crops = page.getByTestId("crops");
    assertThat(crops).containsText("Cereal rye");
    assertThat(crops).containsText("20 Aug to 10 Sep");
    assertThat(crops).not().containsText("not ready before the gap ends");
    crops
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions()
                .setName("Cereal rye, autumn and winter feed: by the day of sowing"))
        .click();
    assertThat(page.getByTestId("crop-dates").locator("tbody tr")).hasCount(6);
    page.getByLabel("bloat", new Page.GetByLabelOptions().setExact(true)).check();
    assertThat(crops).not().containsText("Cereal rye");
    page.getByLabel("bloat", new Page.GetByLabelOptions().setExact(true)).uncheck();
    button("that do not fit, and why").click();
    assertThat(crops).containsText("not ready before the gap ends");
    page.getByTestId("close-gap")
        .getByRole(
            AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName("Field").setExact(true))
        .selectOption(new SelectOption().setIndex(1));
    assertThat(crops).containsText("not ready before the gap ends");
    crops.getByRole(AriaRole.BUTTON).first().click();
    assertThat(page.getByTestId("in-full")).containsText("chance that it fails");
    button("Put it in the plan").click();
    assertThat(page.getByTestId("planned"))
        .containsText("sow", new LocatorAssertions.ContainsTextOptions().setIgnoreCase(true));
  }

  @Test
  void aPriceOfOnesOwnChangesWhatAWayCosts() {
    go("Close this gap");
    button("Sell 18 of Steers").click();
    side("Cost");
    Locator bill = page.getByTestId("bill");
    assertThat(bill).containsText("lb live at USD 4.04 a lb live");
    page.getByTestId("close-gap").getByRole(AriaRole.LINK).last().click();
    page.getByLabel("Find a price").fill("steer 510");
    page.getByLabel("Steer, about 510 lb, USD a lb live").fill("3.5");
    page.keyboard().press("Enter");
    assertThat(page.getByLabel("moves with the season")).hasCount(1);
    page.getByLabel("Find a price").fill("");
    page.getByLabel("Only your own (1)").check();
    assertThat(page.locator("summary")).hasCount(1);
    go("Gaps");
    button("Ways to close it").click();
    button("Sell 18 of Steers").click();
    side("Cost");
    assertThat(bill).containsText("lb live at USD 3.50 a lb live");
    go("Year");
    button("Undo").click();
    assertThat(button("Redo")).isEnabled();
  }

  @Test
  void aClosingIsMovedByKeyboardOnItsLane() {
    go("Close this gap");
    button("Shut Mill Bottom").click();
    button("Put it in the plan").click();
    assertThat(page.getByTestId("planned")).containsText("Shut Mill Bottom from");
    go("Year");
    Locator opens =
        page.getByRole(
            AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Mill Bottom, open from"));
    assertThat(opens).hasAttribute("aria-valuetext", "25 Dec");
    opens.focus();
    opens.press("ArrowRight");
    assertThat(opens).hasAttribute("aria-valuetext", "26 Dec");
    opens.press("PageDown");
    assertThat(opens).hasAttribute("aria-valuetext", "19 Dec");
    assertThat(page.getByTestId("planned")).containsText("to 18 Dec");
    page.reload();
    assertThat(
            page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Mill Bottom, open from")))
        .hasAttribute("aria-valuetext", "19 Dec");
  }

  @Test
  void aClosingIsDraggedOnItsLane() {
    go("Close this gap");
    button("Shut Mill Bottom").click();
    button("Put it in the plan").click();
    assertThat(page.getByTestId("planned")).containsText("Shut Mill Bottom from");
    go("Year");
    Locator opens =
        page.getByRole(
            AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Mill Bottom, open from"));
    opens.scrollIntoViewIfNeeded();
    var box = opens.boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x - 60, box.y + box.height / 2);
    page.mouse().up();
    assertThat(opens).hasAttribute("aria-valuetext", Pattern.compile("(Nov|Dec)"));
    assertThat(opens).not().hasAttribute("aria-valuetext", "25 Dec");
    assertThat(page.getByTestId("planned")).not().containsText("to 24 Dec");
  }

  @Test
  void theLedgerSaysTheSameAsThePicture() {
    String label = page.getByTestId("shelves").getAttribute("aria-label");
    button("Ledger").click();
    Locator total = page.getByTestId("ledger").locator("tbody tr").last();
    String[] figures = new String[6];
    for (int column = 0; column < figures.length; column++) {
      figures[column] = total.locator("td").nth(column).innerText();
    }
    org.assertj.core.api.Assertions.assertThat(label)
        .contains(figures[0] + " lb dry matter needed")
        .endsWith(
            "growing %s, standing %s, put by %s, bought in %s, bare %s."
                .formatted(figures[1], figures[2], figures[3], figures[4], figures[5]));
  }

  @Test
  void aFieldEditShowsItsEffectAtOnceAndIsSavedOnlyWhenAsked() {
    go("Land");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Corn Neighbor")).click();
    side("Place and soil");
    page.getByLabel("Area, ac").fill("80");
    assertThat(page.getByTestId("effect")).containsText("Bare days 27 now");
    button("Discard").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    page.getByLabel("Area, ac").fill("80");
    assertThat(page.getByTestId("effect")).isVisible();
    button("Save field").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    page.reload();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Corn Neighbor")).click();
    assertThat(page.getByLabel("Area, ac")).hasValue("80");
  }

  @Test
  void badInputIsToldInTheKeepersUnits() {
    go("Land");
    side("Place and soil");
    page.getByLabel("Area, ac").fill("0");
    assertThat(page.getByTestId("refusal")).containsText("ac is accepted");
    assertThat(button("Save field")).isDisabled();
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("lb, acres")).click();
    page.getByLabel("Area, ha").fill("-1");
    assertThat(page.getByTestId("refusal")).containsText("0.01 to 5,000.00 ha is accepted");
  }

  @Test
  void aNewGroupEatsAndALotFeedsIt() {
    go("Herd");
    button("Add group").click();
    page.getByLabel("Head", new Page.GetByLabelOptions().setExact(true)).fill("30");
    assertThat(page.getByTestId("effect")).isVisible();
    button("Save group").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    assertThat(verdict()).not().containsText("20 February");
    go("Store");
    button("Add lot").click();
    page.getByLabel("Units", new Page.GetByLabelOptions().setExact(true)).fill("400");
    button("Save lot").click();
    assertThat(page.getByTestId("hay-sum")).containsText("Lot 4");
    assertThat(page.getByTestId("hay-sum")).containsText("All groups");
    page.reload();
    assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Open Lot 4")))
        .isVisible();
  }

  @Test
  void theCautionsOfTheDemoAreShownWithWhomToAsk() {
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Cyanide after a killing frost");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Ask: veterinarian");
  }
}
