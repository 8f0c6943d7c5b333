package wiselarder.server.jobs;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import wiselarder.core.quantity.Check;
import wiselarder.core.records.JobMarked;
import wiselarder.server.people.Person;
import wiselarder.server.plan.Plans;
import wiselarder.server.plan.StoredPlan;

/** Letters that say what is to be done in the next days and what is late. */
@Component
class Reminders {
  private static final Logger LOG = LoggerFactory.getLogger(Reminders.class);
  private static final int MOST_DAYS = 60;
  private static final int LATE_DAYS = 60;

  private final JobRepository repository;
  private final Plans plans;
  private final PlanJobs jobs;
  private final Mail mail;
  private final boolean wanted;

  Reminders(
      JobRepository repository,
      Plans plans,
      PlanJobs jobs,
      Mail mail,
      @Value("${larder.reminders:true}") boolean wanted) {
    this.repository = repository;
    this.plans = plans;
    this.jobs = jobs;
    this.mail = mail;
    this.wanted = wanted;
  }

  /**
   * Somebody's letters of a plan.
   *
   * @param daysAhead null where none are wanted
   * @param carrier what carries them
   * @param next the letter as it would be sent today, null where there is nothing to say
   */
  record Letters(
      Integer daysAhead, String carrier, Mail.Letter next, List<JobRepository.SentLetter> sent) {}

  @Transactional(readOnly = true)
  Letters of(String slug, Person person, LocalDate today) {
    StoredPlan plan = plans.get(slug, person);
    Integer days = repository.daysAhead(plan.id(), person.id()).orElse(null);
    return new Letters(
        days,
        mail.name(),
        letter(plan, person, days == null ? WEEK : days, today).orElse(null),
        repository.letters(plan.id(), person.id()));
  }

  private static final int WEEK = 7;

  /** Wants letters so many days ahead, or none. */
  @Transactional
  void set(String slug, Person person, Integer daysAhead) {
    StoredPlan plan = plans.get(slug, person);
    if (daysAhead == null) {
      repository.removeReminder(plan.id(), person.id());
    } else {
      repository.putReminder(
          plan.id(), person.id(), Check.range("reminders.daysAhead", daysAhead, 1, MOST_DAYS));
    }
  }

  /** Each morning: those who want letters get theirs, where there is something to say. */
  @Scheduled(cron = "0 0 6 * * *")
  void morning() {
    if (wanted) {
      send(LocalDate.now(ZoneId.systemDefault()));
    }
  }

  /** Gives the day's letters to the mail; each is sent once a day, by one instance. */
  int send(LocalDate today) {
    int sent = 0;
    for (JobRepository.Wanted w : repository.claim(today)) {
      try {
        StoredPlan plan = plans.get(w.planSlug(), w.person());
        Optional<Mail.Letter> letter = letter(plan, w.person(), w.daysAhead(), today);
        if (letter.isPresent()) {
          mail.send(letter.get());
          repository.keep(plan.id(), w.person().id(), today, letter.get());
          sent++;
        }
      } catch (NoSuchElementException left) {
        LOG.debug("no letter for somebody who left {}", w.planSlug());
      }
    }
    return sent;
  }

  private Optional<Mail.Letter> letter(
      StoredPlan plan, Person person, int daysAhead, LocalDate today) {
    StringBuilder late = new StringBuilder();
    StringBuilder soon = new StringBuilder();
    for (JobView j : jobs.of(plan, "normal", null)) {
      boolean open = j.mark() == null || j.mark().mark() == JobMarked.Mark.MOVED;
      LocalDate last = j.mark() == null ? j.latest() : j.due();
      long toDue = ChronoUnit.DAYS.between(today, j.due());
      if (open && last.isBefore(today) && last.isAfter(today.minusDays(LATE_DAYS))) {
        late.append(line(j));
      } else if (open && !last.isBefore(today) && toDue <= daysAhead) {
        soon.append(line(j));
      }
    }
    if (late.isEmpty() && soon.isEmpty()) {
      return Optional.empty();
    }
    String text =
        (late.isEmpty() ? "" : "Late:\n" + late + "\n")
            + (soon.isEmpty() ? "" : "In the next " + daysAhead + " days:\n" + soon);
    String name = plan.content().farm().name();
    return Optional.of(new Mail.Letter(person.email(), "Jobs on " + name, text));
  }

  private static String line(JobView j) {
    String by = j.latest().equals(j.due()) ? "" : ", last day " + JobWords.day(j.latest());
    return "- " + JobWords.day(j.due()) + ": " + j.title() + by + "\n";
  }
}
