package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The product on a phone where there is no signal: installed, opened, written on, and back. */
class NoSignalTest {
  private static Product product;

  @BeforeAll
  static void start() {
    product = Product.fresh("no_signal");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void reset() {
    product.resetDemo();
  }

  /** A phone that has opened a plan once, with all that it needs to open it alone. */
  private static Page phone(String plan, int width, int height) {
    Page phone = product.installedPage(width, height);
    open(phone, plan, "/walk");
    phone.getByTestId("feed-ahead").waitFor();
    assertThat(phone.getByTestId("opens-alone")).isVisible();
    return phone;
  }

  private static void open(Page page, String plan, String screen) {
    page.navigate(product.url() + "/#/plan/" + plan + screen);
  }

  private static Page again(BrowserContext phone, String plan, String screen) {
    Page page = phone.newPage();
    open(page, plan, screen);
    return page;
  }

  private static void press(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .first()
        .click();
  }

  private static Locator row(Page page, String field) {
    return page.locator(".field-row").filter(new Locator.FilterOptions().setHasText(field));
  }

  /**
   * Six fields, a pull, nine bales; closed, opened, and all of it at the office once it is there.
   */
  @ParameterizedTest
  @CsvSource({
    "quillback, 2028-04-20, 390, 844, in, Home Bottom",
    "campo-garza-mora, 2027-09-20, 360, 640, cm, Tambo Norte",
  })
  void aRoundWithoutSignalIsKeptReckonedAndSentOnce(
      String plan, String on, int width, int height, String unit, String field) {
    Page office = product.visitorPage(1280, 800);
    open(office, plan, "/walk");
    WalkTest.walkedOn(office, on);
    String before = office.getByTestId("feed-ahead").innerText();
    Page phone = phone(plan, width, height);
    BrowserContext device = phone.context();
    device.setOffline(true);
    assertThat(phone.getByTestId("away")).containsText("No connection since");
    WalkTest.walkedOn(phone, on);
    phone.locator(".field-row").first().click();
    for (int i = 1; i <= 6; i++) {
      assertThat(phone.getByTestId("field-reading")).containsText(i + " of ");
      Hand.input(phone, "Height, " + unit).fill(unit.equals("in") ? "4" : "10");
      assertThat(phone.getByTestId("walk-answer")).containsText("was expected");
      press(phone, "Keep, next field");
    }
    assertThat(phone.getByTestId("field-reading")).containsText("7 of ");
    Assertions.assertThat(AccessTest.offTheSide(phone)).isEmpty();
    press(phone, "To the round");
    assertThat(phone.getByTestId("reckoned-here")).isVisible();
    assertThat(phone.locator("header p").first()).containsText(", 6 read this day.");
    assertThat(phone.getByTestId("away")).containsText("6 records wait on this device");
    String there = phone.getByTestId("feed-ahead").innerText();
    Assertions.assertThat(there).isNotEqualTo(before);

    // the browser is closed and opened: it opens alone, and nothing is lost
    phone.close();
    phone = again(device, plan, "/walk");
    assertThat(phone.getByTestId("away")).containsText("6 records wait on this device");
    WalkTest.walkedOn(phone, on);
    assertThat(phone.locator("header p").first()).containsText(", 6 read this day.");
    Assertions.assertThat(phone.getByTestId("feed-ahead").innerText()).isEqualTo(there);
    Assertions.assertThat(AccessTest.violations(phone)).isEmpty();

    // signal
    device.setOffline(false);
    assertThat(phone.getByTestId("away")).hasCount(0);
    assertThat(phone.getByTestId("reckoned-here")).hasCount(0);
    assertThat(office.locator("header p").first()).containsText(", 6 read this day.");
    assertThat(office.getByTestId("readings").locator("tbody tr")).hasCount(6);
    assertThat(phone.locator("header p").first()).containsText(", 6 read this day.");
    Assertions.assertThat(phone.getByTestId("feed-ahead").innerText()).isEqualTo(there);
    assertThat(office.getByTestId("feed-ahead"))
        .hasText(there, new LocatorAssertions.HasTextOptions().setUseInnerText(true));
    assertThat(row(office, field)).hasAttribute("class", Pattern.compile("\\bread\\b"));
    office.context().close();
    device.close();
  }

  /**
   * All that a round is made of, far from any signal: six fields, a pull of what is young, stems,
   * nine bales. The browser is closed and opened; once there is signal the office has all of it,
   * and what the plan comes to is another thing.
   */
  @ParameterizedTest
  @CsvSource({
    "quillback, cereal_rye, saddle, Saddle, 2027-09-05, 2027-10-12, 390, 844, in",
    "campo-garza-mora, spring_oats, tambo-norte, Tambo Norte, 2027-08-22, 2027-09-14, 360, 640, cm",
  })
  void aWholeRoundReachesTheOfficeAndChangesItsVerdict(
      String plan,
      String forage,
      String id,
      String field,
      String sown,
      String on,
      int width,
      int height,
      String unit) {
    Page office = product.visitorPage(1280, 800);
    open(office, plan, "");
    office.getByTestId("verdict").first().waitFor();
    Product.edit(
        office,
        plan,
        """
        [{putSowing: {id: 's1', fieldId: '%s', forageId: '%s', sowOn: '%s',
          preparation: 'FULL_SEEDBED', yieldKgPerHa: null, seedShare: 1, endsOn: null}}]"""
            .formatted(id, forage, sown));
    Page phone = phone(plan, width, height);
    office.reload();
    Locator verdict = office.locator("section.verdict");
    String before = verdict.innerText();
    BrowserContext device = phone.context();
    device.setOffline(true);
    WalkTest.walkedOn(phone, on);
    String ahead = phone.getByTestId("feed-ahead").innerText();
    int read = 0;
    for (int i = 0; read < 6; i++) {
      Locator next = phone.locator(".field-row").nth(i);
      if (next.innerText().contains(field)) {
        continue;
      }
      next.tap();
      Hand.input(phone, "Height, " + unit).fill(unit.equals("in") ? "2" : "5");
      assertThat(phone.getByTestId("walk-answer")).containsText("was expected");
      press(phone, "Keep, next field");
      press(phone, "To the round");
      read++;
    }
    row(phone, field).tap();
    assertThat(phone.getByTestId("young-rule")).isVisible();
    Hand.input(phone, "Height, " + unit).fill(unit.equals("in") ? "9" : "30");
    Locator pull =
        phone.getByRole(
            AriaRole.GROUP, new Page.GetByRoleOptions().setName("Pulled, as a beast does"));
    pull.getByText("leaf tears").tap();
    assertThat(phone.getByTestId("walk-answer")).containsText("Ready.");
    press(phone, "Keep, next field");
    press(phone, "To the round");
    row(phone, field).tap();
    press(phone, "Stems");
    for (int i = 0; i < 10; i++) {
      stage(phone, "Leafy").tap();
    }
    assertThat(phone.getByTestId("stem-answer")).containsText("10 stems. Half of them are leafy");
    press(phone, "Keep the stems");
    assertThat(phone.getByTestId("away")).containsText("8 records wait on this device");
    open(phone, plan, "/store");
    Hand.MOUSE.side(phone, "Fed and counted");
    Locator records = phone.getByTestId("store-records");
    records.getByLabel("On").first().fill(on);
    Hand.MOUSE.type(records.getByLabel("How many"), "9");
    records.getByText("Write down").tap();
    assertThat(records).containsText("waits on this device");
    phone.close();
    phone = again(device, plan, "/walk");
    assertThat(phone.getByTestId("away")).containsText("9 records wait on this device");
    WalkTest.walkedOn(phone, on);
    assertThat(phone.locator("header p").first()).containsText(", 7 read this day.");
    String there = phone.getByTestId("feed-ahead").innerText();
    Assertions.assertThat(there).isNotEqualTo(ahead);
    device.setOffline(false);
    assertThat(phone.getByTestId("away")).hasCount(0);
    assertThat(verdict)
        .not()
        .hasText(before, new LocatorAssertions.HasTextOptions().setUseInnerText(true));
    open(office, plan, "/walk");
    WalkTest.walkedOn(office, on);
    assertThat(office.locator("header p").first()).containsText(", 7 read this day.");
    assertThat(office.getByTestId("feed-ahead"))
        .hasText(there, new LocatorAssertions.HasTextOptions().setUseInnerText(true));
    office.context().close();
    device.close();
  }

  /** Rye in spring: stems are split and cows brought in, far from any signal. */
  @Test
  void stemsAndMovesAreReckonedWithoutSignal() {
    Page office = product.visitorPage(1280, 800);
    open(office, "quillback", "/walk");
    office.getByTestId("feed-ahead").waitFor();
    Product.edit(
        office,
        "quillback",
        """
        [{putSowing: {id: 's1', fieldId: 'saddle', forageId: 'cereal_rye', sowOn: '2027-09-05',
          preparation: 'FULL_SEEDBED', yieldKgPerHa: null, seedShare: 1, endsOn: null}}]""");
    WalkTest.walkedOn(office, "2028-03-20");
    Page phone = phone("quillback", 390, 844);
    BrowserContext device = phone.context();
    device.setOffline(true);
    assertThat(phone.getByTestId("away")).isVisible();
    WalkTest.walkedOn(phone, "2028-03-20");
    row(phone, "Saddle").click();
    press(phone, "Stems");
    Locator said = phone.getByTestId("stem-answer");
    Locator boot = stage(phone, "Boot");
    for (int i = 0; i < 9; i++) {
      boot.click();
    }
    assertThat(said).containsText("9 stems: too small a sample, take 1 more at least");
    stage(phone, "Jointed").click();
    stage(phone, "Jointed").click();
    stage(phone, "Jointed").click();
    assertThat(said).containsText("12 stems. Half of them are boot or further.");
    assertThat(said).containsText("Cut it for wilted silage.");
    Hand.input(phone, "Growing point or foot of the head at, in").fill("2");
    Hand.input(phone, "Growing point or foot of the head at, in").blur();
    phone.getByRole(AriaRole.SLIDER).fill("6");
    // of twelve: the measured one at 2 in goes on, two jointed ones by the table, boot is gone
    assertThat(said).containsText("Left at 2 in, 14% of the stems grow again.");
    Assertions.assertThat(AccessTest.violations(phone)).isEmpty();
    Assertions.assertThat(AccessTest.offTheSide(phone)).isEmpty();
    press(phone, "Keep the stems");
    assertThat(phone.getByTestId("away")).containsText("1 record waits");
    press(phone, "To the round");
    Locator herds = phone.getByTestId("herds");
    herds.getByText("Where everybody is").click();
    phone.getByLabel("Cows: moved, counted or scored").click();
    phone.getByLabel("Brought to").selectOption("saddle");
    press(phone, "Keep");
    assertThat(herds).containsText("Saddle since 20 Mar, as written down");
    assertThat(phone.getByTestId("away")).containsText("2 records wait");
    Assertions.assertThat(AccessTest.violations(phone)).isEmpty();
    device.setOffline(false);
    assertThat(phone.getByTestId("away")).hasCount(0);
    Locator besides = office.getByTestId("seen-so-far");
    assertThat(besides).containsText("20 Mar: Cows to Saddle");
    assertThat(besides).containsText("20 Mar: Saddle: 12 stems, mostly boot");
    assertThat(office.getByTestId("herds")).containsText("Saddle since 20 Mar, as written down");
    office.context().close();
    device.close();
  }

  /** A picture is made small on the phone, waits there, and is seen at the office. */
  @Test
  void aPhotoWaitsOnTheDevice() throws IOException {
    Page office = product.visitorPage(1280, 800);
    open(office, "quillback", "/walk");
    WalkTest.walkedOn(office, "2028-04-20");
    Page phone = phone("quillback", 390, 844);
    BrowserContext device = phone.context();
    device.setOffline(true);
    WalkTest.walkedOn(phone, "2028-04-20");
    row(phone, "Saddle").click();
    press(phone, "Besides");
    FilePayload text = new FilePayload("note.jpg", "image/jpeg", "no picture".getBytes(UTF_8));
    phone.locator("input[type=file]").setInputFiles(text);
    assertThat(phone.getByTestId("field-reading"))
        .containsText("note.jpg is no picture that this browser can read.");
    phone.locator("input[type=file]").setInputFiles(picture(2000, 1500));
    assertThat(phone.getByText("Leave out")).isVisible();
    phone.getByLabel("Note").fill("The gate hangs");
    Assertions.assertThat(AccessTest.violations(phone)).isEmpty();
    press(phone, "Keep");
    assertThat(phone.getByTestId("away")).containsText("1 record waits");
    phone.close();
    phone = again(device, "quillback", "/walk");
    assertThat(phone.getByTestId("photos").locator("img")).hasCount(1);
    assertThat(office.getByTestId("photos")).hasCount(0);
    device.setOffline(false);
    Locator seen = office.getByTestId("photos").locator("img");
    assertThat(seen).hasAttribute("alt", "Saddle, 20 Apr: The gate hangs");
    seen.scrollIntoViewIfNeeded();
    office.waitForCondition(() -> (int) seen.evaluate("i => i.naturalWidth") == 1280);
    Assertions.assertThat(AccessTest.violations(office)).isEmpty();
    assertThat(phone.getByTestId("away")).hasCount(0);
    office.context().close();
    device.close();
  }

  private static FilePayload picture(int width, int height) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        image.setRGB(x, y, (x * y) & 0xffffff);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return new FilePayload("gate.png", "image/png", out.toByteArray());
  }

  private static Locator stage(Page page, String name) {
    return page.locator("button.stage").filter(new Locator.FilterOptions().setHasText(name));
  }

  /** The lot's count falls at the office; the phone shows what waits until then. */
  @Test
  void balesAreFedWithoutSignal() {
    Page phone = phone("quillback", 390, 844);
    BrowserContext device = phone.context();
    device.setOffline(true);
    assertThat(phone.getByTestId("away")).isVisible();
    open(phone, "quillback", "/store");
    Hand.MOUSE.side(phone, "Fed and counted");
    Locator records = phone.getByTestId("store-records");
    records.getByLabel("On").first().fill("2027-12-01");
    Hand.MOUSE.type(records.getByLabel("How many"), "9");
    records.getByText("Write down").click();
    assertThat(records).containsText("1 Dec: fed 9 round bales");
    assertThat(records).containsText("waits on this device");
    phone.close();
    Page office = product.visitorPage(1280, 800);
    open(office, "quillback", "/store");
    Hand.MOUSE.side(office, "Fed and counted");
    assertThat(office.getByTestId("store-records")).not().containsText("fed 9");
    device.setOffline(false);
    Page back = again(device, "quillback", "/store");
    assertThat(office.getByTestId("store-records")).containsText("1 Dec: fed 9 round bales");
    assertThat(office.getByTestId("store-records").locator("li")).hasCount(1);
    assertThat(back.getByTestId("waiting")).hasCount(0);
    office.context().close();
    device.close();
  }

  /** What the server refuses is shown with its reason, and is read again or thrown away. */
  @Test
  void whatIsRefusedStaysUntilSomebodyDecides() {
    Page phone = phone("quillback", 390, 844);
    BrowserContext device = phone.context();
    device.setOffline(true);
    WalkTest.walkedOn(phone, "2028-04-20");
    row(phone, "Saddle").click();
    Hand.input(phone, "Height, in").fill("4");
    assertThat(phone.getByTestId("walk-answer")).isVisible();
    press(phone, "Keep, next field");
    assertThat(phone.getByTestId("away")).containsText("1 record waits");
    // meanwhile the field is taken out of the plan
    Page office = product.visitorPage(1280, 800);
    open(office, "quillback", "/walk");
    Product.edit(office, "quillback", "[{removeField: 'saddle'}]");
    office.context().close();
    device.setOffline(false);
    Locator refused = phone.getByTestId("refused");
    assertThat(refused).containsText("20 Apr: reading of");
    assertThat(refused).containsText("saddle");
    refused.getByText("Throw away").click();
    assertThat(refused).hasCount(0);
    device.close();
  }

  /**
   * The signal comes and goes and the page is killed at random: whatever was shown as written
   * arrives, each once. The numbers are drawn from one seed, so that a failure comes again.
   */
  @Test
  void nothingIsLostAndNothingComesTwice() {
    Page phone = phone("quillback", 390, 844);
    BrowserContext device = phone.context();
    Random random = new Random(18);
    Set<Integer> shown = new TreeSet<>();
    int rounds = Integer.getInteger("larder.rounds", 12);
    for (int i = 1; i <= rounds; i++) {
      device.setOffline(random.nextInt(3) > 0);
      open(phone, "quillback", "/store");
      Hand.MOUSE.side(phone, "Fed and counted");
      Locator records = phone.getByTestId("store-records");
      records.getByLabel("On").first().fill("2027-12-01");
      Hand.MOUSE.type(records.getByLabel("How many"), String.valueOf(i));
      records.getByText("Write down").click();
      if (random.nextInt(3) > 0) {
        assertThat(records.getByText(Pattern.compile("fed " + i + " round"))).isVisible();
        shown.add(i);
      }
      if (random.nextInt(3) == 0) {
        phone.close();
        phone = device.newPage();
      }
    }
    device.setOffline(false);
    open(phone, "quillback", "/store");
    phone.reload();
    Hand.MOUSE.side(phone, "Fed and counted");
    Locator records = phone.getByTestId("store-records");
    for (int units : shown) {
      assertThat(records.getByText(Pattern.compile("fed " + units + " round"))).isVisible();
    }
    assertThat(records).not().containsText("waits on this device");
    List<Integer> arrived = product.unitsFed();
    Assertions.assertThat(arrived).doesNotHaveDuplicates().containsAll(shown);
    Assertions.assertThat(shown).hasSizeGreaterThanOrEqualTo(rounds / 3);
    device.close();
  }
}
