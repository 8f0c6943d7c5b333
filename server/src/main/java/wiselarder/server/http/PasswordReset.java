package wiselarder.server.http;

import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.stereotype.Component;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.server.people.People;
import wiselarder.server.problem.ServerReason;

/**
 * Sets a new password and ends: for whoever runs the product, when somebody lost theirs. The
 * password comes in the environment, so that no list of processes shows it.
 */
@Component
@ConditionalOnProperty("larder.reset-password")
class PasswordReset implements ApplicationRunner {
  private final People people;
  private final Sessions sessions;
  private final ApplicationContext context;
  private final String email;

  PasswordReset(
      People people,
      Sessions sessions,
      ApplicationContext context,
      @Value("${larder.reset-password}") String email) {
    this.people = people;
    this.sessions = sessions;
    this.context = context;
    this.email = email;
  }

  @Override
  public void run(ApplicationArguments args) {
    int status = 0;
    try {
      sessions.endAllOf(people.resetPassword(email, System.getenv("LARDER_NEW_PASSWORD")));
    } catch (Refused e) {
      System.err.println("larder: " + said(e));
      status = 1;
    }
    int exit = status;
    new Thread(() -> System.exit(SpringApplication.exit(context, () -> exit))).start();
  }

  /** The words of the command line, which no web client says. */
  private String said(Refused e) {
    Map<String, Object> values = e.refusal().values();
    if (e.reason() == ServerReason.PASSWORD_LENGTH) {
      return "a password of %s to %s characters is accepted"
          .formatted(values.get("least"), values.get("most"));
    }
    if (e.reason() == ServerReason.PASSWORD_WEAK) {
      return "this password is guessed at once: a few plain words in a row are accepted";
    }
    return e.reason() == CoreReason.UNKNOWN_ID ? "nobody signs in with " + email : e.getMessage();
  }
}
