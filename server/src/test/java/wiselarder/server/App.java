package wiselarder.server;

import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The real application on a free port, against the test database, started once for all tests. */
public final class App {
  private static ConfigurableApplicationContext context;

  private App() {}

  /** Address of the running application. */
  public static synchronized String url() {
    if (context == null) {
      String db = System.getenv("LARDER_TEST_DB");
      if (db == null) {
        throw new IllegalStateException(
            "run the tests through ./larder test: it starts a database");
      }
      context =
          new SpringApplication(WiseLarder.class)
              .run(
                  "--server.port=0",
                  "--spring.datasource.url=" + db + "?currentSchema=server_test",
                  "--spring.flyway.schemas=server_test",
                  "--spring.datasource.username=larder",
                  "--spring.datasource.password=larder");
      Runtime.getRuntime().addShutdownHook(new Thread(context::close));
    }
    return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
  }

  /** Puts the demo farm back to how it ships. */
  public static void resetDemo() {
    jdbc().sql("delete from plan").update();
    context
        .getBean(wiselarder.server.plan.DemoFarm.class)
        .run(new org.springframework.boot.DefaultApplicationArguments());
  }

  /** The database behind it. */
  public static JdbcClient jdbc() {
    url();
    return context.getBean(JdbcClient.class);
  }
}
