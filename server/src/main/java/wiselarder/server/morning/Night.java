package wiselarder.server.morning;

import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Schedules;
import java.time.Duration;
import java.time.LocalTime;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import wiselarder.server.work.Role;
import wiselarder.server.work.Workers;

/**
 * Each night, and when a process that works starts, every farm that is not of today is lined up:
 * one piece of work a farm, so that none is done twice and none forgotten, whichever worker ends
 * when.
 */
@Configuration
class Night {
  private static final Logger LOG = LoggerFactory.getLogger(Night.class);
  private static final int TRIES = 3;

  private final MorningRepository repository;
  private final Duration heartbeat;

  Night(MorningRepository repository, @Value("${larder.work.heartbeat}") Duration heartbeat) {
    this.repository = repository;
    this.heartbeat = heartbeat;
  }

  /** Every night: lines all up. */
  @Bean
  Task<Void> everyNight(@Value("${larder.night}") String at) {
    return Tasks.recurring("night", Schedules.daily(LocalTime.parse(at)))
        .onDeadExecutionRevive()
        .execute((instance, context) -> lineUp());
  }

  /** One farm. */
  @Bean
  Task<Void> eachFarm(Mornings mornings) {
    return Tasks.oneTime(MorningRepository.TASK)
        .onDeadExecutionRevive()
        .onFailure(this::again)
        .execute(
            (instance, context) ->
                mornings.reckon(
                    Long.parseLong(instance.getId()),
                    () ->
                        context.getSchedulerState().isShuttingDown()
                            || Thread.currentThread().isInterrupted()));
  }

  /** What was stopped waits for another worker; what failed thrice is told as failed. */
  private void again(ExecutionComplete complete, ExecutionOperations<Void> operations) {
    boolean stopped = complete.getCause().orElse(null) instanceof CancellationException;
    if (stopped) {
      operations.reschedule(complete, complete.getTimeDone());
      return;
    }
    FailureHandler<Void> tries =
        new FailureHandler.MaxRetriesFailureHandler<>(
            TRIES,
            new FailureHandler.OnFailureRetryLater<>(heartbeat.multipliedBy(4)),
            (c, o) -> {
              long farm = Long.parseLong(c.getExecution().taskInstance.getId());
              LOG.warn("farm {} could not be reckoned", farm, c.getCause().orElse(null));
              repository.failed(farm, Mornings.today());
            });
    tries.onFailure(complete, operations);
  }

  private void lineUp() {
    int farms = repository.lineUp(Mornings.today());
    LOG.info("{} farms are to be reckoned", farms);
  }

  /** A machine that was off at night does it when it is turned on. */
  @Configuration
  static class AtStart {
    private final Night night;
    private final Workers workers;
    private final Role role;

    AtStart(Night night, Workers workers, Role role) {
      this.night = night;
      this.workers = workers;
      this.role = role;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
      if (role != Role.WEB) {
        night.lineUp();
        workers.wake();
      }
    }
  }
}
