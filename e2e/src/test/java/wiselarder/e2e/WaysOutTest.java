package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** How sure, which side a keeper takes, what the year says beyond its gaps, and other farms. */
class WaysOutTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("e2e_ways");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void open() {
    product.resetDemo();
    page = product.visitorPage(1280, 800);
  }

  @AfterEach
  void close() {
    page.context().close();
  }

  private void farm(String id) {
    page.navigate(product.demo().replaceAll("quillback$", id) + "/gaps");
  }

  private Locator verdict() {
    return page.getByTestId("verdict");
  }

  private Locator season() {
    return page.locator("select[title^='The weather']");
  }

  private Locator button(String name) {
    return page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(false))
        .first();
  }

  /** The gap is looked at in the year that most are no harder than, and closed in as many. */
  @Test
  void asSureAsOneWantsToBe() {
    farm("quillback");
    button("Ways to close it").click();
    page.getByLabel("Closed in").selectOption("8 of 10 years");
    assertThat(page.getByTestId("sure")).containsText("in 16 of 20 no more is missing than");
    assertThat(season()).hasValue(Pattern.compile("seed:\\d+"));
    button("Find the cheapest mix").click();
    Locator mix = page.getByTestId("mix");
    assertThat(mix)
        .containsText(Pattern.compile("it is closed in (1[6-9]|20) of 20 simulated years"));
    Hand.MOUSE.side(page, "Other years");
    assertThat(page.getByTestId("sure-years"))
        .containsText(Pattern.compile("With it it is closed in (1[6-9]|20) of 20"));
    // back in the season that was looked at before
    page.getByTestId("close-gap")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close").setExact(true))
        .click();
    assertThat(season()).hasValue("normal");
  }

  @Test
  void aSideIsTakenRulesOutWaysAndIsLetGo() {
    farm("quillback");
    page.getByText("Where keepers differ").click();
    Locator policies = page.getByTestId("policies");
    assertThat(policies).containsText("In a dry year");
    policies.getByLabel("Feed hay through it").check();
    assertThat(policies).containsText("This plan takes a side in 1 of 6.");
    button("Ways to close it").click();
    page.getByText("What was looked at and is not offered").click();
    assertThat(page.getByTestId("close-gap"))
        .containsText("Sell before it: ruled out by what this plan holds to: feed hay through it.");
    page.reload();
    page.getByText("Where keepers differ").click();
    assertThat(policies.getByLabel("Feed hay through it")).isChecked();
    policies.getByLabel("Each gap decides").check();
    assertThat(policies).containsText("This plan takes no side yet.");
    page.navigate(product.demo() + "/changes");
    assertThat(page.locator("main")).containsText("Took a side: feed hay through it");
  }

  @Test
  void surplusIsCutAndHayIsBoughtWithoutAGapInMind() {
    farm("quillback");
    page.getByText("Beyond the gaps").click();
    Locator beyond = page.getByTestId("beyond");
    assertThat(beyond).containsText("of the herd all year");
    assertThat(beyond).containsText("Sawdust");
    assertThat(beyond.locator("tbody tr")).hasCount(5);
    beyond.getByRole(AriaRole.BUTTON).first().click();
    assertThat(page.getByTestId("planned").locator("li")).hasCount(3);
    page.navigate(product.demo() + "/market");
    Locator market = page.getByTestId("market");
    assertThat(market).containsText("nobody sells these lots");
    page.getByLabel("Offered in").selectOption("Feb 2028");
    market
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Buy in the plan"))
        .first()
        .click();
    page.navigate(product.demo() + "/gaps");
    assertThat(page.getByTestId("planned").locator("li")).hasCount(4);
    assertThat(page.getByTestId("planned")).containsText("there on 15 Feb");
  }

  /** Nothing is short there; what spares its hay is found, and sold stock eat none of it. */
  @Test
  void onAFarmWithoutAGapLessIsFedFromTheStore() {
    farm("spruce-hollow");
    assertThat(verdict()).hasText("Feed lasts the whole year.");
    button("Ways to feed less from the store").click();
    Locator ways = page.getByTestId("close-gap");
    assertThat(ways).containsText("from the store on");
    button("Sell 6 of Suckler cows").click();
    assertThat(page.getByTestId("in-full")).containsText("are still fed or missing");
    assertThat(page.getByTestId("in-full")).containsText("Brings in EUR");
    button("Put it in the plan").click();
    assertThat(verdict()).hasText("Feed lasts the whole year.");
  }

  /** Feed enough, and too little protein in it: a supplement is bought, and the gap is gone. */
  @Test
  void whereFeedIsEnoughProteinIsMet() {
    farm("spruce-hollow");
    Locator needs = page.getByTestId("needs");
    assertThat(needs).containsText("Ewes, 1 Dec to 3 Mar: short on");
    assertThat(needs).containsText("What they eat holds 7.5% protein on those days.");
    button("Ways to meet protein: Ewes, 1 Dec").click();
    Locator ways = page.getByTestId("close-gap");
    assertThat(ways).containsText("Ways to meet protein: Ewes, 1 December");
    button("bags of soybean meal").click();
    assertThat(page.getByTestId("in-full")).containsText("what is left makes no day short");
    Hand.MOUSE.side(page, "Other years");
    assertThat(page.getByTestId("in-full")).containsText("of protein");
    button("Put it in the plan").click();
    assertThat(needs).not().containsText("Ewes, 1 Dec");
    page.reload();
    assertThat(page.getByTestId("planned")).containsText("Soybean meal");
    // the group's own screen leads to what is still short
    page.navigate(product.demo().replaceAll("quillback$", "spruce-hollow") + "/herd");
    button("Suckler cows").click();
    assertThat(page.getByTestId("needs-of-group")).containsText("protein, 1 Oct to");
  }

  /** A southern farm: a gap in August is closed by sending a herd away for its time and hay. */
  @Test
  void aSouthernGapIsClosedByFewerMouths() {
    farm("campo-garza-mora");
    assertThat(verdict()).containsText("runs out on 31 July");
    button("Ways to close it").click();
    button("Send 118 of Cows calving in spring away").click();
    assertThat(page.getByTestId("in-full")).containsText("stay bare");
    button("Try others with it").click();
    page.getByLabel("Try with others: Open").first().check();
    assertThat(page.getByTestId("in-full")).containsText("Alone they bring");
    button("Put them in the plan").click();
    assertThat(page.getByTestId("close-gap").or(page.getByTestId("planned")).first()).isVisible();
    assertThat(verdict()).not().containsText("runs out on 31 July");
  }

  /** What lies in the shed is sown before any is bought, and crops are sought by it. */
  @Test
  void seedInTheShedIsSownFirst() {
    page.navigate(product.demo() + "/store");
    page.getByText("Seed in the shed").click();
    page.getByLabel("Seed of").selectOption("Cereal rye");
    Hand.input(page, "That would be sown").fill("500");
    button("Put it there").click();
    assertThat(page.getByTestId("seed-shed")).containsText("500 lb");
    page.navigate(product.demo() + "/gaps");
    button("Ways to close it").click();
    page.getByText("Choose a crop for this gap").click();
    page.getByLabel("Only what there is seed of in the shed").check();
    Locator crops = page.getByTestId("crops");
    assertThat(crops).containsText("seed in the shed for 5.0 ac");
    assertThat(crops).not().containsText("ryegrass");
    crops.getByRole(AriaRole.BUTTON).first().click();
    Hand.MOUSE.side(page, "Cost");
    assertThat(page.getByTestId("bill")).containsText("Seed from the shed");
    assertThat(page.getByTestId("bill")).containsText("500 lb that need not be bought");
    page.navigate(product.demo() + "/store");
    button("Remove seed of Cereal rye").click();
    assertThat(page.getByTestId("seed-shed")).containsText("none stated");
  }

  @Test
  void aFieldIsPartedByShareAndPutTogetherAgain() {
    page.navigate(product.demo() + "/land");
    button("Do something here").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Part it in two"))
        .click();
    Hand.input(page, "Share that becomes a field of its own").fill("25");
    Hand.input(page, "Name of the new field").fill("Creek end");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Part it").setExact(true))
        .click();
    assertThat(button("Creek end")).isVisible();
    page.getByLabel("Undo").first().click();
    assertThat(page.getByText("Creek end")).hasCount(0);
  }

  /** Hay of 9% protein and growing steers: some hours a day on what stands green. */
  @Test
  void someHoursADayOnRichFeedMeetProtein() {
    page.navigate(product.demo() + "/gaps");
    Locator needs = page.getByTestId("needs");
    assertThat(needs).containsText("Steers, 18 Jan to 19 Feb: short on 33 days");
    button("Ways to meet protein: Steers, 18 Jan").click();
    button("Some hours a day on").click();
    assertThat(page.getByTestId("in-full")).containsText("Takes away");
    button("Put it in the plan").click();
    assertThat(needs).not().containsText("Steers, 18 Jan to 19 Feb: short on 33 days");
  }
}
