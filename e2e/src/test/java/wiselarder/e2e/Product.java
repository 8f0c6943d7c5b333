package wiselarder.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import wiselarder.server.WiseLarder;

/** The running product on a free port with a schema of its own, and a browser to use it with. */
final class Product implements AutoCloseable {
  private final String schema;
  private final Playwright playwright;
  private final Browser browser;
  private ConfigurableApplicationContext context;

  private Product(String schema) {
    this.schema = schema;
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
    return new Product(schema);
  }

  private void start() {
    String db = System.getenv("LARDER_TEST_DB");
    if (db == null) {
      throw new IllegalStateException("run the tests through ./larder test: it starts a database");
    }
    context =
        new SpringApplication(WiseLarder.class)
            .run(
                "--server.port=0",
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

  /** Puts the demo farm back to how it ships. */
  void resetDemo() {
    context.getBean(JdbcClient.class).sql("delete from plan").update();
    context
        .getBean(wiselarder.server.plan.DemoFarm.class)
        .run(new org.springframework.boot.DefaultApplicationArguments());
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
  }
}
