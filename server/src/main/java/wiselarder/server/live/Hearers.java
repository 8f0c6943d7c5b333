package wiselarder.server.live;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * The screens that are open, each by the farm of its plan. One thread hears the database and tells
 * them; where the connection was lost, all are told to look again.
 */
@Component
class Hearers implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Hearers.class);

  /** A screen connects anew after this: whoever lost the farm meanwhile hears no more of it. */
  private static final Duration LONGEST = Duration.ofMinutes(10);

  /** More screens than this of one person, and the oldest goes. */
  private static final int MOST_OF_ONE = 20;

  private static final long LOST_MS = 2000;

  /** Seconds between signs of life, by which a screen that is gone is found out. */
  private static final int ALIVE_EVERY = 20;

  private record Hearer(long personId, long farmId, SseEmitter screen) {}

  private final ChangeRepository changes;
  private final List<Hearer> hearers = new CopyOnWriteArrayList<>();
  private volatile Thread thread;
  private int quiet;

  Hearers(ChangeRepository changes) {
    this.changes = changes;
  }

  /**
   * A new screen on a plan of this farm.
   *
   * @param standsNow how the plan stands; asked once the screen is heard of, so that no change
   *     falls between what it has read and what it is told
   */
  SseEmitter add(long personId, long farmId, Supplier<Change.Told> standsNow) {
    SseEmitter screen = new SseEmitter(LONGEST.toMillis());
    Hearer hearer = new Hearer(personId, farmId, screen);
    screen.onCompletion(() -> hearers.remove(hearer));
    screen.onTimeout(screen::complete);
    List<Hearer> mine = hearers.stream().filter(h -> h.personId == personId).toList();
    if (mine.size() >= MOST_OF_ONE) {
      drop(mine.get(0));
    }
    hearers.add(hearer);
    send(hearer, SseEmitter.event().name("stands").data(standsNow.get()));
    return screen;
  }

  private void hear() {
    while (running()) {
      try {
        changes.listen(this::running, this::lookAgain, this::tell, this::signOfLife);
      } catch (DataAccessResourceFailureException e) {
        if (running()) {
          LOG.warn("changes are not heard for now: {}", e.getMessage());
          rest();
        }
      }
    }
  }

  private boolean running() {
    return Thread.currentThread() == thread;
  }

  private static void rest() {
    try {
      Thread.sleep(LOST_MS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void tell(Change change) {
    hearers.stream()
        .filter(h -> h.farmId == change.farmId())
        .forEach(h -> send(h, SseEmitter.event().name("changed").data(change.told())));
  }

  private void lookAgain() {
    hearers.forEach(
        h -> send(h, SseEmitter.event().name("changed").data(new Change.Told(null, null))));
  }

  private void signOfLife() {
    if (++quiet % ALIVE_EVERY == 0) {
      hearers.forEach(h -> send(h, SseEmitter.event().comment("")));
    }
  }

  private void send(Hearer hearer, SseEmitter.SseEventBuilder event) {
    try {
      hearer.screen.send(event);
    } catch (IOException | IllegalStateException e) {
      LOG.debug("a screen is gone: {}", e.getMessage());
      drop(hearer);
    }
  }

  private void drop(Hearer hearer) {
    hearers.remove(hearer);
    try {
      hearer.screen.complete();
    } catch (IllegalStateException alreadyOver) {
      // its connection broke: the one thread that tells everybody must not end with it
      LOG.debug("a screen was over already: {}", alreadyOver.getMessage());
    }
  }

  @Override
  public void start() {
    thread = new Thread(this::hear, "changes");
    thread.setDaemon(true);
    thread.start();
  }

  /** Before the web server waits for requests to end: these would not by themselves. */
  @Override
  public void stop() {
    Thread was = thread;
    thread = null;
    hearers.forEach(this::drop);
    try {
      was.join(LOST_MS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public boolean isRunning() {
    return thread != null;
  }
}
