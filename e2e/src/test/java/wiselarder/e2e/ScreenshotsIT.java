package wiselarder.e2e;

import static com.microsoft.playwright.options.WaitForSelectorState.HIDDEN;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ScreenshotAnimations;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Takes docs/screenshots from the demo farm; run by {@code ./larder shots}, not by the tests. */
class ScreenshotsIT {
  private final Path folder = Path.of(System.getProperty("larder.shots", "target/shots"));

  @Test
  void takesOnePictureOfEachView() {
    try (Product product = Product.working("shots")) {
      product.resetDemo();
      Page page = product.visitorPage(1280, 800);
      page.navigate(product.demo());
      page.getByTestId("shelves").waitFor();
      shoot(page, "year", false);
      Hand.MOUSE.link(page, "Close this gap");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Find the cheapest mix"))
          .click();
      page.getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Without: Open Mill Bottom and"))
          .click();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Without hay")).waitFor();
      page.getByTestId("compare").waitFor();
      shoot(page, "close-gap", false);
      product.resetDemo();
      page.reload();
      for (String screen : new String[] {"Land", "Herd", "Store"}) {
        Hand.MOUSE.link(page, screen);
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(screen))
            .first()
            .waitFor();
        shoot(page, screen.toLowerCase(java.util.Locale.ROOT), false);
      }
      page.navigate(product.demo() + "/land/draw");
      page.getByTestId("map-measured").getByText("grow feed").waitFor();
      shoot(page, "map", false);
      ahead(page, product);
      page.navigate(product.demo() + "/forages");
      page.getByText("Copy to my own").waitFor();
      shoot(page, "forages", false);
      seasons(page);
      product.resetDemo();
      page.reload();
      Page other = product.visitorPage(1280, 800);
      conflict(product, page, other);
      Hand.MOUSE.button(page, "Put mine on top");
      page.getByRole(AriaRole.DIALOG).waitFor(new Locator.WaitForOptions().setState(HIDDEN));
      page.navigate(product.demo() + "/changes");
      page.getByTestId("changes").waitFor();
      shoot(page, "changes", false);
      page.navigate(product.demo() + "/papers");
      page.getByText("Papers out").waitFor();
      shoot(page, "papers", false);
      page.navigate(product.demo() + "/jobs");
      page.getByText("A week later").first().waitFor();
      shoot(page, "jobs", false);
      Page stranger = product.page(1280, 800);
      stranger.navigate(product.url());
      stranger.getByText("Make the first owner").waitFor();
      start(stranger);
      shoot(stranger, "start", false);
      Hand.MOUSE.button(stranger, "Save and see the year");
      stranger.getByTestId("planned").waitFor();
      Hand.MOUSE.link(stranger, "People");
      Hand.input(stranger, "Who").fill("Bea");
      Hand.MOUSE.button(stranger, "Make a link");
      stranger.getByLabel("Invitation link").waitFor();
      shoot(stranger, "people", false);
      page.navigate(product.demo().replaceAll("quillback$", "spruce-hollow") + "/winter");
      Hand.MOUSE.button(page, "Set bales out");
      Hand.input(page, "Field").selectOption(new SelectOption().setLabel("East of the Brook"));
      Hand.input(page, "Bales set out").fill("126");
      page.keyboard().press("Tab");
      page.getByText("126 bales last").waitFor();
      Hand.MOUSE.button(page, "Next");
      page.evaluate("() => scrollTo(0, 0)");
      shoot(page, "winter", false);
      page.navigate(product.url() + "/#/morning");
      Hand.MOUSE.button(page, "Bring up to date");
      page.getByText("all as they stand this morning").waitFor();
      shoot(page, "morning", false);
      Page phone = product.visitorPage(390, 844);
      phone.navigate(product.demo());
      phone.getByTestId("shelves").waitFor();
      shoot(phone, "year-phone", false);
      phone.navigate(product.demo() + "/walk");
      Hand.input(phone, "Walked on").fill("2028-04-20");
      phone.getByText("Church Field").first().click();
      Hand.input(phone, "Height, in").fill("4");
      phone.getByTestId("walk-answer").waitFor();
      phone.evaluate("() => scrollTo(0, 0)");
      shoot(phone, "walk-phone", false);
    }
  }

  /** A crop sown into a sod, looked at in a dry year. */
  private void seasons(Page page) {
    Hand.MOUSE.link(page, "Land");
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Saddle")).click();
    Hand.MOUSE.act(page, "Sow a crop");
    Hand.MOUSE.button(page, "Sow it");
    page.getByTestId("sow-outcome").waitFor();
    shoot(page, "land-sown", true);
    Hand.MOUSE.link(page, "Seasons");
    Hand.input(page, "Season").selectOption("dry");
    page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Dry year")).waitFor();
    page.getByTestId("hold").waitFor();
    shoot(page, "seasons", true);
    Hand.input(page, "Season").selectOption("normal");
  }

  /** Two people change one field. */
  private static void conflict(Product product, Page mine, Page theirs) {
    for (Page p : new Page[] {mine, theirs}) {
      p.navigate(product.demo() + "/land");
      p.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Saddle")).click();
      Hand.MOUSE.side(p, "Place and soil");
    }
    Hand.input(mine, "Area").fill("15");
    Hand.input(theirs, "Area").fill("16");
    Hand.input(theirs, "Note").fill("wet until May");
    Hand.MOUSE.button(theirs, "Save field");
    theirs.getByText("Saved.").waitFor();
    Hand.MOUSE.button(mine, "Save field");
    mine.getByTestId("since").waitFor();
  }

  /** A new owner, an empty farm, and its first answer. */
  private static void start(Page page) {
    Hand.input(page, "Your name").fill("Ann");
    Hand.input(page, "E-mail address").fill("ann@farm.example");
    Hand.input(page, "Password").fill("clover and timothy");
    Hand.MOUSE.button(page, "Make my account");
    Hand.input(page, "Name of the farm").fill("Alder Smallholding");
    Hand.input(page, "Place, by its climate").selectOption("maritime_temperate_north");
    Hand.MOUSE.button(page, "Make this farm");
    // the first page asks for animals too
    page.getByText("First answer").waitFor();
    Hand.input(page, "Animals").selectOption("sheep/ewe");
    Hand.input(page, "Head").fill("10");
    Hand.input(page, "Area").fill("3");
    Hand.input(page, "Bales").selectOption("ss_two_string");
    Hand.input(page, "How many").fill("90");
    page.getByTestId("effect").waitFor();
    page.waitForTimeout(800); // the last answer may still be on its way
  }

  private void shoot(Page page, String name, boolean whole) {
    page.evaluate("document.fonts.ready");
    page.screenshot(
        new Page.ScreenshotOptions()
            .setPath(folder.resolve(name + ".png"))
            .setFullPage(whole)
            .setAnimations(ScreenshotAnimations.DISABLED));
  }

  /** Natives for Saddle in the year after, and what comes of it. */
  private void ahead(Page page, Product product) {
    page.navigate(product.demo() + "/ahead");
    page.getByTestId("years-ahead").waitFor();
    page.getByText("Write a sowing for a field").click();
    Hand.MOUSE.choose(page.locator("select").and(page.getByLabel("Field")).first(), "Saddle");
    Hand.MOUSE.choose(page.getByLabel("Which year"), "this plan’s year");
    Hand.find(
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Crop")),
        "Switchgrass");
    Hand.MOUSE.choose(
        page.locator("select").and(page.getByLabel("Ground")).first(),
        "Sprayed out twice, 42 days, no till; the old stand ends");
    Hand.MOUSE.button(page, "Sow it");
    page.getByText("switchgrass, young").first().waitFor();
    page.evaluate("window.scrollTo(0, 0)");
    shoot(page, "ahead", false);
    product.resetDemo();
    page.reload();
  }
}
