package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The mouths and the put-by, from files and from a first sum to what would help. */
class HerdStoreTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("herd_store");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void reset() {
    product.resetAll();
  }

  @AfterEach
  void close() {
    page.context().close();
  }

  private void demo(String screen) {
    page = product.visitorPage(1280, 900);
    page.navigate(product.demo() + screen);
    page.getByTestId("verdict").waitFor();
  }

  /** A first owner, signed in. */
  private void owner() {
    page = product.page(1280, 900);
    page.navigate(product.url());
    Hand.input(page, "Your name").fill("Ann");
    Hand.input(page, "E-mail address").fill("ann@farm.example");
    Hand.input(page, "Password").fill("clover and timothy");
    Hand.MOUSE.button(page, "Make my account");
    page.getByText("Make a farm").first().waitFor();
  }

  private void take(String name, String text) {
    page.getByLabel("File to take in")
        .setInputFiles(new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8)));
    page.getByTestId("preview").waitFor();
    Hand.MOUSE.button(page, "Take it");
    assertThat(page.getByTestId("preview")).isHidden();
  }

  private Locator button(String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first();
  }

  private Locator verdict() {
    return page.getByTestId("verdict");
  }

  private Locator birth(String group) {
    return page.getByRole(
        AriaRole.SLIDER, new Page.GetByRoleOptions().setName("First birth of " + group));
  }

  private int hayNumber() {
    String text = page.getByTestId("hay-number").locator("strong").textContent();
    return Integer.parseInt(text.replace(",", ""));
  }

  /** What the plan itself says that all groups need of a lot. */
  private int unitsOfThePlan(String lotId) {
    Object units =
        page.evaluate(
            """
            async (lot) => {
              const id = location.hash.split('/')[2];
              const plan = await (await fetch(`/api/plans/${id}`)).json();
              return plan.year.haySums.find((s) => s.lotId === lot && !s.groupId).units;
            }""",
            lotId);
    return ((Number) units).intValue();
  }

  @Test
  void herdAndLotsComeInByFileBirthsMoveAReserveIsKeptAReportComesAndTheSumIsThePlans() {
    owner();
    Hand.input(page, "Name of the farm").fill("Alder Farm");
    Hand.input(page, "Place, by its climate").selectOption("transition_humid");
    Hand.MOUSE.button(page, "Make this farm");
    page.getByText("First answer").waitFor();
    Hand.MOUSE.link(page, "Papers");
    take("fields.csv", "name,area_ha,stand\nLong Meadow,26,fescue_white_clover\n");
    take(
        "groups.csv",
        """
        name,kind,head,weight_kg,first_birth,birth_spread_days,young_per_dam,weaning,shelter
        Hill cows,beef cow,40,560,03-01,30,0.9,10-05,open
        Heifers,beef replacement heifer,12,280,,,,,
        """);
    take(
        "lots.csv",
        """
        name,unit,units,weight_of_one_as_fed_kg,dry_matter_pct,stored,fed,feed,price_per_t
        Meadow hay,round bale,150,365,87,s_barn,f_ring_open,hay_grass_clover,110
        """);

    // the births move by six weeks, and the gap with them
    Hand.MOUSE.link(page, "Herd");
    button("Hill cows").click();
    String before = verdict().textContent();
    String detail = page.getByText("animal unit days").first().textContent();
    birth("Hill cows").focus();
    for (int week = 0; week < 6; week++) {
      birth("Hill cows").press("PageUp");
    }
    assertThat(birth("Hill cows")).hasAttribute("aria-valuetext", "12 Apr");
    assertThat(page.getByTestId("effect")).containsText("with this");
    Hand.MOUSE.button(page, "Save group");
    Hand.MOUSE.side(page, "Animals");
    page.getByText("Saved.").first().waitFor();
    assertThat(Hand.input(page, "First birth, month")).hasValue("4");
    String moved =
        verdict().textContent() + page.getByText("animal unit days").first().textContent();
    assertThat(moved).isNotEqualTo(before + detail);

    // a reserve is ring-fenced
    Hand.MOUSE.link(page, "Store");
    Hand.MOUSE.side(page, "The lot");
    Hand.input(page, "Units kept back").fill("30");
    Hand.MOUSE.button(page, "Save lot");
    page.getByText("Saved.").first().waitFor();
    assertThat(page.getByTestId("lot-stacks")).containsText("30 kept back");

    // a sample goes out and its report comes back
    Hand.MOUSE.side(page, "Worth");
    Locator tests = page.getByTestId("lot-tests");
    assertThat(tests).containsText("by the table");
    Hand.MOUSE.button(page, "Send a sample");
    assertThat(page.getByTestId("sample")).containsText("Simulated laboratory");
    Hand.MOUSE.button(page, "Take it into the lot");
    assertThat(tests).containsText("by its newest test");
    assertThat(tests).containsText("Simulated laboratory, not a real test");

    // the sum is the plan's own, also for its days one by one
    Hand.MOUSE.side(page, "How many");
    assertThat(page.getByTestId("hay-number")).containsText("round bales until the ground");
    assertThat(hayNumber()).isEqualTo(unitsOfThePlan("meadow-hay")).isPositive();
    int all = hayNumber();
    Hand.input(page, "For").selectOption("hill-cows");
    page.getByTestId("sets").waitFor();
    int cows = hayNumber();
    assertThat(cows).isPositive().isLessThan(all);
    Hand.input(page, "Held for").selectOption("1.3333");
    assertThat(page.getByTestId("sets").getByRole(AriaRole.LISTITEM).first())
        .containsText("round bale");
  }

  @Test
  void aSmallholdingHasItsNumberAtOnceAndKeepsIt() {
    owner();
    Locator quick = page.getByTestId("quick-hay");
    // ten cows stand there already: one number, and the two lines that make it
    assertThat(page.getByTestId("quick-answer")).containsText("round bales");
    assertThat(page.getByTestId("quick-lines")).containsText("10 head");
    quick.getByLabel("How many").fill("4");
    assertThat(page.getByTestId("quick-lines")).containsText("4 head");
    quick.getByLabel("Animals").selectOption("sheep/ewe");
    quick.getByLabel("How many").fill("10");
    Hand.input(page, "Bales").selectOption("ss_two_string");
    assertThat(page.getByTestId("quick-answer")).containsText("small square bales");
    assertThat(page.getByTestId("quick-lines")).containsText("10 head");
    String number = page.getByTestId("quick-answer").locator("strong").textContent();
    Hand.MOUSE.button(page, "Keep it as a farm");
    page.getByTestId("hay-number").waitFor();
    assertThat(page.getByTestId("hay-number").locator("strong")).hasText(number);
    assertThat(verdict()).hasText("Feed lasts the whole year.");
  }

  @Test
  void whatWasAskedBeforeSigningInIsStillThereAfterIt() {
    page = product.page(1280, 900);
    page.navigate(product.url());
    page.getByTestId("quick-hay").getByLabel("How many").fill("17");
    assertThat(page.getByTestId("quick-lines")).containsText("17 head");
    Hand.input(page, "Your name").fill("Ann");
    Hand.input(page, "E-mail address").fill("ann@farm.example");
    Hand.input(page, "Password").fill("clover and timothy");
    Hand.MOUSE.button(page, "Make my account");
    page.getByText("Make a farm").first().waitFor();
    assertThat(page.getByTestId("quick-lines")).containsText("17 head");
  }

  @Test
  void aBirthMarkIsDraggedAndDemandFollows() {
    demo("/herd");
    Locator mark = birth("Cows");
    assertThat(mark).hasAttribute("aria-valuetext", "1 Mar");
    mark.scrollIntoViewIfNeeded();
    BoundingBox box = mark.boundingBox();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width / 2 + 60, box.y + box.height / 2, STEPS);
    page.mouse().move(box.x + box.width / 2 + 125, box.y + box.height / 2, STEPS);
    page.mouse().up();
    assertThat(mark).hasAttribute("aria-valuetext", Pattern.compile("Apr"));
    // six weeks later there is less to feed at the end of winter
    assertThat(page.getByTestId("effect"))
        .containsText(Pattern.compile("bare 29.0 tons now, [23]\\d\\.\\d tons with this"));
    Hand.MOUSE.button(page, "Discard");
    assertThat(mark).hasAttribute("aria-valuetext", "1 Mar");
    java.util.Set<String> shown = new java.util.HashSet<>();
    for (String measure : new String[] {"animal unit days", "energy", "dry matter"}) {
      Hand.MOUSE.button(page, measure);
      shown.add(page.getByTestId("demand").textContent());
    }
    org.assertj.core.api.Assertions.assertThat(shown).as("each by its own scale").hasSize(3);
  }

  private static final com.microsoft.playwright.Mouse.MoveOptions STEPS =
      new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4);

  @Test
  void dietAgainstNeedAndWhatWouldHelp() {
    demo("/herd");
    assertThat(page.getByTestId("diet-lanes")).containsText("Protein");
    assertThat(page.getByTestId("diet-lanes")).containsText("too thin from");
    assertThat(AccessTest.violations(page)).isEmpty();
    Hand.MOUSE.side(page, "Need less");
    Hand.MOUSE.button(page, "Least supplement");
    assertThat(page.getByTestId("supplement")).containsText("placeholders");
    Hand.MOUSE.button(page, "Try weaning earlier or later");
    assertThat(page.getByTestId("weanings")).containsText("as planned");
    Hand.MOUSE.button(page, "Order of selling");
    Locator rungs = page.getByTestId("selling").getByRole(AriaRole.ROW);
    assertThat(rungs.nth(1)).containsText("Steers");
    assertThat(page.getByTestId("water")).containsText("Corn Neighbor");
    assertThat(AccessTest.violations(page)).isEmpty();

    // a score starts the expected condition anew, and is struck out as another one
    Hand.MOUSE.side(page, "Condition");
    Locator condition = page.getByTestId("condition");
    assertThat(condition).containsText("1 Sep 2027: 5.5");
    condition.getByLabel("Seen on").fill("2027-12-01");
    condition.getByLabel("Score").fill("4");
    condition.getByText("Write down").click();
    assertThat(condition).containsText("1 Dec 2027: 4");
    condition.getByText("Strike out").first().click();
    assertThat(condition).containsText("struck out by Visitor");

    // animals sold after Christmas leave less to be fed
    Hand.MOUSE.side(page, "Animals");
    Hand.MOUSE.button(page, "Add a coming or going");
    page.getByLabel("Head", new Page.GetByLabelOptions().setExact(true)).last().fill("40");
    assertThat(page.getByTestId("effect")).containsText("with this");
    page.getByLabel("Head", new Page.GetByLabelOptions().setExact(true)).last().fill("90");
    assertThat(page.getByTestId("refusal")).containsText("Cows has 52 on 2 March 2028");
  }

  @Test
  void whatWasFedAndCountedIsWrittenDownAndStruckOut() {
    demo("/store");
    Hand.MOUSE.side(page, "Fed and counted");
    Locator records = page.getByTestId("store-records");
    records.getByLabel("On").fill("2027-12-01");
    records.getByLabel("How many").fill("7");
    Hand.MOUSE.button(page, "Write down");
    assertThat(records).containsText("1 Dec: fed 7 round bales");
    records.getByLabel("What").selectOption("LOT_COUNTED");
    records.getByLabel("How many").fill("150");
    Hand.MOUSE.button(page, "Write down");
    assertThat(records).containsText("1 Dec: counted 150 round bales");
    records.getByText("Strike out").first().click();
    assertThat(records.getByText("Strike out")).hasCount(1);
    assertThat(records).containsText("struck out by Visitor");
    Hand.MOUSE.side(page, "Loss and cost");
    assertThat(page.getByTestId("lot-cost")).containsText("1,000 MJ of energy eaten");
    assertThat(page.getByTestId("at-most")).containsText("worth at most");
    assertThat(page.getByTestId("lot-loss")).containsText("Lost at feeding");
    assertThat(page.getByTestId("costs")).containsText("days without a tractor");
    assertThat(AccessTest.violations(page)).isEmpty();
  }

  @Test
  void balesAreWeighedAndTheRindTakesTheLossInStoresPlace() {
    demo("/store");
    Hand.MOUSE.side(page, "The lot");
    Hand.input(page, "Like").selectOption("rb_150x120_net");
    Hand.input(page, "Weighed").fill("800, 860, 830");
    Hand.input(page, "Weighed").blur();
    assertThat(page.getByTestId("unit-weight")).containsText("830 lb by those weighed");
    Hand.input(page, "Rind found").fill("4");
    assertThat(page.getByTestId("unit-weight")).containsText("of a bale; nothing else is lost");
    Hand.MOUSE.button(page, "Save lot");
    page.getByText("Saved.").first().waitFor();
    Hand.MOUSE.side(page, "Loss and cost");
    assertThat(page.getByTestId("lot-loss")).containsText("Rind refused");
  }
}
