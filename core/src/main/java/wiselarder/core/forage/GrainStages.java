package wiselarder.core.forage;

import java.util.List;
import java.util.Locale;
import wiselarder.core.forage.CropRules.Course;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;
import wiselarder.core.reference.CsvTable;

/** Stages of small grains, as split stems show them, in the order in which they come. */
public final class GrainStages {
  /** What a stand at a stage is good for. */
  public enum Use {
    GRAZE,
    GRAZE_WITH_CARE,
    WAIT,
    SILAGE,
    HAY
  }

  /** What the stand is to do: come back, or be taken once. */
  public enum Purpose {
    REGROW,
    ONCE
  }

  /**
   * A stage.
   *
   * @param from where it begins: share of the heat to heading, and from there 1 and the share of
   *     the heat from heading to ripe
   * @param pointLowCm height of the growing point, later of the head's foot, above the ground, cm
   * @param goesOnIfLeft share of stems that grow on where the growing point is left
   * @param comesBackIfTaken share of what grows again from the crown where it is taken
   */
  public record Stage(
      String id,
      double from,
      String outside,
      String inside,
      double pointLowCm,
      double pointHighCm,
      double goesOnIfLeft,
      double comesBackIfTaken,
      Use toRegrow,
      Use once,
      String graze,
      String silage,
      String hay,
      String quality) {

    /** The middle of the table's heights, cm. */
    public double pointCm() {
      return (pointLowCm + pointHighCm) / 2;
    }

    /** Share of such stems whose points are left where the stand is taken down to a height, cm. */
    public double leftAt(double cm) {
      double share = (cm - pointLowCm) / (pointHighCm - pointLowCm);
      return Math.max(0, Math.min(1, share));
    }

    public Use use(Purpose purpose) {
      return purpose == Purpose.ONCE ? once : toRegrow;
    }
  }

  private static final double TALLEST_CM = 400;

  private final List<Stage> stages;

  private GrainStages(List<Stage> stages) {
    this.stages = List.copyOf(stages);
  }

  public static GrainStages load() {
    return new GrainStages(CsvTable.load("small_grain_stages.csv", GrainStages::row));
  }

  private static Stage row(CsvTable.Row r) {
    return new Stage(
        r.text("stage_id"),
        r.number("from", 0, 2),
        r.text("seen_outside"),
        r.text("seen_in_split_stem"),
        r.number("growing_point_height_cm_low", 0, TALLEST_CM),
        r.number("growing_point_height_cm_high", 0, TALLEST_CM),
        r.number("goes_on_if_left", 0, 1),
        r.number("comes_back_if_taken", 0, 1),
        use(r.text("use_to_regrow")),
        use(r.text("use_once")),
        r.text("graze_advice"),
        r.text("cut_advice_silage"),
        r.text("cut_advice_hay"),
        r.text("quality_note"));
  }

  private static Use use(String cell) {
    return Use.valueOf(cell.toUpperCase(Locale.ROOT));
  }

  /** True of the crops whose stems are looked at. */
  public static boolean isOf(Forage f) {
    return f.group().endsWith("small_grain");
  }

  /** All of them, the earliest first. */
  public List<Stage> all() {
    return stages;
  }

  /** A stage by its id, refused where the table has none such. */
  public Stage stage(String id) {
    return stages.get(place(id));
  }

  /** Place of a stage in the order of the table, refused where there is none such. */
  public int place(String id) {
    for (int i = 0; i < stages.size(); i++) {
      if (stages.get(i).id.equals(id)) {
        return i;
      }
    }
    throw new Refused(CoreReason.UNKNOWN_ID, "stem.stageId", id);
  }

  public boolean has(String id) {
    return stages.stream().anyMatch(s -> s.id.equals(id));
  }

  /**
   * Heat nearest to what was thought, at which a crop is at a stage: nothing is changed that was
   * right. Heat in degree-days of the course.
   */
  public double heatAt(int place, Course course, double thought) {
    double from = heat(course, stages.get(place).from);
    if (place + 1 == stages.size()) {
      return Math.max(from, thought);
    }
    double to = heat(course, stages.get(place + 1).from);
    return Math.max(from, Math.min(thought, Math.nextDown(to)));
  }

  private static double heat(Course course, double from) {
    double heading = course.headingDegreeDays();
    return from <= 1 ? from * heading : heading + (from - 1) * (course.ripeDegreeDays() - heading);
  }
}
