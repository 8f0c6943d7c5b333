package wiselarder.server;

import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import wiselarder.server.farm.DemoFarms;
import wiselarder.server.people.Attempts;

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
                  "--logging.level.wiselarder.server.watch=warn",
                  "--larder.warm-up=false",
                  "--larder.role=web", // tests say when farms are reckoned
                  "--larder.longest-request=180s", // nothing goes by how busy the machine is
                  "--larder.slow-body-grace=1s",
                  "--server.tomcat.connection-timeout=3s",
                  "--larder.laboratory.turnaround=0s",
                  "--spring.datasource.url=" + db + "?currentSchema=server_test",
                  "--spring.flyway.schemas=server_test",
                  "--spring.datasource.username=larder",
                  "--spring.datasource.password=larder");
      Runtime.getRuntime().addShutdownHook(new Thread(context::close));
    }
    return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
  }

  /** Empties the database and loads the demo farms as they ship. */
  public static void resetDemo() {
    jdbc().sql("truncate person, farm, spring_session cascade").update();
    bean(Attempts.class).forgetAll();
    bean(DemoFarms.class).run(new DefaultApplicationArguments());
  }

  /** The database behind it. */
  public static JdbcClient jdbc() {
    return bean(JdbcClient.class);
  }

  /** A part of the running application. */
  public static <T> T bean(Class<T> type) {
    url();
    return context.getBean(type);
  }
}
