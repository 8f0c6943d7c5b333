package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What grows, in a normal year and in others: sown, shut, cut, watered and looked at. */
class SeasonsTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("seasons");
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
    page.getByTestId("shelves").waitFor();
  }

  @AfterEach
  void close() {
    page.context().close();
  }

  private Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first();
  }

  private Locator lane(String field) {
    return page.getByRole(
        AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^" + field + ":")));
  }

  private void field(String name) {
    Hand.MOUSE.link(page, "Land");
    button(name).click();
  }

  private void look(String season) {
    Hand.input(page, "Season").selectOption(season);
  }

  private static String found(Locator in, String pattern) {
    Matcher m = Pattern.compile(pattern).matcher(in.textContent().replaceAll("\\s+", " "));
    Assertions.assertThat(m.find()).as(pattern + " in " + in.textContent()).isTrue();
    return m.group(1);
  }

  /** The ledger's total of a column. */
  private String total(String column) {
    button("Ledger").click();
    Locator table = page.getByRole(AriaRole.TABLE).first();
    int at =
        table.locator("thead th").allTextContents().stream()
            .map(String::strip)
            .toList()
            .indexOf(column);
    Assertions.assertThat(at).as(column).isGreaterThanOrEqualTo(0);
    String text = table.locator("tr").last().locator("th, td").nth(at).textContent();
    button("Shelves").click();
    return text.strip();
  }

  @Test
  void aCropInTheSodAStockpileAndACutTellOneStoryInEverySeason() {
    String grownBefore = total("Grown on the fields");
    field("Saddle");
    Hand.MOUSE.act(page, "Sow a crop");
    Hand.input(page, "Sown on").fill("2027-09-20");
    assertThat(page.getByTestId("sowing-tried")).containsText("ready to graze on");
    Hand.MOUSE.button(page, "Sow it");
    Locator outcome = page.getByTestId("sow-outcome");
    String ready = found(outcome, "ready to graze on (\\d+ \\w+)");
    String normal = found(outcome, "Grows ([\\d,]+) lb/ac");

    look("dry");
    assertThat(outcome).not().containsText("Grows " + normal + " lb/ac");
    String dryReady = found(outcome, "ready to graze on (\\d+ \\w+)");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("verdict-season")).containsText("dry year");
    assertThat(lane("Saddle")).containsText("ready " + shortened(dryReady));
    look("normal");
    assertThat(lane("Saddle")).containsText("ready " + shortened(ready));
    assertThat(page.getByTestId("planned")).containsText("Sow Saddle with cereal rye");
    Assertions.assertThat(total("Grown on the fields")).isNotEqualTo(grownBefore);

    field("Church Field");
    Hand.MOUSE.act(page, "Shut it for later");
    Hand.input(page, "Shut from").fill("2027-09-01");
    Hand.input(page, "Open on").fill("2027-12-20");
    button("Shut it").click();
    page.getByText("Shut Church Field from 1 Sep to 19 Dec").waitFor();
    field("Upper Orchard");
    Hand.MOUSE.act(page, "Cut it");
    Hand.input(page, "Cut on").fill("2028-05-20");
    button("Cut it").click();
    Locator cut = page.getByTestId("cut-outcome");
    assertThat(cut).containsText(Pattern.compile("^[1-9]"));
    String bales = found(cut, "([1-9]\\d*) round bales");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByText("20 May, " + bales + " bales").first()).isVisible();
    assertThat(page.getByText("shut to 19 Dec").first()).isVisible();
    Assertions.assertThat(total("Standing")).isNotEqualTo("0.0");
  }

  private static String shortened(String longDate) {
    int space = longDate.indexOf(' ');
    return longDate.substring(0, space + 4);
  }

  @Test
  void aWeatherFileIsReadKeptAndLaidOnThePlan() {
    Hand.MOUSE.link(page, "Seasons");
    page.getByLabel("Weather file").setInputFiles(Path.of("../docs/examples/yard-weather.csv"));
    assertThat(page.getByRole(AriaRole.STATUS).last()).containsText("No row was left out.");
    Hand.MOUSE.button(page, "Keep this record");
    assertThat(page.getByText("days bridged between neighbours").first()).isVisible();
    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Recorded weather"))
        .getByText("Look at it")
        .first()
        .click();
    assertThat(page.locator("#season-title")).containsText("yard-weather, from 1 September 20");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("verdict-season")).containsText("yard-weather");
  }

  @Test
  void aFileThatIsNoWeatherIsRefusedWithWhatIsNeeded() {
    Hand.MOUSE.link(page, "Seasons");
    page.getByLabel("Weather file").setInputFiles(Path.of("../docs/examples/smallholding.json"));
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing was kept");
  }

  @Test
  void aScenarioIsMadeNamedLookedAtAndRemoved() {
    Hand.MOUSE.link(page, "Seasons");
    Hand.input(page, "From").fill("2028-05-01");
    Hand.input(page, "To, last day").fill("2028-08-31");
    Hand.input(page, "Rain changes by, %").fill("-70");
    Hand.MOUSE.button(page, "Add this change");
    assertThat(page.getByText("70% less rain from 1 May to 31 August").first()).isVisible();
    Hand.input(page, "Called").fill("Dry summer");
    Hand.MOUSE.button(page, "Keep and look at it");
    assertThat(page.locator("#season-title")).hasText("Dry summer");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("verdict-season")).hasText("In Dry summer:");
    Hand.MOUSE.link(page, "Seasons");
    Hand.MOUSE.button(page, "Remove Dry summer");
    assertThat(page.locator("#season-title")).hasText("Normal year");
  }

  @Test
  void nitrogenSaysWhatItGrowsBeforeItIsPutOnAndSoilIsKept() {
    field("Church Field");
    Hand.MOUSE.act(page, "Put nitrogen on");
    Hand.input(page, "On").fill("2027-09-05");
    assertThat(page.getByText("more over the plan").first()).isVisible();
    Hand.MOUSE.button(page, "Put it on");
    page.getByText("40 lb/ac of nitrogen on Church Field, 5 Sep").waitFor();
    Hand.MOUSE.side(page, "Place and soil");
    Hand.input(page, "Soil").selectOption("SANDY_LOAM");
    Hand.input(page, "Depth to rock or pan, in").fill("20");
    Hand.MOUSE.button(page, "Save field");
    page.getByText("Saved.").waitFor();
    page.reload();
    field("Church Field");
    Hand.MOUSE.side(page, "Place and soil");
    assertThat(Hand.input(page, "Soil")).hasValue("SANDY_LOAM");
    assertThat(Hand.input(page, "Depth to rock or pan, in")).hasValue("20");
    // 120 mm a metre for 51 cm is 61 mm, 2.4 inches
    Hand.MOUSE.side(page, "This year");
    assertThat(page.getByText("2.4 in").first()).isVisible();
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("planned")).containsText("40 lb/ac of nitrogen on Church Field");
  }

  @Test
  void aGrowthPointIsDraggedAndTheYearAnswers() {
    field("Tannery Flat");
    Hand.MOUSE.side(page, "Stand and growth");
    Hand.input(page, "Growth").selectOption("rates");
    Locator june = page.getByLabel("Point of June");
    String before = june.getAttribute("aria-valuenow");
    june.scrollIntoViewIfNeeded();
    var box = june.boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2 + 30);
    page.mouse().up();
    assertThat(june).not().hasAttribute("aria-valuenow", before);
    june.focus();
    String dragged = june.getAttribute("aria-valuenow");
    page.keyboard().press("ArrowUp");
    assertThat(june).not().hasAttribute("aria-valuenow", dragged);
    Hand.MOUSE.button(page, "Save field");
    page.getByText("Saved.").waitFor();
  }

  @Test
  void everyForageIsShownWithItsCurveRulesAndWorth() {
    Hand.MOUSE.link(page, "Forages");
    Hand.input(page, "Find").fill("bermuda");
    button("Bermudagrass").click();
    Locator shown =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Bermudagrass"));
    assertThat(shown).containsText("tops die at the first killing frost");
    assertThat(shown).containsText("kept standing, late");
    assertThat(shown).containsText("Product defaults");
  }

  /** As sure as wanted: what to hold is put in the plan, and the years say so. */
  @Test
  void aThousandYearsSayHowSureItIsAndWhatToHold() {
    Hand.MOUSE.link(page, "Seasons");
    Locator thousand = page.getByTestId("thousand");
    assertThat(thousand.locator("h1")).containsText("Feed lasts in");
    assertThat(thousand.locator("svg[role=img]")).hasCount(4);
    page.getByLabel("Feed is to last in").selectOption("8 years of 10");
    Locator hold = page.getByTestId("hold");
    assertThat(hold).containsText("To be sure in 8 of 10 years: hold");
    String bales = found(hold, "hold ([\\d,]+) round bales");
    button("A year like the worst in five").click();
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("verdict-season")).containsText("a year like the worst in five");
    Assertions.assertThat(
            (String)
                page.locator("select[title^='The weather']")
                    .evaluate("s => s.selectedOptions[0].textContent"))
        .isEqualTo("A year like the worst in five");
    look("normal");
    Hand.MOUSE.link(page, "Seasons");
    page.getByLabel("Feed is to last in").selectOption("8 years of 10");
    assertThat(hold).containsText("To be sure in 8 of 10 years: hold " + bales);
    thousand
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it in the plan"))
        .click();
    assertThat(thousand.locator("h1")).containsText("Feed lasts in 8 of 10 years");
    assertThat(hold).containsText("nothing more is to be held");
    Hand.MOUSE.link(page, "Gaps");
    assertThat(page.getByTestId("planned")).containsText(bales + " round bales");
  }

  private Locator job(Page on, String title) {
    return on.getByTestId("job")
        .filter(
            new Locator.FilterOptions()
                .setHas(
                    on.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^" + title)))));
  }

  private static void press(Locator job, String what) {
    job.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + what)))
        .first()
        .click();
  }

  private String calendar() throws IOException {
    Download file = page.waitForDownload(() -> page.getByText("Calendar file (.ics)").click());
    Path saved = Files.createTempFile("jobs", ".ics");
    file.saveAs(saved);
    return Files.readString(saved).replace("\r\n ", "");
  }

  /** From how sure one wants to be to a line in the calendar. */
  @Test
  void nineYearsOfTenArePlannedBoughtTickedOnThePhoneAndFoundInTheCalendar() throws IOException {
    Hand.MOUSE.link(page, "Seasons");
    page.getByLabel("Feed is to last in").selectOption("9 years of 10");
    Locator hold = page.getByTestId("hold");
    assertThat(hold).containsText("To be sure in 9 of 10 years: hold");
    String bales = found(hold, "hold ([\\d,]+) round bales");
    page.getByTestId("thousand")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it in the plan"))
        .click();
    assertThat(hold).containsText("nothing more is to be held");
    Hand.MOUSE.link(page, "Jobs");
    Locator buy = job(page, "Buy Held round bales, " + bales);
    assertThat(buy).containsText("What is short later is dearer");
    Page phone = product.visitorPage(390, 844);
    phone.navigate(product.demo());
    phone.getByTestId("shelves").waitFor();
    Hand.MOUSE.link(phone, "Today");
    press(job(phone, "Buy Held"), "Done");
    assertThat(job(phone, "Buy Held")).hasCount(0);
    phone.getByLabel("Show what is done or dropped").check();
    assertThat(job(phone, "Buy Held")).containsText("Done");
    phone.context().close();
    // the other screen hears of it
    assertThat(buy).hasCount(0);
    Assertions.assertThat(calendar())
        .contains("SUMMARY:Done: Buy Held round bales\\, " + bales)
        .contains("SUMMARY:Cut Mill Bottom");
  }

  /**
   * Moved past its last day it says what the year loses; dropped with a reason; own ones beside.
   */
  @Test
  void jobsAreMovedDroppedAndWrittenDownAndStandOnTheRuler() {
    // a flag on the ruler leads to its job
    page.getByTestId("job-marks")
        .getByRole(
            AriaRole.LINK,
            new Locator.GetByRoleOptions().setName(Pattern.compile("Cut Mill Bottom")))
        .click();
    Locator cut = job(page, "Cut Mill Bottom");
    assertThat(cut).isInViewport();
    assertThat(cut).containsText("A week later");
    press(cut, "Move");
    cut.getByLabel("To", exact()).fill("2028-06-20");
    assertThat(cut.getByTestId("moved")).containsText("past 30 May, the last day");
    assertThat(cut.getByTestId("moved")).containsText("in store at its end");
    cut.getByLabel("Why", exact()).fill("Wet ground");
    press(cut, "Move it, in the plan too");
    assertThat(cut).containsText("20 Jun 2028");
    Locator scores = job(page, "Score the condition of Hair ewes").first();
    press(scores, "Drop");
    scores.getByLabel("Why", exact()).fill("The vet did it");
    press(scores, "Drop it");
    assertThat(page.getByText("1 done or dropped")).isVisible();
    page.getByText("Write down a job of your own").click();
    page.getByLabel("What is to be done").fill("Order twine");
    page.getByTestId("own-job").getByLabel("On", exact()).fill("2028-04-01");
    button("Write it down").click();
    assertThat(job(page, "Order twine")).containsText("1 Apr 2028");
    page.getByLabel("Sheet of the month").selectOption("Apr 2028");
    assertThat(page.getByTestId("sheet")).containsText("Order twine");
    button("Make one").click();
    assertThat(page.getByTestId("feed-address")).containsText("/calendar/");
    button("End it").click();
    assertThat(page.getByTestId("feed-address")).hasCount(0);
  }

  /** A hold is lifted with a reason, and holds again once that is taken back. */
  @Test
  void aHoldIsLiftedAndHoldsAgain() {
    button("Lift the hold on Sawdust").click();
    page.getByLabel("Why it is lifted").fill("Brown and dry");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Lift it").setExact(true))
        .click();
    assertThat(page.getByText("by Visitor: Brown and dry")).isVisible();
    assertThat(button("Lift the hold on Sawdust")).hasCount(0);
    button("Let it hold again").click();
    assertThat(button("Lift the hold on Sawdust")).isVisible();
    assertThat(page.getByText("by Visitor: Brown and dry")).hasCount(0);
  }

  /** In the middle of June the cuts of May are late, and their lateness is told in feed. */
  @Test
  void whatIsLateTurnsIntoWhatItCosts() {
    page.clock().setFixedTime("2028-06-15T09:00:00Z");
    Hand.MOUSE.link(page, "Jobs");
    assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("jobs late");
    Locator cut = job(page, "Cut Mill Bottom");
    assertThat(cut).containsText("late");
    assertThat(cut.getByTestId("late-costs")).containsText("past 30 May");
    assertThat(cut.getByTestId("late-costs")).containsText("in store at its end");
  }

  private static Locator.GetByLabelOptions exact() {
    return new Locator.GetByLabelOptions().setExact(true);
  }

  /** A rung of one's own: a day, what is looked at, what is done; it is a job on its day. */
  @Test
  void theSheetOfTheMonthIsOneSheetOfPaper() {
    page.addInitScript("window.print = () => {}");
    page.reload();
    page.navigate(product.url() + "/#/plan/quillback/jobs");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Print the sheet")).click();
    String paper =
        new String(page.pdf(new Page.PdfOptions().setFormat("A4")), StandardCharsets.ISO_8859_1);
    Assertions.assertThat(Pattern.compile("/Type /Page\\b").matcher(paper).results().count())
        .isEqualTo(1);
    // printed, it is a screen again
    assertThat(page.locator("nav").first()).isVisible();
  }

  @Test
  void aDroughtPlanIsWrittenAndItsRungsAreJobs() {
    Hand.MOUSE.link(page, "Seasons");
    // what stands above the drought plan is whole: nothing moves under the pointer any more
    assertThat(page.getByTestId("hold")).containsText("To be sure in 9 of 10 years");
    Locator plan = page.getByTestId("drought");
    plan.getByText("Write a rung").click();
    plan.getByLabel("On, month").selectOption("June");
    plan.getByLabel("On, day").fill("10");
    plan.getByLabel("Look at").selectOption(new SelectOption().setIndex(1));
    plan.getByLabel("Less than, lb/ac").fill("1600");
    plan.getByLabel("Then do this").fill("Sell the steers");
    button("Add the rung").click();
    assertThat(plan)
        .containsText("10 June. If less than 1,600 lb/ac stands on the farm: Sell the steers");
    Locator any = page.getByLabel("Any of them, from the mildest to the hardest");
    any.fill("950");
    assertThat(page.getByTestId("picked")).containsText("950 of 1,000 are milder than");
    assertThat(page.getByText("What decides it")).isVisible();
    Hand.MOUSE.link(page, "Jobs");
    assertThat(job(page, "Sell the steers"))
        .containsText("if less than 1,600 lb/ac stands on the farm");
  }
}
