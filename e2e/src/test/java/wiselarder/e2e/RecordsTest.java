package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What was seen and done, written down in one browser while another one plans. */
class RecordsTest {
  private static Product product;
  private final List<String> complaints = new ArrayList<>();

  @BeforeAll
  static void start() {
    product = Product.fresh("records");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void reset() {
    product.resetAll();
  }

  private Page browser() {
    Page page = product.page(1280, 900);
    page.onConsoleMessage(m -> complaints.add(m.text()));
    page.onPageError(complaints::add);
    return page;
  }

  private static void account(Page page, String name, String button) {
    Hand.input(page, "Your name").fill(name);
    Hand.input(page, "E-mail address")
        .fill(name.toLowerCase(java.util.Locale.ROOT) + "@farm.example");
    Hand.input(page, "Password").fill("clover and timothy");
    Hand.MOUSE.button(page, button);
  }

  private static Page signedInElsewhere(String name) {
    Page page = product.page(1280, 800);
    page.navigate(product.url());
    Hand.input(page, "E-mail address").fill(name + "@farm.example");
    Hand.input(page, "Password").fill("clover and timothy");
    Hand.MOUSE.button(page, "Sign in");
    page.getByTestId("who").waitFor();
    return page;
  }

  /** Where somebody is signed in is listed, and ended from here. */
  private static void anotherSessionIsEnded(Page here, Page there) {
    Locator sessions = here.getByTestId("sessions").locator("li");
    assertThat(sessions).hasCount(2);
    assertThat(sessions.filter(new Locator.FilterOptions().setHasText("this one"))).hasCount(1);
    Hand.MOUSE.button(here, "Sign it out");
    assertThat(sessions).hasCount(1);
    there.reload();
    assertThat(Hand.input(there, "Password")).isVisible();
    there.context().close();
  }

  @Test
  void aHelpersRecordSurvivesTheOwnersUndo() {
    Page ann = browser();
    ann.navigate(product.url());
    account(ann, "Ann", "Make my account");
    Hand.input(ann, "Name of the farm").fill("Alder Farm");
    Hand.MOUSE.choose(
        Hand.input(ann, "Place, by its climate"),
        "Humid transition zone, upland mid-latitude (north)");
    Hand.MOUSE.button(ann, "Make this farm");
    Hand.input(ann, "Head").fill("30");
    Hand.input(ann, "Area").fill("20");
    Hand.input(ann, "How many").fill("60");
    Hand.MOUSE.button(ann, "Save and see the year");
    ann.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What the plan does"))
        .waitFor();
    Page elsewhere = signedInElsewhere("ann");
    Hand.MOUSE.link(ann, "People");
    anotherSessionIsEnded(ann, elsewhere);
    Hand.input(ann, "Who").fill("Hal");
    Hand.input(ann, "As").selectOption("HELPER");
    Hand.MOUSE.button(ann, "Make a link");
    Page hal = browser();
    hal.navigate(ann.getByLabel("Invitation link").inputValue());
    Hand.input(hal, "Your name").fill("");
    account(hal, "Hal", "Make my account and join");
    Hand.MOUSE.link(hal, "Alder Farm, 2026/27");
    hal.getByTestId("shelves").waitFor();

    // Ann changes the store while Hal looks at it as it was
    Hand.MOUSE.link(hal, "Store");
    Hand.MOUSE.side(hal, "Fed and counted");
    Locator records = hal.getByTestId("store-records");
    records.waitFor();
    // on a phone nothing but a helper's own lies under the thumb
    hal.setViewportSize(390, 844);
    assertThat(hal.locator("nav[aria-label=Screens] > a"))
        .hasText(new String[] {"Today", "Walk", "Fed"});
    hal.setViewportSize(1280, 900);
    Hand.MOUSE.link(ann, "Store");
    Hand.MOUSE.side(ann, "The lot");
    Hand.input(ann, "Units kept back").fill("5");
    Hand.MOUSE.button(ann, "Save lot");
    ann.getByText("Saved.").first().waitFor();

    // Hal writes down what he fed, and is not told of a revision
    records.getByLabel("On").fill("2026-12-05");
    records.getByLabel("How many").fill("4");
    records.getByText("Write down").click();
    assertThat(records).containsText("5 Dec: fed 4");
    assertThat(hal.getByTestId("since")).hasCount(0);

    // Ann takes her change back; what Hal wrote stands, with his name
    Hand.MOUSE.button(ann, "Undo");
    assertThat(Hand.input(ann, "Units kept back")).hasValue("");
    Hand.MOUSE.side(ann, "Fed and counted");
    Locator seen = ann.getByTestId("store-records");
    assertThat(seen).containsText("5 Dec: fed 4");
    assertThat(seen).containsText("Hal");
    Hand.MOUSE.button(ann, "Redo");
    assertThat(seen).containsText("5 Dec: fed 4");
    Hand.MOUSE.side(ann, "The lot");
    assertThat(Hand.input(ann, "Units kept back")).hasValue("5");
    hal.reload();
    assertThat(hal.getByTestId("store-records")).containsText("5 Dec: fed 4");
    Assertions.assertThat(complaints).isEmpty();
    ann.context().close();
    hal.context().close();
  }

  @Test
  void aRequestWhoseAnswerWasLostIsSentAgainAndCountsOnce() {
    Page page = product.visitorPage(1280, 900);
    page.navigate(product.demo() + "/store?side=records");
    Locator records = page.getByTestId("store-records");
    records.waitFor();
    List<String> sent = new ArrayList<>();
    page.route(
        "**/api/plans/*/records",
        route -> {
          if (!route.request().method().equals("POST")) {
            route.resume();
            return;
          }
          sent.add(route.request().postData());
          if (sent.size() == 1) {
            route.fetch(); // it reaches the server, and its answer never comes back
            route.abort();
          } else {
            route.resume();
          }
        });
    records.getByLabel("On").fill("2027-12-01");
    records.getByLabel("How many").fill("7");
    records.getByText("Write down").click();
    assertThat(records).containsText("1 Dec: fed 7 round bales");
    // it waited on the device, and went out once more under its name
    assertThat(records).not().containsText("waits on this device");
    assertThat(page.getByTestId("away")).hasCount(0);
    Assertions.assertThat(sent).hasSize(1);
    assertThat(records.getByRole(AriaRole.LISTITEM)).hasCount(1);
    page.context().close();
  }
}
