package wiselarder.server.jobs;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import wiselarder.server.people.Person;

/** The tables {@code calendar_feed}, {@code reminder} and {@code letter}. */
@Repository
class JobRepository {
  private final JdbcClient jdbc;

  JobRepository(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Whose calendar an address is. */
  record Feed(String planSlug, Person person) {}

  /** Puts a new address in place of the one before. */
  void putFeed(long planId, long personId, String hash) {
    jdbc.sql(
            """
            insert into calendar_feed (plan_id, person_id, secret_hash)
            values (:plan, :person, :hash)
            on conflict (plan_id, person_id)
              do update set secret_hash = :hash, made_at = now()
            """)
        .param("plan", planId)
        .param("person", personId)
        .param("hash", hash)
        .update();
  }

  void removeFeed(long planId, long personId) {
    jdbc.sql("delete from calendar_feed where plan_id = :plan and person_id = :person")
        .param("plan", planId)
        .param("person", personId)
        .update();
  }

  boolean hasFeed(long planId, long personId) {
    return jdbc.sql(
            """
            select exists (select 1 from calendar_feed
                           where plan_id = :plan and person_id = :person)
            """)
        .param("plan", planId)
        .param("person", personId)
        .query(Boolean.class)
        .single();
  }

  Optional<Feed> feed(String hash) {
    return jdbc.sql(
            """
            select p.slug, h.id, coalesce(h.email, '') as email, h.name, h.runs_product
            from calendar_feed f
            join plan p on p.id = f.plan_id
            join person h on h.id = f.person_id
            where f.secret_hash = :hash
            """)
        .param("hash", hash)
        .query(
            (rs, n) ->
                new Feed(
                    rs.getString("slug"),
                    new Person(
                        rs.getLong("id"),
                        rs.getString("email"),
                        rs.getString("name"),
                        rs.getBoolean("runs_product"))))
        .optional();
  }

  /** Who wants letters of a plan. */
  record Wanted(String planSlug, Person person, int daysAhead) {}

  Optional<Integer> daysAhead(long planId, long personId) {
    return jdbc.sql("select days_ahead from reminder where plan_id = :plan and person_id = :person")
        .param("plan", planId)
        .param("person", personId)
        .query(Integer.class)
        .optional();
  }

  void putReminder(long planId, long personId, int daysAhead) {
    jdbc.sql(
            """
            insert into reminder (plan_id, person_id, days_ahead)
            values (:plan, :person, :days)
            on conflict (plan_id, person_id) do update set days_ahead = :days
            """)
        .param("plan", planId)
        .param("person", personId)
        .param("days", daysAhead)
        .update();
  }

  void removeReminder(long planId, long personId) {
    jdbc.sql("delete from reminder where plan_id = :plan and person_id = :person")
        .param("plan", planId)
        .param("person", personId)
        .update();
  }

  /** Takes all that are due on a day and have had no letter that day: one instance gets each. */
  List<Wanted> claim(LocalDate today) {
    return jdbc.sql(
            """
            update reminder r set last_sent_on = :today
            from plan p, person h
            where p.id = r.plan_id and h.id = r.person_id
              and (r.last_sent_on is null or r.last_sent_on < :today)
            returning p.slug, r.days_ahead, h.id, coalesce(h.email, '') as email, h.name,
                      h.runs_product
            """)
        .param("today", today)
        .query(
            (rs, n) ->
                new Wanted(
                    rs.getString("slug"),
                    new Person(
                        rs.getLong("id"),
                        rs.getString("email"),
                        rs.getString("name"),
                        rs.getBoolean("runs_product")),
                    rs.getInt("days_ahead")))
        .list();
  }

  /** A letter that was given to the mail. */
  record SentLetter(LocalDate sentOn, String subject, String text) {}

  void keep(long planId, long personId, LocalDate on, Mail.Letter letter) {
    jdbc.sql(
            """
            insert into letter (plan_id, person_id, sent_on, subject, words)
            values (:plan, :person, :on, :subject, :words)
            """)
        .param("plan", planId)
        .param("person", personId)
        .param("on", on)
        .param("subject", letter.subject())
        .param("words", letter.text())
        .update();
    jdbc.sql(
            """
            delete from letter where plan_id = :plan and person_id = :person and id not in
              (select id from letter where plan_id = :plan and person_id = :person
               order by id desc limit 20)
            """)
        .param("plan", planId)
        .param("person", personId)
        .update();
  }

  /** The newest first. */
  List<SentLetter> letters(long planId, long personId) {
    return jdbc.sql(
            """
            select sent_on, subject, words from letter
            where plan_id = :plan and person_id = :person order by id desc limit 5
            """)
        .param("plan", planId)
        .param("person", personId)
        .query(
            (rs, n) ->
                new SentLetter(
                    rs.getObject("sent_on", LocalDate.class),
                    rs.getString("subject"),
                    rs.getString("words")))
        .list();
  }
}
