package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * From first start through a new owner, an empty farm, a first answer, a second person in another
 * browser, a conflict, undo, the farm's file and a new farm made of it: by mouse and by keyboard.
 */
class WholeWayTest {
  private static Product product;
  private final List<String> complaints = new ArrayList<>();

  @TempDir Path folder;

  @BeforeAll
  static void start() {
    product = Product.fresh("whole_way");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void firstStart() {
    product.resetAll();
  }

  private Page browser() {
    Page page = product.page(1280, 800);
    page.onPageError(complaints::add);
    return page;
  }

  private static Locator in(Page page, String label) {
    return Hand.input(page, label);
  }

  private static Locator verdict(Page page) {
    return page.getByTestId("verdict");
  }

  private static void account(Hand hand, Page page, String name, String button) {
    hand.type(in(page, "Your name"), name);
    hand.type(in(page, "E-mail address"), name + "@farm.example");
    hand.type(in(page, "Password"), "clover and timothy");
    hand.button(page, button);
  }

  private static void emptyFarm(Hand hand, Page page, String name) {
    hand.type(in(page, "Name of the farm"), name);
    hand.choose(
        in(page, "Place, by its climate"), "Humid transition zone, upland mid-latitude (north)");
    hand.button(page, "Make this farm");
    assertThat(page.getByText("First answer")).isVisible();
  }

  @ParameterizedTest
  @EnumSource(names = {"MOUSE", "KEYBOARD"})
  void fromFirstStartToAFarmOfAFile(Hand hand) {
    Page ann = browser();
    ann.navigate(product.url());
    assertThat(ann.getByText("Make the first owner")).isVisible();
    account(hand, ann, "Ann", "Make my account");

    // an empty farm and its first answer
    emptyFarm(hand, ann, "Alder Farm");
    assertThat(verdict(ann)).hasText("Nobody to feed yet.");
    hand.type(in(ann, "Head"), "30");
    hand.type(in(ann, "Area"), "20");
    hand.type(in(ann, "How many"), "60");
    assertThat(verdict(ann)).containsText(Pattern.compile("runs out|falls short|lasts"));
    hand.button(ann, "Save and see the year");
    assertThat(ann.getByRole(AriaRole.REGION, named("What the plan does"))).isVisible();
    String firstAnswer = verdict(ann).textContent();
    assertThat(firstAnswer).containsPattern("runs out|falls short|lasts");
    // what was taken as usual is said, and leads to where it is stated
    assertThat(ann.getByTestId("unsaid")).containsText("what a round bale of Hay weighs");
    hand.link(ann, "what stands on Field 1 on the first day");
    assertThat(ann.getByText("turned into what stands on the first day")).isVisible();
    hand.link(ann, "Year");

    // a second person in another browser
    hand.link(ann, "People");
    hand.type(in(ann, "Who"), "Bea");
    hand.button(ann, "Make a link");
    String link = ann.getByLabel("Invitation link").inputValue();
    Page bea = browser();
    bea.navigate(link);
    assertThat(bea.getByText("Ann invites you as a planner")).isVisible();
    in(bea, "Your name").fill("");
    account(hand, bea, "Bea", "Make my account and join");
    hand.link(bea, "Alder Farm, 2026/27");
    assertThat(verdict(bea)).hasText(firstAnswer);

    // both open the field; Bea is first
    hand.link(ann, "Land");
    hand.link(bea, "Land");
    hand.side(ann, "Place and soil");
    hand.side(bea, "Place and soil");
    hand.type(in(ann, "Area"), "30");
    hand.type(in(ann, "Note"), "the far end floods");
    hand.type(in(bea, "Area"), "25");
    hand.button(bea, "Save field");
    assertThat(bea.getByText("Saved.")).isVisible();
    // it arrives at Ann's screen, and takes nothing of what she types
    Locator list = ann.getByRole(AriaRole.REGION, named("Land"));
    assertThat(list.getByText(Pattern.compile("^25(\\.0*)?$"))).isVisible();
    assertThat(in(ann, "Note")).hasValue("the far end floods");
    hand.button(ann, "Save field");

    // Ann is told what changed, and puts hers on top
    assertThat(ann.getByTestId("since")).containsText("Bea: Changed field Field 1: area");
    assertThat(ann.getByTestId("clashes")).containsText(Pattern.compile("yours 30.*theirs 25"));
    hand.button(ann, "Put mine on top");
    assertThat(in(ann, "Area")).hasValue(Pattern.compile("30(\\.0*)?"));
    assertThat(in(ann, "Note")).hasValue("the far end floods");
    hand.link(ann, "Changes");
    assertThat(ann.getByTestId("changes")).containsText("Changed field Field 1: area, note");
    assertThat(ann.getByTestId("changes")).containsText("Bea");

    // undo shows Bea's again; redo brings Ann's back
    hand.link(ann, "Land");
    hand.side(ann, "Place and soil");
    undo(hand, ann);
    assertThat(in(ann, "Area")).hasValue(Pattern.compile("25(\\.0*)?"));
    redo(hand, ann);
    assertThat(in(ann, "Area")).hasValue(Pattern.compile("30(\\.0*)?"));

    // the farm's file out, and a new farm of it, equal to the kilogram
    hand.link(ann, "Year");
    hand.button(ann, "Ledger");
    List<String> before = figures(ann);
    hand.link(ann, "Papers");
    Download download = ann.waitForDownload(() -> hand.link(ann, "The whole farm"));
    Path file = folder.resolve(download.suggestedFilename());
    download.saveAs(file);
    hand.link(ann, "All farms");
    ann.getByLabel("Farm file").setInputFiles(file);
    assertThat(ann.getByTestId("file-holds")).hasText("Alder Farm: one plan");
    hand.button(ann, "Make a farm of it");
    hand.button(ann, "Ledger");
    assertThat(figures(ann)).isEqualTo(before).hasSizeGreaterThan(100);
    hand.link(ann, "All farms");
    assertThat(ann.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Alder Farm")))
        .hasCount(2);
    assertThat(complaints).isEmpty();
    ann.context().close();
    bea.context().close();
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  private static void undo(Hand hand, Page page) {
    if (hand == Hand.MOUSE) {
      hand.button(page, "Undo");
    } else {
      page.locator("body").press("ControlOrMeta+z");
    }
  }

  private static void redo(Hand hand, Page page) {
    if (hand == Hand.MOUSE) {
      hand.button(page, "Redo");
    } else {
      page.locator("body").press("ControlOrMeta+Shift+z");
    }
  }

  private static List<String> figures(Page page) {
    assertThat(page.getByTestId("ledger")).isVisible();
    return page.getByTestId("ledger").locator("td").allTextContents();
  }

  @Test
  void aSmallholdingHasItsAnswerAfterFiveEntries() {
    Page page = browser();
    page.navigate(product.url());
    account(Hand.MOUSE, page, "Ann", "Make my account");
    emptyFarm(Hand.MOUSE, page, "Ten Ewes");
    // the first page asks for animals too
    assertThat(page.getByText("First answer")).isVisible();
    in(page, "Animals").selectOption("sheep/ewe");
    in(page, "Head").fill("10");
    Hand.find(in(page, "What grows there"), "Tall fescue (novel endophyte)");
    in(page, "Area").fill("0.8");
    in(page, "Bales").selectOption("ss_two_string");
    in(page, "How many").fill("80");
    assertThat(page.getByTestId("effect")).isVisible();
    Hand.MOUSE.button(page, "Save and see the year");
    assertThat(verdict(page)).hasText(Pattern.compile(".*(lasts the whole year|runs out on).*"));
    Hand.MOUSE.link(page, "Store");
    assertThat(page.getByText("80 small bales").first()).isVisible();
    page.context().close();
  }

  @Test
  void aReaderLooksAndTriesOutAndSavesNothing() {
    Page ann = browser();
    ann.navigate(product.url());
    account(Hand.MOUSE, ann, "Ann", "Make my account");
    emptyFarm(Hand.MOUSE, ann, "Alder Farm");
    in(ann, "Head").fill("30");
    in(ann, "Area").fill("20");
    assertThat(ann.getByTestId("effect")).isVisible();
    Hand.MOUSE.button(ann, "Save and see the year");
    assertThat(ann.getByTestId("planned")).isVisible();
    Hand.MOUSE.link(ann, "People");
    in(ann, "Who").fill("Rob");
    in(ann, "As").selectOption("READER");
    Hand.MOUSE.button(ann, "Make a link");
    String link = ann.getByLabel("Invitation link").inputValue();
    Page rob = browser();
    rob.navigate(link);
    in(rob, "Your name").fill("");
    account(Hand.MOUSE, rob, "Rob", "Make my account and join");
    Hand.MOUSE.link(rob, "Alder Farm, 2026/27");
    Hand.MOUSE.link(rob, "Herd");
    Hand.MOUSE.side(rob, "Animals");
    in(rob, "Head").fill("60");
    assertThat(rob.getByTestId("effect")).isVisible();
    assertThat(rob.getByText("nothing is saved")).isVisible();
    assertThat(button(rob, "Save group")).hasCount(0);
    assertThat(button(rob, "Undo")).hasCount(0);
    ann.context().close();
    rob.context().close();
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void theKeysAreListedAndLeadEverywhere() {
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.demo());
    page.getByTestId("shelves").waitFor();
    page.keyboard().press("?");
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Undo the last change");
    page.keyboard().press("Escape");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    page.keyboard().press("g");
    page.keyboard().press("h");
    assertThat(
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Herd")).first())
        .isVisible();
    page.keyboard().press("g");
    page.keyboard().press("c");
    assertThat(page.getByTestId("changes")).isVisible();
    page.keyboard().press("?");
    page.getByLabel("Single letters").uncheck();
    page.keyboard().press("Escape");
    page.keyboard().press("g");
    page.keyboard().press("y");
    assertThat(page.getByTestId("changes")).isVisible();
    page.context().close();
  }
}
