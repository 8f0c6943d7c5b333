package wiselarder.server.http;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import wiselarder.server.people.People;

/**
 * Where the product listens, and what follows from it: on loopback the demo opens without a
 * password; anywhere else, and behind a proxy, there must be somebody with a password before the
 * first request is taken.
 */
@Component
class Listening implements SmartInitializingSingleton {
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

  private final String address;
  private final boolean loopback;
  private final boolean proxied;
  private final Set<String> names;
  private final People people;

  /**
   * @param names of the hosts by which a proxy in front is reached; none where there is no proxy
   */
  Listening(
      @Value("${server.address}") String address,
      @Value("${larder.names}") List<String> names,
      People people)
      throws UnknownHostException {
    this.address = address;
    this.loopback = InetAddress.getByName(address).isLoopbackAddress();
    this.names =
        names.stream()
            .map(n -> n.strip().toLowerCase(Locale.ROOT))
            .filter(n -> !n.isEmpty())
            .collect(Collectors.toUnmodifiableSet());
    this.proxied = !this.names.isEmpty();
    this.people = people;
  }

  /** True where only who sits at this machine reaches it. */
  boolean onLoopback() {
    return loopback && !proxied;
  }

  /**
   * On loopback no other host's name is answered, which keeps foreign pages out; behind a proxy
   * none but the names that it has.
   */
  boolean answersTo(String host) {
    String name = host.toLowerCase(Locale.ROOT);
    boolean own = loopback && LOOPBACK.contains(name);
    return own || (proxied ? names.contains(name) : !loopback);
  }

  @Override
  public void afterSingletonsInstantiated() {
    if (!onLoopback() && people.nobodyYet()) {
      throw new IllegalStateException(
          "refuses to listen on %s: nobody has a password yet. Start on this machine first and make the owner."
              .formatted(proxied ? String.join(", ", names) : address));
    }
  }
}
