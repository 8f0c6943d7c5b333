package wiselarder.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ScreenshotAnimations;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Takes docs/screenshots from the demo farm; run by {@code ./larder shots}, not by the tests. */
class ScreenshotsIT {
  private final Path folder = Path.of(System.getProperty("larder.shots", "target/shots"));

  @Test
  void takesOnePictureOfEachView() {
    try (Product product = Product.fresh("shots")) {
      product.resetDemo();
      Page page = product.visitorPage(1280, 800);
      page.navigate(product.demo());
      page.getByTestId("shelves").waitFor();
      shoot(page, "year", false);
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Ledger")).click();
      shoot(page, "year-ledger", false);
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Picture")).click();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Close this gap"))
          .click();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Shut Mill Bottom"))
          .click();
      page.getByTestId("compare").waitFor();
      shoot(page, "close-gap", false);
      for (String field : new String[] {"Mill Bottom", "Home Bottom", "Church Field"}) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Shut " + field))
            .click();
        page.getByTestId("compare").waitFor();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Put it in the plan"))
            .click();
        page.getByTestId("planned").getByText("Shut " + field + " from").waitFor();
      }
      shoot(page, "year-stockpiled", false);
      product.resetDemo();
      page.reload();
      for (String screen : new String[] {"Land", "Herd", "Store", "Farm"}) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(screen).setExact(true))
            .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(screen))
            .first()
            .waitFor();
        shoot(page, screen.toLowerCase(java.util.Locale.ROOT), true);
      }
      page.navigate(product.demo() + "/start");
      page.getByText("First answer").waitFor();
      shoot(page, "start", false);
      page.navigate(product.demo() + "/changes");
      page.getByTestId("changes").waitFor();
      shoot(page, "changes", false);
      page.navigate(product.demo() + "/papers");
      page.getByText("Papers out").waitFor();
      shoot(page, "papers", false);
      page.navigate(product.demo() + "/people");
      page.getByTestId("people").waitFor();
      shoot(page, "people", false);
      page.navigate(product.url() + "/#/");
      page.getByText("Demo farms").waitFor();
      shoot(page, "farms", false);
      Page stranger = product.page(1280, 800);
      stranger.navigate(product.url());
      stranger.getByText("Make the first owner").waitFor();
      shoot(stranger, "sign-in", false);
      Page phone = product.visitorPage(390, 844);
      phone.navigate(product.demo());
      phone.getByTestId("shelves").waitFor();
      shoot(phone, "year-phone", false);
    }
  }

  private void shoot(Page page, String name, boolean whole) {
    page.evaluate("document.fonts.ready");
    page.screenshot(
        new Page.ScreenshotOptions()
            .setPath(folder.resolve(name + ".png"))
            .setFullPage(whole)
            .setAnimations(ScreenshotAnimations.DISABLED));
  }
}
