package wiselarder.server.people;

import java.security.Principal;

/**
 * Somebody signed in.
 *
 * @param email empty for the visitor, who sees the demo farms only
 * @param runsProduct made at first start: may read the product's metrics
 */
public record Person(long id, String email, String name, boolean runsProduct) implements Principal {
  public boolean visitor() {
    return email.isEmpty();
  }

  @Override
  public String getName() {
    return Long.toString(id);
  }
}
