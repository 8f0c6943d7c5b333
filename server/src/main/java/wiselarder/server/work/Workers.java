package wiselarder.server.work;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.logging.LogLevel;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Takes work off the database, where this process does any. Whoever took some tells that it lives;
 * what somebody took who tells so no longer is taken by another.
 */
@Component
public class Workers {
  /** Told so often in vain, and whoever took the work counts as gone. */
  private static final int MISSED = 4;

  /** Null where this process only serves. */
  private final Scheduler scheduler;

  Workers(
      DataSource database,
      List<Task<?>> tasks,
      Role role,
      @Value("${larder.work.threads}") int threads,
      @Value("${larder.work.heartbeat}") Duration heartbeat) {
    this.scheduler =
        role == Role.WEB ? null : scheduler(database, tasks, threads(role, threads), heartbeat);
  }

  private static Scheduler scheduler(
      DataSource database, List<Task<?>> tasks, int threads, Duration heartbeat) {
    List<RecurringTask<?>> nightly =
        tasks.stream()
            .filter(RecurringTask.class::isInstance)
            .<RecurringTask<?>>map(t -> (RecurringTask<?>) t)
            .toList();
    return Scheduler.create(database, tasks.stream().filter(t -> !nightly.contains(t)).toList())
        .startTasks(nightly)
        .schedulerName(new SchedulerName.Fixed(UUID.randomUUID().toString()))
        .threads(threads)
        .pollUsingLockAndFetch(0.5, 1)
        .pollingInterval(heartbeat)
        .heartbeatInterval(heartbeat)
        .missedHeartbeatsLimit(MISSED)
        .enablePriority()
        .failureLogging(LogLevel.WARN, true)
        .shutdownMaxWait(Duration.ofSeconds(5))
        .build();
  }

  /** As many as there are cores; half of them where people are served beside it. */
  private static int threads(Role role, int wanted) {
    int cores = Runtime.getRuntime().availableProcessors();
    return wanted > 0 ? wanted : role == Role.WORKER ? cores : Math.max(1, cores / 2);
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (scheduler != null) {
      scheduler.start();
    }
  }

  @PreDestroy
  void end() {
    if (scheduler != null) {
      scheduler.stop();
    }
  }

  /** There is something to do now: this process need not wait until it looks again. */
  public void wake() {
    if (scheduler != null && scheduler.getSchedulerState().isStarted()) {
      scheduler.triggerCheckForDueExecutions();
    }
  }
}
