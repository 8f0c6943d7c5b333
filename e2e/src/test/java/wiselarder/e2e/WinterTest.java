package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Bales set out on the two pieces beside the brook, opened section by section. */
class WinterTest {
  private static Product product;

  @BeforeAll
  static void start() {
    product = Product.fresh("winter");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void demoAsItShips() {
    product.resetDemo();
  }

  private static void open(Page page) {
    page.navigate(product.demo().replaceAll("quillback$", "spruce-hollow") + "/winter");
    page.getByRole(AriaRole.HEADING).first().waitFor();
  }

  private static Locator verdict(Page page) {
    return page.getByTestId("bale-verdict");
  }

  private static void number(Hand hand, Page page, String label, String figure) {
    hand.type(Hand.input(page, label), figure);
    page.keyboard().press("Tab");
  }

  private static void lay(Hand hand, Page page, String field, String bales, String atOnce) {
    hand.choose(Hand.input(page, "Field"), field);
    number(hand, page, "Bales set out", bales);
    number(hand, page, "Opened at once", atOnce);
    assertThat(verdict(page)).containsText(field + ": " + bales + " bales last from");
    hand.button(page, "Save it");
    assertThat(button(page, "Save it")).hasCount(0);
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  @ParameterizedTest
  @EnumSource(Hand.class)
  void balesAreSetOutOnBothPiecesDatedAndKept(Hand hand) {
    Page page = hand == Hand.TOUCH ? product.touchedPage(390, 844) : product.visitorPage(1280, 800);
    open(page);
    Locator sites = page.getByTestId("bale-sites");
    assertThat(sites).containsText("no soil test says what it lacks");
    hand.button(page, "Here, on Long Ley");
    page.getByTestId("bale-drawing").waitFor();
    lay(hand, page, "East of the Brook", "126", "8");
    hand.button(page, "Set bales out on another field");
    lay(hand, page, "West of the Brook", "190", "16");
    assertThat(verdict(page)).containsText("West of the Brook: 190 bales last from 21 December");
    hand.button(page, "East of the Brook");
    assertThat(verdict(page))
        .hasText("East of the Brook: 126 bales last from 16 October to 20 December.");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    Assertions.assertThat(AccessTest.offTheSide(page)).isEmpty();
    Locator section = page.getByTestId("section");
    assertThat(section).containsText("Section 1, opened on Sat 16 Oct 2027");
    hand.button(page, "Next");
    assertThat(section).containsText("Section 2, opened on Wed 20 Oct 2027");
    number(hand, page, "Bales in it", "14");
    assertThat(section).containsText("14 bales: feed for 6 days");
    hand.button(page, "Trough");
    assertThat(section).containsText(Pattern.compile("\\d+ m to the trough"));
    hand.button(page, "Save it");
    assertThat(button(page, "Save it")).hasCount(0);
    page.reload();
    hand.button(page, "Next");
    assertThat(section).containsText("14 bales");
    assertThat(section).containsText(Pattern.compile("\\d+ m to the trough"));
    hand.button(page, "Remove");
    assertThat(verdict(page)).containsText("West of the Brook: 190 bales last from 16 October");
    page.context().close();
  }

  /** Every fourth bale is of another lot, which is fed as it lies; pads are kept and forgotten. */
  @Test
  void balesOfTwoLotsLieInALineAndTheirPadsAreKept() {
    Page page = product.visitorPage(1280, 800);
    open(page);
    Hand hand = Hand.MOUSE;
    hand.button(page, "Set bales out");
    hand.choose(Hand.input(page, "Among them"), "Second cut, wrapped");
    number(hand, page, "One of them in every", "4");
    hand.choose(Hand.input(page, "They stand"), "on their flat end");
    hand.choose(Hand.input(page, "Strings and net come off"), "each on its day");
    hand.choose(Hand.input(page, "Field"), "East of the Brook");
    number(hand, page, "Bales set out", "120");
    // the order of feeds gives none of the second yet
    assertThat(verdict(page)).containsText("East of the Brook: 90 of 120 bales are opened");
    hand.button(page, "Save it");
    assertThat(button(page, "Save it")).hasCount(0);
    Locator mixture = page.getByTestId("mixture");
    assertThat(mixture).containsText("of the dry matter is Second cut, wrapped");
    assertThat(page.getByTestId("piece"))
        .containsText(
            Pattern.compile("opens \\d+ of the other lot while these last; 30 lie among"));
    assertThat(page.getByText("come off each bale on its day")).isVisible();
    Pattern feed = Pattern.compile("^Feed 2\\d% of it beside First cut");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(feed)).click();
    assertThat(page.getByTestId("piece")).not().containsText("of the other lot while these last");
    // the last of the second lot may be opened on the day on which the first is eaten up
    assertThat(verdict(page)).containsText(Pattern.compile("East of the Brook: 1(19|20) "));
    Locator left = page.getByTestId("left-for-grass");
    hand.button(page, "Keep the 120 pads");
    assertThat(left).containsText("120 pads are kept");
    page.reload();
    assertThat(left).containsText("120 pads are kept");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    hand.button(page, "Forget these pads");
    assertThat(left).containsText("they take no area off");
    page.context().close();
  }

  /** Too many, too near: told with what would do. */
  @Test
  void whatDoesNotFitIsTold() {
    Page page = product.visitorPage(1280, 800);
    open(page);
    Hand.MOUSE.button(page, "Set bales out");
    Hand.MOUSE.choose(Hand.input(page, "Field"), "East of the Brook");
    number(Hand.MOUSE, page, "Bales set out", "320");
    Locator piece = page.getByTestId("piece");
    assertThat(piece).containsText(Pattern.compile("ask for 5\\.76 ha; the piece has 5\\.19 ha"));
    number(Hand.MOUSE, page, "At most, head-days/ha", "500");
    assertThat(piece).containsText("above the 500 head-days/ha that you set");
    number(Hand.MOUSE, page, "Along the row, m", "1");
    assertThat(page.getByTestId("bale-form")).containsText("3 to 200");
    Hand.MOUSE.button(page, "Leave as it was");
    assertThat(page.getByTestId("bale-drawing")).hasCount(0);
    page.context().close();
  }

  /** The wire is drawn over the field; the cold winter opens sections on other days. */
  @Test
  void theWireIsDrawnAndTheSeasonMovesIt() {
    Page page = product.visitorPage(1280, 800);
    open(page);
    Hand.MOUSE.button(page, "Set bales out");
    lay(Hand.MOUSE, page, "West of the Brook", "270", "18");
    @SuppressWarnings("unchecked")
    List<Number> wire =
        (List<Number>)
            page.evaluate(
                """
                () => {
                  const grip = document.querySelectorAll('.grip')[2];
                  const at = grip.getPointAtLength(grip.getTotalLength() * 0.3);
                  const box = grip.ownerSVGElement.getBoundingClientRect();
                  return [box.left + at.x, box.top + at.y];
                }""");
    page.mouse().move(wire.get(0).doubleValue(), wire.get(1).doubleValue());
    page.mouse().down();
    Locator section = page.getByTestId("section");
    assertThat(section).containsText("Section 3");
    assertThat(section).containsText("18 bales");
    page.mouse().move(wire.get(0).doubleValue() + 24, wire.get(1).doubleValue() + 10);
    assertThat(section).not().containsText("18 bales");
    page.mouse().up();
    Hand.MOUSE.button(page, "Save it");
    assertThat(button(page, "Save it")).hasCount(0);
    page.getByText("Every section").click();
    Locator every = page.getByTestId("every-section");
    String usual = every.innerText();
    Hand.input(page, "Season")
        .selectOption(Hand.input(page, "Season").locator("option").last().getAttribute("value"));
    assertThat(every).not().hasText(usual);
    page.context().close();
  }

  /** On paper the drawing has a scale, and every section its day. */
  @Test
  void thePlanIsPrintedToScale() {
    Page page = product.visitorPage(1280, 800);
    open(page);
    Hand.MOUSE.button(page, "Set bales out");
    lay(Hand.MOUSE, page, "East of the Brook", "60", "12");
    page.evaluate("() => (window.print = () => {})");
    Hand.MOUSE.button(page, "Print");
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(page.getByText("One to 2,500.")).isVisible();
    assertThat(page.getByTestId("every-section")).isVisible();
    assertThat(page.getByTestId("bale-form")).isHidden();
    // 50 m at 1 to 2,500 are 20 mm
    double mm =
        ((Number)
                page.evaluate(
                    """
                    () => {
                      const svg = document.querySelector('[data-testid=bale-drawing]');
                      const bar = /h([\\d.]+)/.exec(svg.querySelector('.scale path').getAttribute('d'))[1];
                      const drawn = svg.getBoundingClientRect().width / svg.viewBox.baseVal.width;
                      return (bar * drawn * 25.4) / 96;
                    }"""))
            .doubleValue();
    Assertions.assertThat(mm).isBetween(19.5, 20.5);
    page.context().close();
  }

  private static Locator warnings(Page page) {
    return page.getByTestId("break-ground").getByRole(AriaRole.NOTE);
  }

  /** The turnips above the ditch: from the far side, two days each, written, kept and printed. */
  @ParameterizedTest
  @EnumSource(Hand.class)
  void aCropIsFedOffInBreaks(Hand hand) {
    Page page = hand == Hand.TOUCH ? product.touchedPage(390, 844) : product.visitorPage(1280, 800);
    open(page);
    hand.button(page, "Fed off in breaks");
    hand.button(page, "Lay breaks on a field");
    page.getByTestId("break-drawing").waitFor();
    hand.choose(Hand.input(page, "Field"), "Turnip Piece");
    Locator verdict = page.getByTestId("break-verdict");
    assertThat(verdict).hasText("Turnip Piece: 52 breaks feed Ewes from 1 October to 21 November.");
    number(hand, page, "Moved on towards, degrees from north", "0");
    assertThat(warnings(page).first()).containsText("It begins at the water");
    hand.button(page, "From the far side towards the water, to the south");
    assertThat(warnings(page).first()).not().containsText("It begins at the water");
    assertThat(page.getByTestId("break-ground")).containsText("Nothing is written yet");
    number(hand, page, "Days on each break", "2");
    assertThat(verdict).containsText("26 breaks feed Ewes");
    Locator one = page.getByTestId("break");
    assertThat(one).containsText("Break 1, given on Fri 1 Oct 2027");
    hand.button(page, "Next");
    assertThat(one).containsText("120 head: 0.8 kg/head/day from it, 65% of what they eat");
    hand.type(
        Hand.input(page, "Who moves the wire and looks at them each day, and who stands in"),
        "The two of us, mornings");
    hand.type(Hand.input(page, "Where they lie dry and out of the wind"), "The bank above");
    hand.type(
        Hand.input(page, "What is done when it rains for a week, or snow lies deep"),
        "Into the yard, hay");
    assertThat(page.getByTestId("break-ground")).not().containsText("Nothing is written");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    Assertions.assertThat(AccessTest.offTheSide(page)).isEmpty();
    hand.button(page, "Save it");
    assertThat(button(page, "Save it")).hasCount(0);
    page.reload();
    assertThat(verdict).containsText("Turnip Piece: 26 breaks feed Ewes");
    assertThat(Hand.input(page, "Where they lie dry and out of the wind"))
        .hasValue("The bank above");
    hand.button(page, "Remove these breaks");
    assertThat(button(page, "Lay breaks on a field")).isVisible();
    page.context().close();
  }

  /**
   * Nobody comes to the rape in October, as the turnips come first: a step of its own sends them.
   */
  @Test
  void whereNobodyComesSomebodyIsSent() {
    Page page = product.visitorPage(1280, 800);
    open(page);
    Hand.MOUSE.button(page, "Fed off in breaks");
    Hand.MOUSE.button(page, "Lay breaks on a field");
    Locator verdict = page.getByTestId("break-verdict");
    assertThat(verdict).containsText("Rape Piece: ");
    Hand.input(page, "To, last day").fill("2027-10-31");
    page.keyboard().press("Tab");
    assertThat(verdict).hasText("Rape Piece: nobody grazes it on these days, as the plan stands.");
    Hand.MOUSE.button(page, "Send Ewes there from 1 October");
    assertThat(verdict).hasText("Rape Piece: 31 breaks feed Ewes from 1 October to 31 October.");
    page.context().close();
  }

  /** A trough in the strip along the ditch is refused; drawn out of it, it may stand. */
  @Test
  void aTroughStandsOffTheWater() {
    Page page = product.visitorPage(1280, 800);
    open(page);
    Hand.MOUSE.button(page, "Fed off in breaks");
    Hand.MOUSE.button(page, "Lay breaks on a field");
    Hand.MOUSE.choose(Hand.input(page, "Field"), "Turnip Piece");
    page.getByTestId("break-drawing").waitFor();
    Hand.MOUSE.button(page, "Trough");
    number(Hand.MOUSE, page, "North of the corner, m", "245");
    assertThat(page.getByTestId("break-refusal"))
        .containsText("A trough 5 m from water: 10 m and more are accepted");
    assertThat(button(page, "Save it")).isDisabled();
    Locator trough = page.locator(".place");
    trough.hover();
    page.mouse().down();
    double[] to = middle(page.getByTestId("break-drawing"));
    page.mouse().move(to[0], to[1]);
    page.mouse().up();
    assertThat(page.getByTestId("break-refusal")).hasCount(0);
    Hand.MOUSE.button(page, "Save it");
    assertThat(button(page, "Print the plan")).isVisible();
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(page.getByText("Trough").last()).isVisible();
    page.context().close();
  }

  private static double[] middle(Locator of) {
    com.microsoft.playwright.options.BoundingBox box = of.boundingBox();
    return new double[] {box.x + box.width / 2, box.y + box.height / 2};
  }
}
