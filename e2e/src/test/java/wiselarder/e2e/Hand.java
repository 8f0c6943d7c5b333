package wiselarder.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.regex.Pattern;

/** Uses a page the way a person does: with the mouse, or with nothing but the keyboard. */
enum Hand {
  MOUSE {
    @Override
    void press(Locator target) {
      target.click();
    }

    @Override
    void type(Locator input, String text) {
      input.click();
      input.press("ControlOrMeta+a");
      input.pressSequentially(text);
    }

    @Override
    void choose(Locator select, String option) {
      select.selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(option));
    }
  },

  KEYBOARD {
    @Override
    void press(Locator target) {
      reach(target);
      String role = (String) target.evaluate("e => e.tagName");
      target.page().keyboard().press(role.equals("INPUT") ? "Space" : "Enter");
    }

    @Override
    void type(Locator input, String text) {
      reach(input);
      input.page().keyboard().press("ControlOrMeta+a");
      input.page().keyboard().type(text);
    }

    @Override
    void choose(Locator select, String option) {
      reach(select);
      select.page().keyboard().type(option);
    }
  },

  /** A finger on a screen that knows touch. */
  TOUCH {
    @Override
    void press(Locator target) {
      target.tap();
    }

    @Override
    void type(Locator input, String text) {
      input.tap();
      input.fill(text);
    }

    @Override
    void choose(Locator select, String option) {
      MOUSE.choose(select, option);
    }
  };

  /** More stops than any screen has. */
  private static final int MOST_STOPS = 500;

  abstract void press(Locator target);

  abstract void type(Locator input, String text);

  abstract void choose(Locator select, String option);

  void button(Page page, String name) {
    press(
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(exact(name))).first());
  }

  void link(Page page, String name) {
    if (ASIDE.contains(name)) {
      farmsMenu(page, name);
      return;
    }
    press(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(exact(name))).first());
  }

  /** What stands in the farm's menu and not among the tabs. */
  private static final List<String> ASIDE =
      List.of("Farm", "Forages", "Changes", "People", "All farms", "This morning, all farms");

  private void farmsMenu(Page page, String name) {
    press(
        page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("the farm and its plans$"))));
    item(page, name);
  }

  /** Chooses from the menu that is open. */
  void item(Page page, String name) {
    Locator item =
        page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(exact(name))).first();
    item.waitFor();
    if (this != KEYBOARD) {
      press(item);
      return;
    }
    for (int i = 0; i < MOST_STOPS; i++) {
      if (item.getAttribute("data-highlighted") != null) {
        enter(item);
        return;
      }
      page.keyboard().press("ArrowDown");
    }
    throw new AssertionError("cannot be reached by arrows: " + name);
  }

  /** Saves what a form holds, so that its button goes; says what the page says where it stays. */
  void saves(Page page, String name) {
    Locator save = page.getByText(name);
    var gone =
        new Locator.WaitForOptions()
            .setState(WaitForSelectorState.HIDDEN)
            .setTimeout(PATIENCE_WITH_A_KEY_MS);
    for (int i = 1; i <= MOST_PRESSES; i++) {
      button(page, name);
      try {
        save.waitFor(gone);
        return;
      } catch (TimeoutError e) {
        if (i == MOST_PRESSES) {
          throw new AssertionError(page.locator("main").innerText(), e);
        }
      }
    }
  }

  /** Pressed again, as a person would, where a page that is drawing itself anew let it pass. */
  private static void enter(Locator item) {
    var gone =
        new Locator.WaitForOptions()
            .setState(WaitForSelectorState.HIDDEN)
            .setTimeout(PATIENCE_WITH_A_KEY_MS);
    for (int i = 1; i <= MOST_PRESSES; i++) {
      item.page().keyboard().press("Enter");
      try {
        item.waitFor(gone);
        return;
      } catch (TimeoutError e) {
        if (i == MOST_PRESSES) {
          throw e;
        }
      }
    }
  }

  private static final int MOST_PRESSES = 3;
  private static final int PATIENCE_WITH_A_KEY_MS = 10_000;

  /** Turns to a side of what is chosen: what is set there shows only then. */
  void side(Page page, String name) {
    Locator tab =
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name).setExact(true));
    if (this != KEYBOARD) {
      press(tab);
      return;
    }
    Locator open = page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setSelected(true));
    reach(open);
    for (int i = 0; i < MOST_STOPS && !"true".equals(tab.getAttribute("aria-selected")); i++) {
      String before = open.innerText();
      page.keyboard().press("ArrowRight");
      // a slow machine shows the next side a moment later
      com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat(open)
          .not()
          .hasText(before);
    }
  }

  /** Writes a date as the browser asks for it: month, day, year. */
  void date(Locator input, LocalDate day) {
    if (this != KEYBOARD) {
      input.fill(day.toString());
      return;
    }
    reach(input);
    input.page().keyboard().type(day.format(DateTimeFormatter.ofPattern("MMddyyyy")));
    input.page().keyboard().press("Tab");
  }

  /**
   * Moves a mark of a lane by some weeks: by its keys, or along the lane, of which the days of a
   * year take what the names leave.
   */
  void move(Locator mark, int weeks) {
    if (this == KEYBOARD) {
      reach(mark);
      for (int i = 0; i < Math.abs(weeks); i++) {
        mark.page().keyboard().press(weeks < 0 ? "PageDown" : "PageUp");
      }
      return;
    }
    mark.scrollIntoViewIfNeeded();
    double lane = mark.locator("xpath=ancestor::*[local-name()='svg']").boundingBox().width - 194;
    BoundingBox box = mark.boundingBox();
    double x = box.x + box.width / 2;
    double y = box.y + box.height / 2;
    double by = weeks * 7 * lane / 366;
    if (this == MOUSE) {
      mark.page().mouse().move(x, y);
      mark.page().mouse().down();
      mark.page().mouse().move(x + by / 2, y);
      mark.page().mouse().move(x + by, y);
      mark.page().mouse().up();
      return;
    }
    CDPSession session = mark.page().context().newCDPSession(mark.page());
    touch(session, "touchStart", x, y);
    touch(session, "touchMove", x + by / 2, y);
    touch(session, "touchMove", x + by, y);
    touch(session, "touchEnd", 0, 0);
    session.detach();
  }

  private static void touch(CDPSession session, String type, double x, double y) {
    JsonArray points = new JsonArray();
    if (!type.equals("touchEnd")) {
      JsonObject point = new JsonObject();
      point.addProperty("x", x);
      point.addProperty("y", y);
      points.add(point);
    }
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    event.add("touchPoints", points);
    session.send("Input.dispatchTouchEvent", event);
  }

  /** Begins something on the field that is chosen on Land. */
  void act(Page page, String what) {
    button(page, "Do something here");
    item(page, what);
  }

  /** An input by the beginning of its label. */
  static Locator input(Page page, String label) {
    return page.getByLabel(Pattern.compile("^" + escaped(label) + "(,.*)?($|\\s)"))
        .and(page.locator("input, select, textarea"))
        .first();
  }

  /** Finds by typing in a choice among many, and takes the first that is found. */
  static void find(Locator combobox, String name) {
    Locator found =
        combobox
            .page()
            .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(name))
            .and(combobox.page().locator("[data-highlighted]"));
    typed(combobox, name);
    // a list that was closed by an answer that came is opened by typing again
    for (int i = 1; i < MOST_PRESSES && !shows(found); i++) {
      typed(combobox, name);
    }
    found.waitFor();
    combobox.press("Enter");
    assertThat(combobox).hasValue(Pattern.compile(escaped(name)));
  }

  private static void typed(Locator combobox, String name) {
    combobox.fill("");
    combobox.fill(name);
  }

  private static boolean shows(Locator option) {
    try {
      option.waitFor(new Locator.WaitForOptions().setTimeout(PATIENCE_WITH_A_KEY_MS));
      return true;
    } catch (TimeoutError e) {
      return false;
    }
  }

  private static Pattern exact(String name) {
    return Pattern.compile("^\\s*" + escaped(name) + "\\b");
  }

  /** The browser reads these patterns, and knows no quoting of Java's. */
  private static String escaped(String text) {
    return text.replaceAll("([.*+?()\\[\\]{}|^$/\\\\])", "\\\\$1");
  }

  /** Tabs until the element has the focus, as somebody without a mouse must. */
  static void reach(Locator target) {
    target.waitFor();
    Page page = target.page();
    for (int i = 0; i < MOST_STOPS; i++) {
      if ((boolean) target.evaluate("e => document.activeElement === e")) {
        return;
      }
      page.keyboard().press("Tab");
    }
    throw new AssertionError("cannot be reached by Tab: " + target);
  }
}
