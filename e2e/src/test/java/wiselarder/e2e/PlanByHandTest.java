package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * A plan made by somebody who read no manual: find the gap, shut a field, move the day until the
 * gap is smallest, feed silage for a month, take it back, look at last week's plan beside it.
 */
class PlanByHandTest {
  private static Product product;

  @BeforeAll
  static void start() {
    product = Product.fresh("e2e_by_hand");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @ParameterizedTest
  @EnumSource
  void fromTheGapToLastWeeksPlanBesideIt(Hand hand) {
    product.resetDemo();
    product.age(8);
    Page page =
        hand == Hand.TOUCH ? product.touchedPage(820, 1180) : product.visitorPage(1280, 800);
    page.navigate(product.demo());
    double asItWas = bareTons(page);
    assertThat(asItWas).isEqualTo(29.0);

    hand.link(page, "Gaps");
    assertThat(page.getByTestId("gaps")).containsText("Store gap, 20 February to 17 March");

    aFieldIsShutFromItsLane(hand, page);
    double smallest = movedUntilTheGapIsSmallest(hand, page);
    assertThat(smallest).isLessThan(asItWas);

    silageIsFedForAMonth(hand, page);
    hand.button(page, "Undo");
    hand.link(page, "Store");
    hand.button(page, "Clamp");
    hand.side(page, "Loss and cost");
    assertThat(page.getByTestId("lot-loss")).not().containsText("6,448 kg");

    hand.link(page, "Year");
    hand.choose(Hand.input(page, "Beside it"), "as it stood a week ago");
    assertThat(page.getByTestId("beside")).containsText("this plan as it stood a week ago");
    assertThat(page.getByTestId("beside"))
        .containsText(Pattern.compile("than there \\(\\d+ against 27\\), [\\d.]+ t less missing"));
    assertThat(AccessTest.violations(page)).isEmpty();
    page.context().close();
  }

  /** A date that goes by the frost follows it to a warmer place. */
  @Test
  void aShuttingThatGoesByTheFirstFrostFollowsIt() {
    product.resetDemo();
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.url() + "/#/plan/spruce-hollow/land?field=lake-meadow");
    Hand.MOUSE.act(page, "Shut it for later");
    page.getByLabel("Open on", exact()).fill("2028-09-25");
    page.getByLabel("Shut from", exact()).fill("2028-08-01");
    page.getByRole(AriaRole.BUTTON, lane("Tie to a mark of the year\\s*: Shut from")).click();
    Hand.MOUSE.choose(
        page.getByLabel("Shut from goes by"), "the usual first frost (5 years in 10)");
    // day 271 of the year, 2028 a leap year, is 27 September
    assertThat(page.getByTestId("tie"))
        .containsText("57 days before the usual first frost (5 years in 10), here 27 September");
    page.getByLabel(Pattern.compile("^days after it")).fill("-50");
    assertThat(page.getByLabel("Shut from", exact())).hasValue("2028-08-08");
    assertThat(page.getByTestId("act-conflict").first()).containsText("While Lake Meadow is shut");
    Hand.MOUSE.button(page, "Shut it");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("planned"))
        .containsText("It begins 50 days before the usual first frost");

    Hand.MOUSE.link(page, "Farm");
    page.getByLabel("Climate").selectOption("transition_humid");
    Hand.MOUSE.button(page, "Save settings");
    assertThat(page.getByText("Saved.")).isVisible();
    Hand.MOUSE.link(page, "Year");
    // there it is day 294, 20 October
    assertThat(page.getByTestId("planned")).containsText("Shut Lake Meadow from 31 Aug");
    page.context().close();
  }

  /** What cannot come off as it is planned is said where it is planned, and on the year. */
  @Test
  void aCutOfAShutFieldIsSaidToStandInTheWay() {
    product.resetDemo();
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.demo() + "/land?field=mill-bottom");
    Hand.MOUSE.act(page, "Shut it for later");
    page.getByLabel("Open on", exact()).fill("2028-06-20");
    page.getByLabel("Shut from", exact()).fill("2028-03-01");
    assertThat(
            page.getByTestId("act-conflict")
                .filter(
                    new Locator.FilterOptions().setHasText("the cut takes what was to be kept")))
        .hasCount(1);
    Hand.MOUSE.button(page, "Shut it");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("conflicts")).containsText("Mill Bottom is cut while it is shut");
    assertThat(AccessTest.violations(page)).isEmpty();
    Hand.MOUSE.button(page, "Undo");
    assertThat(page.getByTestId("conflicts")).hasCount(0);
    page.context().close();
  }

  @Test
  void shelvesAreCountedInEnergyAndForOneGroup() {
    product.resetDemo();
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.demo());
    Locator shelves = page.getByTestId("shelves");
    assertThat(shelves).hasAttribute("aria-label", Pattern.compile("dry matter needed"));
    Hand.MOUSE.choose(page.getByLabel("Counted in"), "energy");
    assertThat(shelves).hasAttribute("aria-label", Pattern.compile("MJ energy needed.*short"));
    Hand.MOUSE.choose(page.getByLabel("Shelves for"), "Hair ewes");
    assertThat(shelves)
        .hasAttribute("aria-label", Pattern.compile("^[^0-9]*\\d{3},\\d{3} MJ energy needed"));
    Hand.MOUSE.choose(page.getByLabel("Counted in"), "animal unit days");
    assertThat(shelves).hasAttribute("aria-label", Pattern.compile("animal unit days needed"));
    page.context().close();
  }

  /** A bar of the order of feeds is parted, copied to another group, and drawn onto a block. */
  @Test
  void aStepIsPartedCopiedAndDrawnOntoABlock() {
    product.resetDemo();
    Page page = product.visitorPage(1280, 1400);
    page.navigate(product.demo());
    Hand.MOUSE.button(page, "Hair ewes");
    Locator bars =
        page.getByRole(
            AriaRole.GROUP, new Page.GetByRoleOptions().setName("Hair ewes, order of feeds"));
    Locator steps = bars.getByRole(AriaRole.BUTTON);
    int before = steps.count();
    Locator first = steps.first();
    first.press("Enter");
    page.getByRole(AriaRole.BUTTON, lane("^In two at ")).click();
    assertThat(steps).hasCount(before + 1);
    Hand.MOUSE.button(page, "Save the order of feeds");
    assertThat(page.getByText("Save the order of feeds")).hasCount(0);
    assertThat(steps).hasCount(before + 1);

    first.press("Enter");
    Hand.MOUSE.button(page, "Copy step 1 to another group");
    Hand.MOUSE.item(page, "Bulls");
    assertThat(page.getByText("Copied to Bulls.")).isVisible();

    page.reload();
    Hand.MOUSE.button(page, "Hair ewes");
    BoundingBox bar = first.boundingBox();
    BoundingBox hill = page.getByRole(AriaRole.BUTTON, lane("^Hill \\d+ fields")).boundingBox();
    page.mouse().move(bar.x + 20, bar.y + bar.height / 2);
    page.mouse().down();
    page.mouse().move(hill.x + 30, hill.y + hill.height / 2);
    page.mouse().move(hill.x + 32, hill.y + hill.height / 2);
    assertThat(first).hasAttribute("aria-label", Pattern.compile("Graze Hill"));
    page.mouse().up();
    assertThat(page.getByText("Save the order of feeds")).hasCount(0);
    page.reload();
    Hand.MOUSE.button(page, "Hair ewes");
    assertThat(first).hasAttribute("aria-label", Pattern.compile("Graze Hill"));
    page.context().close();
  }

  /** A try that is answered late moves nothing away from under the hand that is about to save. */
  @Test
  void whatAHandIsOnStaysWhileATryIsAnswered() {
    product.resetDemo();
    Page page = product.visitorPage(1280, 1400);
    page.navigate(product.demo());
    Hand.MOUSE.button(page, "Hair ewes");
    List<Route> held = new ArrayList<>();
    page.route("**/trial", held::add);
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Hair ewes, order of feeds"))
        .getByRole(AriaRole.BUTTON)
        .first()
        .press("Enter");
    page.getByRole(AriaRole.BUTTON, lane("^Drop step 1")).click();
    Locator save = page.getByText("Save the order of feeds");
    save.hover();
    BoundingBox before = save.boundingBox();
    page.unroute("**/trial");
    held.forEach(Route::resume);
    assertThat(page.getByText("Dashed: fed as the plan stands.")).isVisible();
    assertThat(save.boundingBox().y).isCloseTo(before.y, within(1.0));
    page.context().close();
  }

  private static Page.GetByLabelOptions exact() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  /** Sixty fields are readable, and planned, by the blocks that they belong to. */
  @Test
  void sixtyFieldsArePlannedByBlocks() {
    product.resetDemo();
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.demo());
    page.getByTestId("verdict").waitFor();
    SixtyFields.into(page);
    page.getByLabel("Find a field").fill("hill");
    Locator lanes = page.getByRole(AriaRole.BUTTON, lane("do something here$"));
    assertThat(lanes).hasCount(17);
    page.getByLabel("Find a field").fill("");
    assertThat(lanes).hasCount(60);
    for (String block : new String[] {"Bottoms", "Home", "Church", "Neighbor"}) {
      page.getByRole(AriaRole.BUTTON, lane("^" + block + " \\d+ fields")).click();
    }
    assertThat(lanes).hasCount(17);

    // a whole block is shut in one go
    Hand.MOUSE.link(page, "Land");
    page.getByLabel("Find a field").fill("church field 1");
    Hand.MOUSE.button(page, "Church Field 1");
    Hand.MOUSE.act(page, "Shut it for later");
    page.getByLabel(Pattern.compile("Church, the whole block")).check();
    Hand.MOUSE.button(page, "Shut it");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("planned")).containsText("Shut Church Field 4 from");
    assertThat(page.getByTestId("planned")).containsText("Shut Long Acre 1 from");
    assertThat(page.getByRole(AriaRole.BUTTON, lane("^Take back shutting "))).hasCount(8);

    // and taken into and left out of what the cows graze first
    Hand.MOUSE.link(page, "Herd");
    Hand.MOUSE.side(page, "Order of feeds");
    page.getByRole(AriaRole.BUTTON, lane("^Step 1:")).click();
    Locator step = page.getByTestId("step");
    Locator church = step.getByLabel(Pattern.compile("Church, \\d+\\s+fields"));
    Locator one = step.getByLabel(Pattern.compile("Church Field 2"));
    church.check();
    assertThat(one).isChecked();
    church.uncheck();
    assertThat(one).not().isChecked();
    Hand.MOUSE.button(page, "Save group");
    assertThat(page.getByText("Saved.")).isVisible();
    page.context().close();
  }

  private static Page.GetByRoleOptions lane(String pattern) {
    return new Page.GetByRoleOptions().setName(Pattern.compile(pattern));
  }

  private static void aFieldIsShutFromItsLane(Hand hand, Page page) {
    hand.link(page, "Year");
    hand.button(page, "Church Field: do something here");
    hand.item(page, "Shut it for later");
    // its effect is there before anything is saved
    assertThat(page.getByTestId("act-effect")).containsText("bare");
    hand.button(page, "Shut it");
    assertThat(page.getByTestId("planned")).containsText("Shut Church Field from");
    assertThat(page.getByTestId("act-effect")).hasCount(0);
  }

  /** A week later as long as that harms nothing. */
  private static double movedUntilTheGapIsSmallest(Hand hand, Page page) {
    Locator from =
        page.getByRole(
            AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Church Field, shut from"));
    double smallest = bareTons(page);
    for (int week = 0; week < 6; week++) {
      String before = from.getAttribute("aria-valuetext");
      hand.move(from, 1);
      assertThat(from).not().hasAttribute("aria-valuetext", before);
      String now = from.getAttribute("aria-valuetext");
      assertThat(page.getByTestId("planned")).containsText("Shut Church Field from " + now);
      double bare = bareTons(page);
      if (bare > smallest) {
        hand.button(page, "Undo");
        assertThat(from).hasAttribute("aria-valuetext", before);
        break;
      }
      smallest = bare;
    }
    assertThat(bareTons(page)).isEqualTo(smallest);
    return smallest;
  }

  private static void silageIsFedForAMonth(Hand hand, Page page) {
    hand.button(page, "lb, acres");
    hand.link(page, "Store");
    hand.button(page, "Add lot");
    hand.type(Hand.input(page, "Name"), "Clamp");
    hand.type(Hand.input(page, "One unit is a"), "tonne");
    hand.type(Hand.input(page, "Weight of one, as fed"), "1000");
    hand.type(Hand.input(page, "Dry matter"), "30");
    hand.choose(Hand.input(page, "Feed"), "Grass silage, wilted");
    hand.saves(page, "Save lot");

    hand.link(page, "Herd");
    hand.side(page, "Order of feeds");
    hand.button(page, "Add stored feed");
    Locator step = page.getByTestId("step");
    hand.date(step.getByLabel("From", EXACTLY), LocalDate.of(2028, 1, 1));
    hand.date(step.getByLabel("To, last day", EXACTLY), LocalDate.of(2028, 1, 31));
    hand.choose(step.getByLabel("How much"), "Exactly");
    hand.choose(step.getByLabel("Said as"), "Dry matter a head");
    hand.type(step.getByLabel(Pattern.compile("^Dry matter, kg")), "4");
    hand.press(step.getByLabel("Clamp"));
    hand.button(page, "Save group");
    assertThat(page.getByText("Saved.")).isVisible();

    // 52 cows, 31 days, 4 kg
    hand.link(page, "Store");
    hand.button(page, "Clamp");
    hand.side(page, "Loss and cost");
    assertThat(page.getByTestId("lot-loss")).containsText("6,448 kg");
  }

  private static final Locator.GetByLabelOptions EXACTLY =
      new Locator.GetByLabelOptions().setExact(true);

  /** Tons that are bare, as the line under the verdict says. */
  private static double bareTons(Page page) {
    String said = page.getByTestId("verdict-detail").textContent();
    Matcher tons = Pattern.compile("bare.*?, ([\\d.]+) tons of dry matter").matcher(said);
    return tons.find() ? Double.parseDouble(tons.group(1)) : 0;
  }
}
