package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.UTF_8;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.Geolocation;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A round over the fields: on a phone in the field, and what the office sees of it. */
class WalkTest {
  private static Product product;

  @BeforeAll
  static void start() {
    product = Product.fresh("walk");
  }

  @AfterAll
  static void stop() {
    product.close();
  }

  @BeforeEach
  void reset() {
    product.resetDemo();
  }

  private static Page at(String plan, int width, int height, String on) {
    Page page = product.visitorPage(width, height);
    page.navigate(product.url() + "/#/plan/" + plan + "/walk");
    walkedOn(page, on);
    return page;
  }

  /** What stands on that day is there once the heading says so. */
  static void walkedOn(Page page, String on) {
    Hand.input(page, "Walked on").fill(on);
    assertThat(page.getByRole(AriaRole.HEADING).first()).hasText(DAY.format(LocalDate.parse(on)));
  }

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);

  private static Locator row(Page page, String field) {
    return page.locator(".field-row").filter(new Locator.FilterOptions().setHasText(field));
  }

  private static Locator answer(Page page) {
    return page.getByTestId("walk-answer");
  }

  private static void press(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  @Test
  void twoFieldsAreReadOnThePhoneAndTheOfficeSeesThem() {
    Page office = at("quillback", 1280, 800, "2028-04-20");
    assertThat(office.getByText("14 fields, 0 read this day.")).isVisible();
    String before = office.getByTestId("feed-ahead").locator("dd").first().innerText();

    Page phone = product.visitorPage(390, 844);
    phone.navigate(product.demo());
    Hand.MOUSE.link(phone, "Walk");
    walkedOn(phone, "2028-04-20");
    press(phone, "What moves most");
    Locator first = phone.locator(".field-row").first();
    assertThat(first).containsText("first");
    first.click();
    // nothing is kept that nobody has read
    assertThat(answer(phone)).hasCount(0);
    assertThat(phone.getByText("Keep, next field")).isDisabled();
    press(phone, "By eye");
    press(phone, "as expected");
    assertThat(answer(phone)).containsText("Hardly a day’s feed more or less");
    press(phone, "Stick");
    Hand.input(phone, "Height, in").fill("4");
    assertThat(answer(phone)).containsText(Pattern.compile("About \\d+ days’ less feed"));
    assertThat(answer(phone)).containsText("Not ready");
    Hand.input(phone, "Height, in").fill("30");
    assertThat(answer(phone)).containsText(Pattern.compile("About \\d+ days?’s? more feed"));
    Locator tips = phone.getByRole(AriaRole.GROUP, group("Tips, as by biting"));
    tips.getByText("mostly blunt").click();
    assertThat(answer(phone)).containsText("Not ready: grazed lately.");
    tips.getByText("mostly blunt").click();
    press(phone, "Lower");
    assertThat(Hand.input(phone, "Height, in")).hasValue("29.5");
    Hand.input(phone, "Height, in").fill("5 6 4");
    assertThat(phone.getByText("in, 3 readings")).isVisible();
    assertThat(answer(phone)).containsText("less feed");
    Assertions.assertThat(AccessTest.violations(phone)).isEmpty();
    Assertions.assertThat(AccessTest.offTheSide(phone)).isEmpty();
    press(phone, "Keep, next field");
    assertThat(phone.getByTestId("field-reading")).containsText("2 of 14");
    Hand.input(phone, "Height, in").fill("4");
    assertThat(answer(phone)).containsText("was expected");
    press(phone, "Keep, next field");
    assertThat(phone.getByTestId("field-reading")).containsText("3 of 14");
    press(phone, "To the round");
    assertThat(phone.getByText("14 fields, 2 read this day.")).isVisible();

    // the office hears of it, and its forecast is another
    assertThat(office.getByText("14 fields, 2 read this day.")).isVisible();
    assertThat(office.getByTestId("feed-ahead").locator("dd").first()).not().hasText(before);
    assertThat(office.getByTestId("readings").locator("tbody tr")).hasCount(2);
    office
        .getByTestId("readings")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Strike out"))
        .first()
        .click();
    assertThat(phone.getByText("14 fields, 1 read this day.")).isVisible();
    office.context().close();
    phone.context().close();
  }

  /** In kg and hectares, by a plate with a line of its own: 100 x 16 + 300 is 1,900. */
  @Test
  void aPlateIsReadByItsLineAndGrowthIsMeasured() {
    Page page = at("campo-garza-mora", 1280, 800, "2027-09-20");
    row(page, "Tambo Norte").click();
    press(page, "Plate");
    Hand.input(page, "Readings of the plate").fill("15 17 16");
    assertThat(answer(page)).containsText("2,470 kg/ha stands");
    Hand.MOUSE.type(Hand.input(page, "The plate's line: for each unit"), "100");
    Hand.MOUSE.type(Hand.input(page, "and on top"), "300");
    Hand.input(page, "Note").fill("after the rain");
    assertThat(answer(page)).containsText("1,900 kg/ha stands");
    press(page, "Keep, next field");
    assertThat(page.getByTestId("readings")).containsText("by plate; after the rain");
    walkedOn(page, "2027-10-01");
    assertThat(row(page, "Tambo Norte")).containsText("1,900 read 11 days ago");
    row(page, "Tambo Norte").click();
    press(page, "By eye");
    Hand.MOUSE.type(Hand.input(page, "Cover"), "2600");
    assertThat(answer(page)).containsText("2,600 kg/ha stands");
    press(page, "Keep, next field");
    Locator lines = page.getByTestId("readings").locator("tbody tr");
    assertThat(lines).hasCount(2);
    // grown between the two, and what was expected to
    assertThat(lines.first().locator("td").nth(3)).hasText(Pattern.compile("-?\\d+\\.\\d"));
    assertThat(lines.first().locator("td").nth(4)).hasText(Pattern.compile("\\d+\\.\\d"));
    // the plate's line is kept on this device
    row(page, "Tambo Sur").click();
    press(page, "Plate");
    assertThat(Hand.input(page, "The plate's line: for each unit")).hasValue("100");
    page.context().close();
  }

  /** Rye sown in the plan: tall is not enough, and once plants lift it stays shut. */
  @Test
  void aYoungStandIsPulledBeforeItIsOpened() {
    Page page = product.visitorPage(390, 844);
    page.navigate(product.url() + "/#/plan/quillback/walk");
    page.getByRole(AriaRole.HEADING).first().waitFor();
    Product.edit(
        page,
        "quillback",
        """
        [{putSowing: {id: 's1', fieldId: 'saddle', forageId: 'cereal_rye', sowOn: '2027-09-05',
          preparation: 'FULL_SEEDBED', yieldKgPerHa: null, seedShare: 1, endsOn: null}}]""");
    walkedOn(page, "2027-10-12");
    row(page, "Saddle").click();
    assertThat(page.getByTestId("young-rule")).containsText("open from 7 in where roots hold");
    Hand.input(page, "Height, in").fill("9");
    assertThat(answer(page)).containsText("Tall enough is not enough");
    Locator pull = page.getByRole(AriaRole.GROUP, group("Pulled, as a beast does"));
    pull.getByText("leaf tears").click();
    assertThat(answer(page)).containsText("Ready.");
    pull.getByText("most plants lift").click();
    assertThat(answer(page)).containsText("Nobody comes in until a pull says that roots hold");
    press(page, "Keep, next field");
    assertThat(page.getByTestId("field-reading")).containsText("8 of 14");
    press(page, "To the round");
    assertThat(row(page, "Saddle")).containsText("shut, as plants lift");
    page.context().close();
  }

  /**
   * Whatever else is seen: where the herd went, heads, rain, a stake, soil, a fence, a shut field.
   */
  @Test
  void whatElseIsSeenIsWrittenDownAndThePlanGoesByIt() {
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.url() + "/#/plan/quillback/walk");
    walkedOn(page, "2028-04-20");
    Locator herds = page.getByTestId("herds");
    assertThat(herds).containsText("52 head: Church Field since 17 Apr, as the plan has it");
    page.getByLabel("Cows: moved, counted or scored").click();
    page.getByLabel("Brought to").selectOption("home-bottom");
    Hand.input(page, "Height left on Church Field, in").fill("3");
    press(page, "Keep");
    assertThat(herds).containsText("52 head: Home Bottom since 20 Apr, as written down");
    assertThat(row(page, "Church Field")).containsText("read this day");
    page.getByLabel("Cows: moved, counted or scored").click();
    press(page, "Counted");
    Hand.MOUSE.type(Hand.input(page, "Head counted, grown ones"), "49");
    page.getByLabel("Because").selectOption("SOLD");
    press(page, "Keep");
    assertThat(herds).containsText("49 head: Home Bottom");
    page.getByLabel("Cows: moved, counted or scored").click();
    press(page, "Condition");
    press(page, "4");
    assertThat(herds).containsText("Seen: Front ribs not seen, last two or three seen");
    assertThat(herds).containsText("At 4 or below: separate, feed, and ask a veterinarian");
    press(page, "Keep");
    assertThat(page.getByTestId("seen-so-far")).containsText("20 Apr: Cows scored 4");
    press(page, "Rain");
    Hand.input(page, "Rain in the gauge since the last time, in").fill("0.6");
    press(page, "Keep");
    assertThat(page.getByTestId("rain"))
        .containsText("0.6 in in the gauge by 1 reading since 19 April");

    row(page, "Kiln Hill").click();
    press(page, "Stake");
    page.getByLabel("Place or stake").fill("by the gate");
    Hand.input(page, "Height there, in").fill("3");
    press(page, "Keep the stake");
    walkedOn(page, "2028-04-29");
    press(page, "Stake");
    Hand.input(page, "Height there, in").fill("4");
    press(page, "grown out, pointed");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    press(page, "Keep the stake");
    assertThat(page.getByTestId("stakes"))
        .containsText("by the gate: 4 in on 29 Apr, left at 3 in 9 days before, 0.8 in a week");
    press(page, "Besides");
    press(page, "Soil");
    press(page, "runs dry or crumbles");
    press(page, "Keep");
    assertThat(page.getByTestId("seen-so-far")).containsText("29 Apr: Kiln Hill: soil: runs dry");
    press(page, "Weeds");
    Locator key = page.getByTestId("weed-key");
    page.getByText("Is it the weedy sorghum?").click();
    Locator rhizomes =
        key.locator(".line").filter(new Locator.FilterOptions().setHasText("Dug up"));
    rhizomes.getByText("yes").click();
    assertThat(key).containsText("or another grass. Look at more.");
    key.locator(".line")
        .filter(new Locator.FilterOptions().setHasText("midrib"))
        .getByText("yes")
        .click();
    assertThat(key).containsText("By what was seen it is weedy perennial sorghum");
    assertThat(key).containsText("Ask an adviser before anything is sprayed");
    press(page, "Into the note");
    press(page, "Keep");
    page.getByText("Shut this field").click();
    page.getByLabel("Why it is shut or open").fill("fence down");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    press(page, "Shut it to everybody");
    assertThat(page.getByTestId("field-reading"))
        .containsText("Shut by hand since 29 April: fence down.");
    assertThat(row(page, "Kiln Hill")).containsText("; shut");
    press(page, "To the round");
    page.getByLabel("Cows: moved, counted or scored").click();
    page.getByLabel("Brought to").selectOption("kiln-hill");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Kiln Hill: shut by hand: fence down.");
    row(page, "Kiln Hill").click();
    press(page, "Besides");
    page.getByLabel("Why it is shut or open").fill("mended");
    press(page, "Open it again");
    assertThat(row(page, "Kiln Hill")).not().containsText("; shut");
    Locator besides = page.getByTestId("seen-so-far");
    assertThat(besides).containsText("29 Apr: Kiln Hill: soil: runs dry or crumbles");
    assertThat(besides).containsText("29 Apr: Kiln Hill open again: mended");
    assertThat(besides).containsText("20 Apr: Cows: 49 head, sold");
    page.context().close();
  }

  private static Page.GetByRoleOptions group(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  /** Births, rain, and bales of which a third was left: each says what becomes of it. */
  @Test
  void birthsAndRainAndWhatWasLeftAreWrittenDown() {
    Page page = at("quillback", 390, 844, "2028-04-20");
    Locator herds = page.getByTestId("herds");
    herds.getByText("Where everybody is").click();
    assertThat(herds.getByTestId("births").first())
        .containsText("No birth of 52 written down; 44 by the plan.");
    page.getByLabel("Cows: moved, counted or scored").click();
    press(page, "Born");
    page.getByLabel("Gave birth").fill("30");
    page.getByLabel("Young that live").fill("29");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    herds.getByText("Keep", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(herds.getByTestId("births").first())
        .containsText("30 of 52 gave birth, 44 by the plan; 29 young live. The last on 20 April.");
    Locator farm = page.getByTestId("seen-on-farm");
    farm.getByText("Rain", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(farm).containsText("0 for a dry gauge");
    Hand.input(page, "Rain in the gauge since the last time, in").fill("1.5");
    farm.getByText("Keep", new Locator.GetByTextOptions().setExact(true)).click();
    assertThat(page.getByTestId("rain"))
        .containsText("1.5 in in the gauge by 1 reading since 19 April, of 1 day");
    page.navigate(product.url() + "/#/plan/quillback/store?side=records");
    Locator records = page.getByTestId("store-records");
    records.getByLabel("On").first().fill("2027-12-01");
    Hand.MOUSE.type(records.getByLabel("How many"), "9");
    records.getByText("Write down").click();
    assertThat(records).containsText("1 Dec: fed 9 round bales");
    records.getByLabel("On").first().fill("2027-12-05");
    Hand.MOUSE.type(records.getByLabel("How many"), "8");
    records.getByLabel("Left of the last time").selectOption("a third");
    records.getByText("Write down").click();
    assertThat(page.getByTestId("leavings"))
        .hasText(
            "35% of 9 round bales lay there on 5 December: far too much or spoiled hay. 7 round bales next time for as many days, or as many and later.");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    page.context().close();
  }

  /** The stand-ins send as true instruments do, and all that they sent says that it was made up. */
  @Test
  void simulatedInstrumentsSendTheirReadings() {
    Page page = product.visitorPage(1280, 800);
    page.navigate(product.url() + "/#/plan/quillback/walk");
    page.getByText("Instruments", new Page.GetByTextOptions().setExact(true)).click();
    page.getByText("Simulated plate meter").click();
    Hand.input(page, "Walked on").fill("2028-04-20");
    page.getByLabel("Field").selectOption("Home Bottom");
    page.getByLabel("It stands").selectOption("20% less than expected");
    press(page, "Walk over it");
    assertThat(page.getByTestId("read")).containsText("on the mean of 30 spots");
    press(page, "Send it");
    // so tall that stems carry the plate
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("clip frames or use a stick");
    page.getByLabel("It stands").selectOption("40% less than expected");
    press(page, "Walk over it");
    press(page, "Send it");
    assertThat(page.getByText("1 record made of it.")).isVisible();
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    page.getByText("To the walk of this day").click();
    Locator readings = page.getByTestId("readings");
    assertThat(readings).containsText("Plate meter (simulated), of Visitor");
    Assertions.assertThat(
            Pattern.compile("(\\d),(\\d+) read this day")
                .matcher(row(page, "Home Bottom").innerText())
                .find())
        .isTrue();
    page.navigate(product.url() + "/#/plan/quillback/instruments/station");
    Hand.input(page, "The week before").fill("2028-04-20");
    page.getByLabel("Weather").selectOption("one storm");
    press(page, "Read the week");
    press(page, "Send it");
    assertThat(page.getByText("7 records made of it.")).isVisible();
    page.navigate(product.url() + "/#/plan/quillback/instruments");
    Locator there = page.getByTestId("instruments");
    assertThat(there).containsText("Weather station, simulated");
    there
        .getByLabel("Table of Plate meter, simulated")
        .setInputFiles(
            new FilePayload(
                "plate.csv",
                "text/csv",
                "field,time,clicks\nSaddle,2028-04-20,12\nNowhere,2028-04-20,12\n"
                    .getBytes(UTF_8)));
    assertThat(there.getByRole(AriaRole.ALERT)).containsText("Row 3, field");
    there
        .getByLabel("Table of Plate meter, simulated")
        .setInputFiles(
            new FilePayload(
                "plate.csv",
                "text/csv",
                "field,time,clicks\nSaddle,2028-04-20,12\n".getBytes(UTF_8)));
    assertThat(there.getByRole(AriaRole.STATUS)).containsText("1 record made of it.");
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    page.context().close();
  }

  /** A farm whose map has a place on the globe, walked by somebody who stands on Lucerne 1. */
  @Test
  void theNearestFieldsComeFirst() {
    Page page = product.visitorPage(390, 844);
    page.navigate(product.url() + "/#/plan/campo-garza-mora/walk");
    page.getByTestId("feed-ahead").waitFor();
    Locator nearest =
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Nearest"));
    assertThat(nearest).hasCount(0);
    Product.edit(
        page,
        "campo-garza-mora",
        """
        [{setFarm: {...Object.fromEntries(['name', 'note', 'climateId', 'units', 'currency',
            'audKg', 'machines'].map(k => [k, plan.farm[k]])),
          grid: {longitudeDeg: -40, latitudeDeg: -36.9}}}]""");
    page.reload();
    nearest.click();
    assertThat(page.getByText("This device does not know where it is")).isVisible();
    page.context().grantPermissions(List.of("geolocation"));
    // 200 m east and 970 m north of the grid's origin
    page.context().setGeolocation(new Geolocation(-36.89126, -39.99776));
    nearest.click();
    assertThat(page.locator(".field-row").first()).containsText("Lucerne 1");
    assertThat(nearest).hasAttribute("aria-pressed", "true");
    assertThat(page.getByText("This device does not know where it is")).hasCount(0);
    Assertions.assertThat(AccessTest.violations(page)).isEmpty();
    page.context().close();
  }
}
