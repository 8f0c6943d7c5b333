package wiselarder.server.jobs;

import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import wiselarder.core.edit.PlanEdit;
import wiselarder.core.plan.Items;
import wiselarder.core.plan.OwnJob;
import wiselarder.core.quantity.Refused;
import wiselarder.core.records.JobMarked;
import wiselarder.server.problem.ServerReason;

/** Jobs as an iCalendar file (RFC 5545): whole-day events, out and in. */
final class JobCalendar {
  /** What tells the product's own events from others. */
  private static final String OWN = "@jobs.wise-larder";

  private static final int MOST_EVENTS = 2000;
  private static final int MOST_TITLE = 120;
  private static final int MOST_NOTE = 1000;

  private JobCalendar() {}

  /** Every job of a plan on its day, or on the one it was moved to. */
  static String write(String name, String planSlug, List<JobView> jobs) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Wise Larder//Jobs//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    calendar.add(ImmutableMethod.PUBLISH);
    calendar.add(new XProperty("X-WR-CALNAME", name));
    jobs.forEach(j -> calendar.add(event(planSlug, j)));
    return calendar.toString();
  }

  private static VEvent event(String planSlug, JobView j) {
    LocalDate on = j.due();
    boolean done = j.mark() != null && j.mark().mark() == JobMarked.Mark.DONE;
    boolean dropped = j.mark() != null && j.mark().mark() == JobMarked.Mark.DROPPED;
    String done1 = done ? "Done: " : dropped ? "Dropped: " : "";
    VEvent event = new VEvent();
    event.add(new Uid(planSlug + "/" + j.key() + OWN));
    event.add(new DtStart<>(on));
    event.add(new DtEnd<>(on.plusDays(1)));
    event.add(new Summary(done1 + j.title()));
    event.add(new Description(told(j)));
    event.add(ImmutableTransp.TRANSPARENT);
    event.add(dropped ? ImmutableStatus.VEVENT_CANCELLED : ImmutableStatus.VEVENT_CONFIRMED);
    return event;
  }

  private static String told(JobView j) {
    List<String> lines = new ArrayList<>();
    if (!j.why().isEmpty()) {
      lines.add(j.why());
    }
    if (!j.latest().equals(j.day())) {
      lines.add(
          "From " + JobWords.day(j.earliest()) + ", last day " + JobWords.day(j.latest()) + ".");
    }
    if (!j.needs().isEmpty()) {
      lines.add("Needs: " + j.needs() + ".");
    }
    if (!j.forWhom().isEmpty()) {
      lines.add("For: " + j.forWhom() + ".");
    }
    if (j.mark() != null && !j.mark().why().isEmpty()) {
      lines.add(j.mark().why());
    }
    return String.join("\n", lines);
  }

  /**
   * Events of a file as jobs of the keeper's own, by their day; the product's own events are left
   * out, as they follow from the plan. What repeats is taken once, on its first day.
   *
   * @param left events that are not taken
   */
  record Read(List<OwnJob> jobs, int left) {}

  /**
   * Reads a file.
   *
   * @throws Refused where it is no iCalendar file, or holds no event
   */
  static Read read(String text) {
    Calendar calendar;
    try {
      calendar = new CalendarBuilder().build(new StringReader(text));
    } catch (IOException | ParserException | IllegalArgumentException e) {
      throw new Refused(ServerReason.NOT_CALENDAR, "calendar.file");
    }
    List<VEvent> events = calendar.getComponents(Component.VEVENT);
    if (events.isEmpty() || events.size() > MOST_EVENTS) {
      throw new Refused(ServerReason.NOT_CALENDAR, "calendar.file");
    }
    List<OwnJob> jobs = new ArrayList<>();
    int left = 0;
    for (VEvent e : events) {
      Optional<OwnJob> job = job(e, jobs.size());
      job.ifPresent(jobs::add);
      left += job.isPresent() ? 0 : 1;
    }
    return new Read(jobs, left);
  }

  /** What puts them into a plan. */
  static List<PlanEdit> edits(Read read) {
    return read.jobs().stream().<PlanEdit>map(j -> new PlanEdit.Put<>(Items.JOBS, j)).toList();
  }

  private static Optional<OwnJob> job(VEvent e, int number) {
    String uid = e.getUid().map(Uid::getValue).orElse("event-" + number);
    Optional<LocalDate> on =
        e.<DtStart<Temporal>>getProperty(Property.DTSTART).map(s -> day(s.getDate()));
    String title = e.getSummary() == null ? "" : e.getSummary().getValue().strip();
    if (uid.endsWith(OWN) || on.isEmpty() || title.isEmpty()) {
      return Optional.empty();
    }
    LocalDate end =
        e.<DtEnd<Temporal>>getProperty(Property.DTEND).map(d -> day(d.getDate())).orElse(null);
    boolean wholeDays =
        e.<DtStart<Temporal>>getProperty(Property.DTSTART)
            .map(s -> s.getDate() instanceof LocalDate)
            .orElse(false);
    LocalDate last = end == null ? null : wholeDays ? end.minusDays(1) : end;
    String note = e.getDescription() == null ? "" : e.getDescription().getValue();
    return Optional.of(
        new OwnJob(
            "ics-" + Integer.toHexString(uid.hashCode()) + "-" + on.get(),
            cut(title, MOST_TITLE),
            on.get(),
            last == null || !last.isAfter(on.get()) ? null : last,
            "",
            cut(note.strip(), MOST_NOTE)));
  }

  private static String cut(String text, int most) {
    String line = most == MOST_TITLE ? text.replaceAll("\\s+", " ") : text;
    return line.length() <= most ? line : line.substring(0, most);
  }

  private static LocalDate day(Temporal at) {
    if (at instanceof LocalDate d) {
      return d;
    }
    if (at instanceof ZonedDateTime z) {
      return z.toLocalDate();
    }
    return at instanceof java.time.Instant i
        ? i.atZone(ZoneId.of("UTC")).toLocalDate()
        : LocalDate.from(at);
  }
}
