package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The map drawn, parted and taken in; fields looked at by use; forages of one's own. */
class LandTest {
  private static Product product;
  private Page page;

  @BeforeAll
  static void start() {
    product = Product.fresh("land");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void openTheDemo() {
    product.resetDemo();
    page = product.visitorPage(1280, 900);
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

  private void field(String name) {
    Hand.MOUSE.link(page, "Land");
    button(name).click();
  }

  private void draw() {
    Hand.MOUSE.link(page, "Land");
    Hand.MOUSE.link(page, "Draw");
  }

  private Locator measured() {
    return page.getByTestId("map-measured");
  }

  /** Clicks on the board at shares of its width and height. */
  private void click(double right, double down) {
    Locator board = page.getByTestId("board");
    board.scrollIntoViewIfNeeded();
    BoundingBox box = board.boundingBox();
    page.mouse().click(box.x + right * box.width, box.y + down * box.height);
  }

  @Test
  void aFieldIsDrawnMeasuredSavedAndShownOnTheLandScreen() {
    draw();
    Hand.MOUSE.button(page, "Add a field");
    assertThat(measured()).containsText("Three corners make a field");
    click(0.02, 0.1);
    click(0.12, 0.1);
    click(0.12, 0.3);
    click(0.02, 0.3);
    assertThat(measured()).containsText("ac drawn");
    String whole = measured().textContent();
    button("Waterway").click();
    click(0.01, 0.2);
    click(0.13, 0.2);
    button("Keep it").click();
    assertThat(measured()).not().hasText(whole);
    assertThat(page.getByText("Off the area")).isVisible();
    button("Save shape and area").click();
    assertThat(button("Save shape and area")).isHidden();
    page.reload();
    Hand.MOUSE.link(page, "Land");
    button("Field 15").click();
    Hand.MOUSE.side(page, "Place and soil");
    assertThat(Hand.input(page, "Off: water, buffers, hollows")).not().hasValue("");
    assertThat(page.getByTestId("land-map").getByRole(AriaRole.IMG))
        .hasAttribute("aria-label", Pattern.compile("Field 15"));
  }

  @Test
  void noButtonMovesWhenADoubtAboutTheShapeComes() {
    draw();
    Hand.MOUSE.button(page, "Add a field");
    assertThat(measured()).containsText("Three corners make a field");
    List<Route> held = new ArrayList<>();
    page.route(Pattern.compile("/trial$"), held::add);
    click(0.02, 0.1);
    click(0.12, 0.1);
    click(0.12, 0.3);
    assertThat(measured()).containsText("ac drawn");
    page.waitForCondition(() -> !held.isEmpty());
    double before = button("Waterway").boundingBox().y;
    held.forEach(Route::resume);
    assertThat(page.getByTestId("map-doubt")).isVisible();
    org.assertj.core.api.Assertions.assertThat(button("Waterway").boundingBox().y)
        .isEqualTo(before);
  }

  @Test
  void aCornerIsMovedByKeyboardAndTypedAsAFigure() {
    draw();
    assertThat(measured()).containsText("drawn");
    String before = measured().textContent();
    Locator corner = page.getByLabel(Pattern.compile("^Corner 1:"));
    corner.focus();
    for (int i = 0; i < 5; i++) {
      page.keyboard().press("ArrowLeft");
    }
    assertThat(measured()).not().hasText(before);
    button("Discard").click();
    assertThat(measured()).hasText(before.strip());
    page.getByText("Corners as figures").click();
    page.getByLabel("Corner 1, east").fill("0");
    page.getByLabel("Corner 1, east").press("Tab");
    assertThat(measured()).not().hasText(before);
    button("Save shape and area").click();
    assertThat(button("Save shape and area")).isHidden();
  }

  @Test
  void aFieldIsPartedAlongALineAndUndoPutsItTogether() {
    draw();
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Field"))
        .selectOption("long-acre");
    assertThat(measured()).containsText("28.0 ac");
    button("This field").click();
    button("Part the field").click();
    click(0.5, 0.02);
    click(0.5, 0.98);
    Hand.input(page, "Name of the new field").fill("Long Acre East");
    button("Part it here").click();
    assertThat(measured()).not().containsText("28.0 ac drawn");
    Hand.MOUSE.link(page, "Land");
    assertThat(button("Long Acre East")).isVisible();
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByText("Long Acre East").first()).isVisible();
    button("Undo").click();
    assertThat(page.getByText("Long Acre East")).hasCount(0);
  }

  @Test
  void aMapFileIsShownBeforeItIsTakenInAndGoesOutAgain() {
    draw();
    page.getByLabel("Map to take in").setInputFiles(Path.of("../docs/examples/fields.geojson"));
    Locator preview = page.getByTestId("map-preview");
    assertThat(preview).containsText("Long Meadow");
    assertThat(preview).containsText("a new field");
    assertThat(preview).containsText("Two Bits lies in 2 pieces");
    button("Take it in").click();
    assertThat(page.getByText("5 fields were taken in as one change")).isVisible();
    Hand.MOUSE.link(page, "Land");
    assertThat(button("Heron Piece")).isVisible();
    draw();
    String out =
        page.waitForDownload(() -> page.getByText("Take this map out").click()).suggestedFilename();
    org.assertj.core.api.Assertions.assertThat(out).isEqualTo("quillback-farm-fields.geojson");
    page.getByLabel("Map to take in").setInputFiles(Path.of("../docs/examples/smallholding.json"));
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing was changed");
  }

  @Test
  void aFieldLeftAloneSaysForWhatAndForWhomItIsGood() {
    field("Church Field");
    Hand.MOUSE.act(page, "Ask what comes");
    Hand.input(page, "Left alone from").fill("2028-04-01");
    Locator told = page.getByTestId("let-grow");
    assertThat(told).containsText("To cut once: about");
    assertThat(told).containsText("To graze and have it come again");
    assertThat(told).containsText("Bulls: good enough");
    // wilted and wrapped, then planned as a cut with its worth
    field("Mill Bottom");
    Hand.MOUSE.act(page, "Cut it");
    Hand.input(page, "Cut on").fill("2028-05-10");
    Hand.input(page, "For").selectOption("haylage");
    assertThat(page.getByTestId("cut-tried")).containsText("wrapped bales of");
    button("Cut it").click();
    assertThat(page.getByTestId("field-plans")).containsText("Cut Mill Bottom on 10 May");
    assertThat(page.getByTestId("cut-outcome").first()).containsText("wrapped bales of");
  }

  @Test
  void passesForLightAreTriedPlannedAndTakenBack() {
    field("Church Field");
    Hand.MOUSE.act(page, "Graze lightly");
    Locator part =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Passes for light"));
    part.getByLabel("From").fill("2027-10-01");
    part.getByLabel("To").first().fill("2028-03-31");
    part.getByLabel(Pattern.compile("^Whenever it stands at")).fill("2000");
    part.getByLabel(Pattern.compile("^Take it down to")).fill("1850");
    assertThat(part.getByRole(AriaRole.STATUS)).containsText(Pattern.compile("\\d+ pass"));
    Hand.MOUSE.button(page, "Plan them");
    Hand.MOUSE.link(page, "Year");
    assertThat(page.getByTestId("planned")).containsText("Light passes on Church Field");
    Hand.MOUSE.button(page, "Take back passes on Church Field");
    assertThat(page.getByTestId("planned")).not().containsText("Light passes");
  }

  @Test
  void howAFieldLiesAndItsCoverAreKept() {
    field("Saddle");
    Hand.MOUSE.side(page, "Measure");
    page.getByLabel(Pattern.compile("^Heights by stick")).fill("5 6 7");
    Hand.MOUSE.button(page, "Work it out");
    assertThat(page.getByTestId("measured-cover")).containsText("lb/ac of cover");
    Hand.MOUSE.button(page, "Take it as the cover on the first day");
    Hand.MOUSE.side(page, "Place and soil");
    page.getByText("How it lies").click();
    Hand.input(page, "Slope, degrees").fill("12");
    assertThat(page.getByText("along water, or what local rules ask")).isVisible();
    Hand.input(page, "Water for stock").selectOption("HAULED");
    Hand.input(page, "pH by the soil test").fill("6.1");
    Hand.MOUSE.button(page, "Save field");
    page.getByText("Saved.").waitFor();
    page.reload();
    field("Saddle");
    Hand.MOUSE.side(page, "Place and soil");
    assertThat(page.getByText("How it lies: 12 degrees, water: hauled, soil tested")).isVisible();
  }

  @Test
  void aForageOfMyOwnIsMixedSavedAndStandsOnAField() {
    Hand.MOUSE.link(page, "Forages");
    Hand.input(page, "Find").fill("orchardgrass");
    button("Orchardgrass (cocksfoot)").click();
    Hand.MOUSE.button(page, "Copy to my own");
    Locator form =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("My own forage"));
    form.getByLabel("Name").first().fill("Our ley");
    form.getByText("Mix another in").click();
    Hand.find(form.getByRole(AriaRole.COMBOBOX).nth(1), "Red clover");
    form.getByLabel(Pattern.compile("^First use at")).fill("10");
    form.getByText("Save my own").click();
    assertThat(page.getByTestId("own-made-of")).containsText("77% orchardgrass");
    field("Upper Orchard");
    Hand.MOUSE.side(page, "Stand and growth");
    Hand.find(Hand.input(page, "Stand"), "Our ley (my own)");
    Hand.MOUSE.button(page, "Save field");
    page.getByText("Saved.").waitFor();
    Hand.MOUSE.link(page, "Forages");
    button("Our ley").click();
    Hand.MOUSE.button(page, "Remove it");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("take it off the fields");
  }

  @Test
  void sharesAndRulesOfASwardAreStatedAtItsField() {
    field("Upper Orchard");
    Hand.MOUSE.side(page, "Stand and growth");
    Hand.MOUSE.button(page, "State shares and rules of this field’s sward");
    Locator form =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("My own forage"));
    form.getByText("Mix another in").click();
    Hand.find(form.getByRole(AriaRole.COMBOBOX).nth(1), "White clover");
    form.getByText("Rules and figures that you know better").click();
    form.getByLabel(Pattern.compile("^First use at")).fill("9");
    form.getByText("Save my own").click();
    assertThat(page.getByText("Of your own making: 77%")).isVisible();
    assertThat(Hand.input(page, "Stand")).hasValue("Sward of Upper Orchard (my own)");
    Hand.MOUSE.button(page, "Undo");
    assertThat(page.getByText("By the product’s table of")).isVisible();
  }

  @Test
  void standsAreComparedByGainAndReturnNotByHeadAlone() {
    Hand.MOUSE.link(page, "Forages");
    Hand.MOUSE.button(page, "Compare");
    Locator table = page.getByTestId("compared");
    assertThat(table).containsText("Gain of each head");
    assertThat(table).containsText("Return over it, each ac");
    assertThat(table.locator("thead th")).hasCount(3);
  }

  @Test
  void whatSpeaksAgainstACropIsSaidAndFilters() {
    field("Sawdust");
    Hand.MOUSE.act(page, "Sow a crop");
    Hand.find(Hand.input(page, "Crop"), "Pearl millet");
    Hand.input(page, "Sown on").fill("2027-09-20");
    assertThat(page.getByTestId("against")).containsText("frost comes before it is ready");
    page.getByText("Offer only what fits").click();
    Hand.find(Hand.input(page, "Crop"), "Cereal rye");
    Hand.input(page, "Crop").click();
    Locator offered = page.getByRole(AriaRole.OPTION);
    assertThat(offered.filter(new Locator.FilterOptions().setHasText("Cereal rye"))).hasCount(1);
    assertThat(offered.filter(new Locator.FilterOptions().setHasText("Pearl millet"))).hasCount(0);
  }
}
