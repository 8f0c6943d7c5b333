package wiselarder.core.jobs;

import java.util.List;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.BreakField;
import wiselarder.core.winter.BaleWinter;
import wiselarder.core.winter.BaleWinter.BaleSection;
import wiselarder.core.winter.BreakWinter;
import wiselarder.core.winter.BreakWinter.Break;

/** Bales opened section by section, and fields fed off break by break. */
final class WinterJobs {
  private WinterJobs() {}

  static void add(JobList l) {
    List<BaleField> drawn =
        l.stated.plan().bales().stream()
            .filter(b -> l.stated.field(b.fieldId()).outline() != null)
            .toList();
    List<BaleWinter> all = BaleWinter.of(l.balance, l.engine.catalogue(), drawn);
    for (int i = 0; i < drawn.size(); i++) {
      List<BaleSection> sections = all.get(i).sections();
      for (int s = 0; s < sections.size(); s++) {
        if (sections.get(s).from() != null) {
          open(l, drawn.get(i), s, sections.get(s));
        }
      }
    }
    breaks(l);
  }

  private static void breaks(JobList l) {
    List<BreakField> drawn =
        l.stated.plan().breaks().stream()
            .filter(b -> l.stated.field(b.fieldId()).outline() != null)
            .toList();
    List<BreakWinter> all = BreakWinter.of(l.balance, l.engine.catalogue(), drawn);
    for (int i = 0; i < drawn.size(); i++) {
      List<Break> breaks = all.get(i).breaks();
      for (int n = 0; n < breaks.size(); n++) {
        give(l, drawn.get(i), n, breaks.get(n));
      }
    }
  }

  /** That day: stock that wait a day longer stand on what is eaten. */
  private static void give(JobList l, BreakField b, int place, Break one) {
    l.job(Job.Kind.GIVE_BREAK, b.id() + "-" + (place + 1), l.fieldName(b.fieldId()), one.from())
        .with(Integer.toString(place + 1))
        .field(b.fieldId())
        .within(0, 0)
        .figure(Job.What.HA, one.areaHa())
        .add();
  }

  /**
   * Strings off, the wire moved, so many bales open: that day or, where some are left, the next.
   */
  private static void open(JobList l, BaleField b, int place, BaleSection section) {
    l.job(Job.Kind.OPEN_BALES, b.id() + "-" + (place + 1), l.fieldName(b.fieldId()), section.from())
        .with(Integer.toString(place + 1))
        .field(b.fieldId())
        .within(0, 1)
        .figure(Job.What.UNITS, section.spots().size())
        .add();
  }
}
