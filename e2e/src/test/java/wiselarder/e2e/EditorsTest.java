package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Land, Herd, Store and Farm: what is typed there reaches the year and stays. */
class EditorsTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("editors");
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

  private void go(String screen) {
    Hand.MOUSE.link(page, screen);
  }

  private void side(String name) {
    Hand.MOUSE.side(page, name);
  }

  private Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first();
  }

  private Locator input(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  @Test
  void aFieldIsCutForHayAndTheBalesStandInTheStore() {
    go("Land");
    button("Tannery Flat").click();
    Hand.MOUSE.act(page, "Cut it");
    input("Cut on").fill("2028-07-10");
    assertThat(page.getByTestId("cut-tried"))
        .containsText(Pattern.compile("[1-9]\\d* round bales of 805 lb"));
    button("Cut it").click();
    assertThat(page.getByTestId("field-plans")).containsText("Cut Tannery Flat on 10 Jul");
    assertThat(page.getByTestId("cut-outcome"))
        .containsText(Pattern.compile("[1-9]\\d* round bales of 805 lb"));
    go("Year");
    assertThat(page.getByTestId("planned")).containsText("Cut Tannery Flat on 10 Jul, round bales");
    button("Take back cutting Tannery Flat").click();
    assertThat(page.getByTestId("planned")).not().containsText("Tannery Flat");
  }

  @Test
  void aFieldIsShutFromTheLandScreen() {
    go("Land");
    button("Church Field").click();
    Hand.MOUSE.act(page, "Shut it for later");
    // it shows its effect before anything is typed
    assertThat(page.getByTestId("effect")).isVisible();
    input("Shut from").fill("2027-09-01");
    input("Open on").fill("2027-12-20");
    button("Shut it").click();
    Locator plans = page.getByTestId("field-plans");
    assertThat(plans).containsText("Shut Church Field from 1 Sep to 19 Dec");
    assertThat(page.getByTestId("verdict")).not().containsText("20 February");

    // what is planned is changed, and left as it was by Escape
    button("Change shutting Church Field").click();
    input("Open on").fill("2028-01-10");
    assertThat(page.getByTestId("effect")).isVisible();
    page.keyboard().press("Escape");
    assertThat(page.getByTestId("effect")).hasCount(0);
    button("Change shutting Church Field").click();
    assertThat(input("Open on")).hasValue("2027-12-20");
    input("Open on").fill("2028-01-10");
    button("Save it").click();
    assertThat(plans).containsText("Shut Church Field from 1 Sep to 9 Jan");
    button("Take back shutting Church Field").click();
    assertThat(page.getByTestId("verdict")).containsText("20 February");
  }

  @Test
  void monthlyRatesAreTypedAndKept() {
    go("Land");
    side("Stand and growth");
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Growth").setExact(true))
        .selectOption("rates");
    Locator april = page.getByLabel("Growth in April");
    april.fill("60");
    april.press("Tab");
    assertThat(page.getByTestId("effect")).isVisible();
    button("Save field").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    page.reload();
    assertThat(page.getByLabel("Growth in April")).hasValue("60");
  }

  /** Fewer paddocks use less of the grass; leaving more of it gives less at first. */
  @Test
  void aFieldIsDividedAndGrazedByHeights() {
    go("Land");
    button("Church Field").click();
    side("Grazing");
    assertThat(page.getByText(Pattern.compile("paddocks of its round"))).isVisible();
    input("Paddocks inside").fill("8");
    input("Leave at, in").fill("6");
    input("Come in at, in").fill("4");
    assertThat(page.getByTestId("refusal")).containsText("not above the 6");
    // what is wrong stands in the label beside it
    page.getByLabel(Pattern.compile("^Come in at")).fill("11");
    assertThat(page.getByTestId("effect")).isVisible();
    button("Save field").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    page.reload();
    button("Church Field").click();
    assertThat(input("Paddocks inside")).hasValue("8");
    assertThat(input("Leave at, in")).hasValue("6");
    assertThat(page.getByText(Pattern.compile("Grazed as [2-8] of the"))).isVisible();
  }

  @Test
  void everyCowGetsSoMuchHayADayWhateverTheGrass() {
    go("Herd");
    side("Order of feeds");
    Locator hay = page.getByTestId("step");
    step(5).click();
    hay.getByLabel("How much").selectOption("EXACTLY");
    hay.getByLabel("Said as").selectOption("head");
    hay.getByLabel(Pattern.compile("^Dry matter, lb")).fill("11");
    assertThat(page.getByTestId("effect")).isVisible();
    step(1).click();
    Locator graze = page.getByTestId("step");
    graze.getByLabel("Hold the round at, days").fill("45");
    assertThat(graze).containsText("a 45th part of the ground");
    button("Save group").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    page.reload();
    step(1).click();
    assertThat(graze.getByLabel("Hold the round at, days")).hasValue("45");
    step(5).click();
    assertThat(hay.getByLabel("How much")).hasValue("EXACTLY");
    assertThat(hay.getByLabel(Pattern.compile("^Dry matter, lb"))).hasValue("11");
  }

  @Test
  void coverIsReadOffAStickBySeasonAndThickness() {
    go("Land");
    button("Church Field").click();
    side("Measure");
    input("Heights by stick, in").fill("6 8");
    button("Work it out").click();
    Locator cover = page.getByTestId("measured-cover");
    assertThat(cover).containsText("lb/ac of cover");
    String ordinary = cover.textContent();
    page.getByLabel("The stand is").selectOption("DENSE");
    button("Work it out").click();
    assertThat(cover).containsText("lb/ac of cover");
    org.assertj.core.api.Assertions.assertThat(cover.textContent()).isNotEqualTo(ordinary);
  }

  @Test
  void theOrderOfFeedsIsChangedByMovingAStep() {
    go("Herd");
    Locator steps =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Order of feeds"));
    side("Order of feeds");
    assertThat(steps.getByRole(AriaRole.BUTTON, STEP)).hasCount(5);
    step(2).click();
    button("Drop step 2").click();
    assertThat(steps.getByRole(AriaRole.BUTTON, STEP)).hasCount(4);
    assertThat(page.getByTestId("effect")).isVisible();
    button("Save group").click();
    assertThat(page.getByTestId("effect")).hasCount(0);
    // without the corn residue the hay goes sooner
    assertThat(page.getByTestId("verdict")).not().containsText("20 February");
    page.reload();
    assertThat(steps.getByRole(AriaRole.BUTTON, STEP)).hasCount(4);
  }

  /** Keeps edits on their way until the test lets them go. */
  private List<Route> heldEdits() {
    List<Route> held = new ArrayList<>();
    page.route("**/edits", held::add);
    return held;
  }

  private void letGo(List<Route> held) {
    page.unroute("**/edits");
    held.forEach(Route::resume);
  }

  @Test
  void whatIsTypedWhileTheServerStoresIsNotLost() {
    go("Store");
    Locator units = page.getByLabel("Units", new Page.GetByLabelOptions().setExact(true));
    side("The lot");
    units.fill("230");
    List<Route> held = heldEdits();
    page.waitForRequest("**/edits", () -> button("Save lot").click());
    units.fill("240");
    letGo(held);
    // stored are 230; the list says so while the form goes on from there
    assertThat(page.getByRole(AriaRole.MAIN))
        .containsText("230 round bales, 87.0 tons of dry matter");
    assertThat(button("Save lot")).isEnabled();
    assertThat(units).hasValue("240");
    button("Save lot").click();
    assertThat(button("Save lot")).isDisabled();
    page.reload();
    side("The lot");
    assertThat(units).hasValue("240");
  }

  @Test
  void twoSavesInARowDoNotConflictWithEachOther() {
    go("Herd");
    side("Animals");
    page.getByLabel("Head", new Page.GetByLabelOptions().setExact(true)).first().fill("50");
    List<Route> held = heldEdits();
    page.waitForRequest("**/edits", () -> button("Save group").click());
    go("Store");
    side("The lot");
    page.getByLabel("Units", new Page.GetByLabelOptions().setExact(true)).fill("230");
    button("Save lot").click();
    letGo(held);
    assertThat(button("Save lot")).isDisabled();
    page.reload();
    side("The lot");
    assertThat(page.getByLabel("Units", new Page.GetByLabelOptions().setExact(true)))
        .hasValue("230");
    go("Herd");
    side("Animals");
    assertThat(page.getByLabel("Head", new Page.GetByLabelOptions().setExact(true)).first())
        .hasValue("50");
  }

  private static final Locator.GetByRoleOptions STEP =
      new Locator.GetByRoleOptions().setName(Pattern.compile("^Step \\d"));

  /** A bar of the order of feeds, from 1. */
  private Locator step(int number) {
    return page.getByRole(
        AriaRole.BUTTON,
        new Page.GetByRoleOptions().setName(Pattern.compile("^Step " + number + ":")));
  }

  /** "1,230 lb each, needs 310 tons in the year": the tons. */
  private static double tonsNeeded(Locator group) {
    java.util.regex.Matcher said =
        Pattern.compile("needs ([\\d,.]+) tons").matcher(group.textContent());
    org.assertj.core.api.Assertions.assertThat(said.find()).as(group.textContent()).isTrue();
    return Double.parseDouble(said.group(1).replace(",", ""));
  }

  @Test
  void weanedLaterTheCowsEatMoreInAutumn() {
    go("Herd");
    Locator cows = page.locator("li", new Page.LocatorOptions().setHasText("Cows")).first();
    double before = tonsNeeded(cows);
    side("Animals");
    page.getByLabel("Weaning, month").selectOption("11");
    assertThat(page.getByTestId("effect")).isVisible();
    // 52 cows that nurse a month longer: some 0.5% of their weight a day more
    double more = tonsNeeded(cows) - before;
    org.assertj.core.api.Assertions.assertThat(more).isBetween(0.5, 12.0);
    button("Save group").click();
    page.getByText("Saved.").first().waitFor();
    page.reload();
    assertThat(page.getByLabel("Weaning, month")).hasValue("11");
  }

  @Test
  void aLotWithFewerBalesRunsOutSooner() {
    go("Store");
    side("The lot");
    input("Units").fill("150");
    assertThat(page.getByTestId("effect")).containsText("Bare days 27 now");
    button("Save lot").click();
    assertThat(page.getByTestId("verdict")).containsText("January");
  }

  @Test
  void whatAnUndoTookIsNotBroughtBackByAFormThatStoodOpen() {
    go("Land");
    side("Place and soil");
    input("Note").fill("wet until May");
    button("Save field").click();
    assertThat(page.getByText("Saved.")).isVisible();
    input("Area, ac").fill("20");
    button("Undo").click();
    assertThat(button("Redo")).isEnabled();
    button("Save field").click();
    assertThat(page.getByTestId("since")).containsText("Undid: Changed field Home Bottom: note");
    button("Put mine on top").click();
    assertThat(page.getByText("Saved.")).isVisible();
    // the map says otherwise now, and that stands beside the input
    assertThat(page.getByLabel(Pattern.compile("^Area, ac")).first()).hasValue("20");
    assertThat(page.getByText("The map says").first()).isVisible();
    assertThat(input("Note")).not().hasValue("wet until May");
  }

  /** The next plan begins from what this one leaves, and takes it over again once more is known. */
  @Test
  void theNextPlanBeginsFromWhatThisOneLeaves() {
    page.navigate(product.demo() + "/farm");
    Locator first = page.getByTestId("first-day");
    assertThat(first).containsText("On 1 September 2028, as Working plan leaves it");
    assertThat(first).containsText("All fed: First-cut fescue");
    page.getByLabel("Replacement heifers are the same animals").check();
    assertThat(first).containsText("958 lb");
    assertThat(AccessTest.violations(page)).isEmpty();
    Hand.input(page, "Name of the new plan").fill("Winter after");
    button("Make the plan").click();
    assertThat(page).hasURL(Pattern.compile("/plan/winter-after"));
    go("Store");
    assertThat(page.getByText("Mill Bottom, May").first()).isVisible();
    go("Land");
    button("Ridge Native").click();
    side("Stand and growth");
    assertThat(page.getByTestId("opening-state")).isVisible();
    assertThat(page.getByLabel(Pattern.compile("^Soil water on the first day"))).hasValue("81.9");
    page.getByLabel(Pattern.compile("^Soil water on the first day")).fill("40");
    button("Save the ground").click();
    assertThat(button("Save the ground")).hasCount(0);

    Hand.MOUSE.link(page, "Farm");
    button("Show what it leaves").click();
    button("Take it over").click();
    assertThat(page.getByText("Taken over from Working plan.")).isVisible();
    Hand.MOUSE.link(page, "Changes");
    assertThat(page.getByText(Pattern.compile("Took its first day from Working plan")).first())
        .isVisible();
    assertThat(AccessTest.violations(page)).isEmpty();
  }

  /** A plan that begins in winter says what was sown before it, and how it stands. */
  @Test
  void whatWasSownBeforeThePlanStands() {
    page.navigate(product.demo() + "/land?field=saddle");
    page.getByText("demo with invented figures").waitFor();
    Hand.MOUSE.act(page, "Sow a crop");
    assertThat(page.getByTestId("companions"))
        .containsText("Cereal rye with bermudagrass: goes well.");
    page.getByLabel("Sown on", new Page.GetByLabelOptions().setExact(true)).fill("2027-08-10");
    assertThat(page.getByText("It was sown before the plan begins")).isVisible();
    assertThat(page.getByText("until then nothing of it is reckoned")).isVisible();
    page.getByLabel(Pattern.compile("^Standing on the first day")).fill("1200");
    assertThat(page.getByTestId("sowing-tried")).containsText("It stands on the first day");
    button("Sow it").click();
    assertThat(page.getByText("Cereal rye").first()).isVisible();
    assertThat(AccessTest.violations(page)).isEmpty();
  }

  /** A field carries one thing after another over the years: what comes of it is shown. */
  @Test
  void aStandIsWrittenForALaterYear() {
    page.navigate(product.demo() + "/ahead");
    assertThat(page.getByTestId("years-ahead")).containsText("In store as each year ends");
    button("Write a sowing for a field").click();
    Hand.MOUSE.choose(page.locator("select").and(page.getByLabel("Field")).first(), "Saddle");
    Hand.MOUSE.choose(page.getByLabel("Which year"), "the year after");
    Hand.find(
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Crop")),
        "Switchgrass");
    assertThat(page.getByTestId("stays")).containsText("comes to stay");
    Hand.MOUSE.choose(
        page.locator("select").and(page.getByLabel("Ground")).first(),
        "Sprayed out twice, 42 days, no till; the old stand ends");
    page.getByText("Fallow before, soil water, who pays").click();
    page.getByLabel("Cost spread over, years").fill("15");
    page.getByLabel(Pattern.compile("^Of the cost, paid by others")).fill("50");
    button("Sow it").click();
    assertThat(page.getByText(Pattern.compile("Saddle: switchgrass on \\d+ \\w+ 2029")))
        .isVisible();
    Locator lane =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Saddle over the years"));
    assertThat(lane).containsText("switchgrass, young");
    assertThat(page.getByRole(AriaRole.TABLE).first()).containsText("over 15");
    assertThat(AccessTest.violations(page)).isEmpty();
    button("Strike it").click();
    assertThat(lane).not().containsText("switchgrass");
  }

  @Test
  void aChangeIsMadeInAnotherPlanTooAndWhatIsOtherwiseThereIsShownFirst() {
    page.navigate(product.demo() + "/farm");
    Hand.MOUSE.choose(page.getByLabel("It is of"), "The same year once more");
    Hand.input(page, "Name of the new plan").fill("Dry year");
    button("Make the plan").click();
    assertThat(page).hasURL(Pattern.compile("/plan/dry-year"));
    go("Land");
    button("Church Field").click();
    side("Grazing");
    Hand.input(page, "Leave at (residual)").fill("1500");
    side("Place and soil");
    Hand.input(page, "Area").fill("30");
    button("Save field").click();
    assertThat(page.getByText("Saved.")).isVisible();

    page.navigate(product.demo() + "/land");
    page.getByText("demo with invented figures").waitFor();
    button("Church Field").click();
    side("Place and soil");
    assertThat(page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Dry year")))
        .isVisible();
    Hand.input(page, "Area").fill("25");
    Locator also = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Also in"));
    also.getByLabel("Dry year").check();
    button("Save field").click();
    Locator told = page.getByRole(AriaRole.DIALOG);
    assertThat(told).containsText("Nothing is saved yet, here or there.");
    assertThat(told.getByTestId("clashes")).containsText("Area, ac: yours 25.0, there 30.0");
    button("Make it there too").click();
    assertThat(page.getByText("Saved.")).isVisible();
    assertThat(told).hasCount(0);
    // Without a clash nothing is asked.
    input("Note").fill("wet until May");
    button("Save field").click();
    assertThat(page.getByText("Saved.")).isVisible();

    go("Farm");
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Dry year")).click();
    assertThat(page).hasURL(Pattern.compile("/plan/dry-year"));
    go("Land");
    button("Church Field").click();
    side("Place and soil");
    assertThat(Hand.input(page, "Area")).hasValue("25");
    assertThat(input("Note")).hasValue("wet until May");
    side("Grazing");
    assertThat(Hand.input(page, "Leave at (residual)")).hasValue("1500");
    go("Changes");
    assertThat(page.locator("main")).containsText("Changed field Church Field: note");
  }

  @Test
  void removingALotIsCountedAtOnce() {
    go("Store");
    button("Orchardgrass and clover").click();
    side("The lot");
    button("Remove lot").click();
    assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Orchardgrass")))
        .hasCount(0);
    assertThat(page.getByTestId("verdict")).not().containsText("20 February");
  }

  @Test
  void theFarmIsShownInMetricWhenItIsSetSo() {
    go("Farm");
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Units").setExact(true))
        .selectOption("METRIC");
    button("Save settings").click();
    go("Year");
    assertThat(page.getByTestId("verdict-detail")).containsText("26.3 t of dry matter");
    button("Ledger").click();
    assertThat(page.getByTestId("ledger")).containsText("Dry matter eaten, kg");
    page.reload();
    assertThat(page.getByTestId("verdict-detail")).containsText("26.3 t of dry matter");
  }

  @Test
  void anotherFirstDayMovesTheWholeRuler() {
    go("Farm");
    input("Plan year begins").fill("2028-03-01");
    input("Plan year begins").blur();
    button("Save settings").click();
    go("Year");
    button("Ledger").click();
    assertThat(page.getByTestId("ledger").locator("tbody tr").first()).containsText("Mar 2028");
  }
}
