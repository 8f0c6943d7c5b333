package wiselarder.server.http;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import wiselarder.server.people.People;

/**
 * Where the product listens, and what follows from it: on loopback the demo opens without a
 * password; anywhere else there must be somebody with a password before the first request is taken.
 */
@Component
class Listening implements SmartInitializingSingleton {
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

  private final String address;
  private final boolean loopback;
  private final People people;

  Listening(@Value("${server.address}") String address, People people) throws UnknownHostException {
    this.address = address;
    this.loopback = InetAddress.getByName(address).isLoopbackAddress();
    this.people = people;
  }

  boolean onLoopback() {
    return loopback;
  }

  /** On loopback no other host's name is answered, which keeps foreign pages out. */
  boolean answersTo(String host) {
    return !loopback || LOOPBACK.contains(host.toLowerCase(Locale.ROOT));
  }

  @Override
  public void afterSingletonsInstantiated() {
    if (!loopback && people.nobodyYet()) {
      throw new IllegalStateException(
          "refuses to listen on %s: nobody has a password yet. Start on this machine first and make the owner."
              .formatted(address));
    }
  }
}
