package wiselarder.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import wiselarder.server.WiseLarder;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.people.Attempts;

/** The running product on a free port with a schema of its own, and a browser to use it with. */
final class Product implements AutoCloseable {
  private final String schema;
  private final String role;
  private final Playwright playwright;
  private final Browser browser;
  private ConfigurableApplicationContext context;
  private String visitorState;
  private final Set<String> complaints = new LinkedHashSet<>();

  private Product(String schema, String role) {
    this.schema = schema;
    this.role = role;
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(
                        Path.of(
                            Optional.ofNullable(System.getenv("LARDER_CHROMIUM"))
                                .orElse("/usr/bin/chromium")))
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));
    start();
  }

  /** Starts the product on an empty database, so that it loads the demo farm. */
  static Product fresh(String schema) {
    return new Product(schema, "web");
  }

  /** As {@link #fresh}, and it reckons aside how farms stand. */
  static Product working(String schema) {
    return new Product(schema, "both");
  }

  private void start() {
    String db = System.getenv("LARDER_TEST_DB");
    if (db == null) {
      throw new IllegalStateException("run the tests through ./larder test: it starts a database");
    }
    String port = context == null ? "0" : context.getEnvironment().getProperty("local.server.port");
    context =
        new SpringApplication(WiseLarder.class)
            .run(
                "--server.port=" + port,
                "--logging.level.wiselarder.server.watch=warn",
                "--larder.warm-up=false",
                "--larder.role=" + role,
                "--larder.longest-request=180s", // nothing goes by how busy the machine is
                "--larder.laboratory.turnaround=1s",
                "--spring.datasource.url=" + db + "?currentSchema=" + schema,
                "--spring.flyway.schemas=" + schema,
                "--spring.datasource.username=larder",
                "--spring.datasource.password=larder");
  }

  /** Stops the product and starts it again on the same database. */
  void restart() {
    context.close();
    start();
  }

  /** Puts the demo farms back to how they ship; other farms go. */
  void resetDemo() {
    sql("delete from farm");
    context.getBean(DemoFarms.class).run(new DefaultApplicationArguments());
  }

  /** Empties the database but for the demo farms: a first start. */
  void resetAll() {
    sql("truncate person, farm, spring_session cascade");
    visitorState = null;
    context.getBean(Attempts.class).forgetAll();
    context.getBean(DemoFarms.class).run(new DefaultApplicationArguments());
  }

  private void sql(String statement) {
    context.getBean(JdbcClient.class).sql(statement).update();
  }

  /** An empty page of a browser of its own. */
  Page page(int width, int height) {
    return patient(browser.newContext(options(width, height)));
  }

  /** A page of the visitor, who has signed in to the demo. */
  Page visitorPage(int width, int height) {
    if (visitorState == null) {
      Page page = page(1280, 800);
      page.navigate(url());
      page.getByText("Look at the demo farms").click();
      page.getByTestId("who").waitFor();
      visitorState = page.context().storageState();
      page.context().close();
    }
    return patient(browser.newContext(options(width, height).setStorageState(visitorState)));
  }

  /** As {@link #visitorPage}, on a screen that is touched. */
  Page touchedPage(int width, int height) {
    visitorPage(width, height).context().close();
    return patient(
        browser.newContext(options(width, height).setStorageState(visitorState).setHasTouch(true)));
  }

  /** As {@link #touchedPage}, where the product is installed as it is on a phone. */
  Page installedPage(int width, int height) {
    visitorPage(width, height).context().close();
    Page page =
        patient(
            browser.newContext(
                options(width, height).setStorageState(visitorState).setHasTouch(true)),
            true);
    page.navigate(url());
    page.evaluate(
        """
        () => new Promise(done => {
          const worker = navigator.serviceWorker;
          if (worker.controller) done();
          else worker.addEventListener('controllerchange', () => done(), {once: true});
        })""");
    return page;
  }

  /** Somebody else edits a plan, from a page of theirs; edits as JavaScript. */
  static void edit(Page page, String plan, String edits) {
    page.evaluate(
        """
        async () => {
          const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
          const plan = await (await fetch('/api/plans/%1$s')).json();
          const answer = await fetch('/api/plans/%1$s/edits', {method: 'POST',
            headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},
            body: JSON.stringify({revision: plan.revision, onTopOf: null, alsoIn: [],
              edits: %2$s})});
          if (!answer.ok) throw new Error(await answer.text());
        }"""
            .formatted(plan, edits));
  }

  /** How many units were written down as fed, in the order in which that arrived. */
  List<Integer> unitsFed() {
    return context
        .getBean(JdbcClient.class)
        .sql("select (fact->>'units')::int from farm_record where kind = 'LOT_FED' order by number")
        .query(Integer.class)
        .list();
  }

  /** Has each plan's first revision be older by some days. */
  void age(int days) {
    sql(
        "update plan_revision set made_at = made_at - interval '%d days' where number = 1"
            .formatted(days));
  }

  /** A busy machine may be slow; what never comes is still told. */
  private Page patient(BrowserContext context) {
    return patient(context, false);
  }

  private Page patient(BrowserContext context, boolean installed) {
    if (!installed) {
      // what a device keeps for itself is tried where that is what is tried
      context.addInitScript(
          "Object.defineProperty(navigator, 'serviceWorker', {value: undefined})");
    }
    PlaywrightAssertions.setDefaultAssertionTimeout(LONGEST_WAIT_MS);
    context.setDefaultTimeout(LONGEST_WAIT_MS);
    context.onConsoleMessage(this::listen);
    context.onWebError(error -> complaints.add(error.error()));
    return context.newPage();
  }

  /**
   * What the browser complains of; a refusal is an answer, and a server that is away comes back:
   * neither is a complaint.
   */
  private void listen(ConsoleMessage message) {
    boolean loud = message.type().equals("error") || message.type().equals("warning");
    if (loud && !REFUSED.matcher(message.text()).find()) {
      complaints.add(message.page().url() + ": " + message.text());
    }
  }

  private static final Pattern REFUSED =
      Pattern.compile(
          "^Failed to load resource: (the server responded with a status of 4\\d\\d|net::ERR_)");

  private static final int LONGEST_WAIT_MS = Integer.getInteger("larder.patience", 90_000);

  private static Browser.NewContextOptions options(int width, int height) {
    return new Browser.NewContextOptions()
        .setViewportSize(width, height)
        .setReducedMotion(ReducedMotion.REDUCE);
  }

  /** The demo plan's address. */
  String demo() {
    return url() + "/#/plan/quillback";
  }

  String url() {
    return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
  }

  Browser browser() {
    return browser;
  }

  @Override
  public void close() {
    playwright.close();
    context.close();
    if (!complaints.isEmpty()) {
      throw new AssertionError(
          "the browser's console is to be silent, and said\n" + String.join("\n", complaints));
    }
  }
}
