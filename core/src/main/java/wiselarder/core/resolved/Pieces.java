package wiselarder.core.resolved;

import java.util.Arrays;
import wiselarder.core.forage.RotationTable;
import wiselarder.core.forage.RotationTable.Habit;
import wiselarder.core.forage.RotationTable.Speed;
import wiselarder.core.land.Field;
import wiselarder.core.resolved.ResolvedPlan.FieldPlan;
import wiselarder.core.resolved.ResolvedPlan.GroupPlan;
import wiselarder.core.resolved.ResolvedPlan.StandPlan;
import wiselarder.core.resolved.ResolvedPlan.StepPlan;

/**
 * Into how many pieces each field is grazed. Pieces of a field share soil and weather and differ in
 * what stands on them. A set-stocked field is one piece; one in rotation or strips has as many as
 * were stated, else as many as its share of a round asks for.
 */
public final class Pieces {
  /** More pieces of a field are not followed one by one. */
  static final int MOST_OF_A_FIELD = 12;

  /** All fields together have at most so many more pieces than fields, or twice as many. */
  private static final int MOST_MORE = 24;

  /** A strip is moved daily. */
  private static final int STRIP_STAY_DAYS = 1;

  private final int[] first;
  private final int[] fieldOf;

  /** By field: pieces in the round it belongs to, as used for how well it is grazed. */
  private final double[] inRound;

  /** By field and stand: share of what is taken down that is eaten; the same of a stockpile. */
  private final double[][] utilization;

  private final double[][] ofStock;

  Pieces(FieldPlan[] fields, GroupPlan[] groups, RotationTable table, int days) {
    Asked asked = new Asked(fields, groups, table, days);
    int[] pieces = asked.followed();
    first = new int[fields.length + 1];
    for (int f = 0; f < fields.length; f++) {
      first[f + 1] = first[f] + pieces[f];
    }
    fieldOf = new int[first[fields.length]];
    inRound = new double[fields.length];
    utilization = new double[fields.length][];
    ofStock = new double[fields.length][];
    for (int f = 0; f < fields.length; f++) {
      Arrays.fill(fieldOf, first[f], first[f + 1], f);
      inRound[f] = asked.inRound(f);
      use(f, fields[f], table);
    }
  }

  private void use(int f, FieldPlan p, RotationTable table) {
    utilization[f] = new double[p.stands.length];
    ofStock[f] = new double[p.stands.length];
    for (int i = 0; i < p.stands.length; i++) {
      StandPlan s = p.stands[i];
      boolean byRound =
          p.field.grazing() == Field.Grazing.ROTATIONAL
              && p.field.utilization() == null
              && s.forage.grows();
      double factor = byRound ? table.of(s.forage).useFactor(inRound[f]) : 1;
      utilization[f][i] = Math.min(MOST_EATEN, s.utilization * factor);
      ofStock[f][i] = Math.max(s.stockUtilization, utilization[f][i]);
    }
  }

  private static final double MOST_EATEN = 0.95;

  /** First piece of a field; of the number of fields: the count of all pieces. */
  public int first(int field) {
    return first[field];
  }

  /** How many pieces a field has, at least one. */
  public int of(int field) {
    return first[field + 1] - first[field];
  }

  public int count() {
    return fieldOf.length;
  }

  /** The field that a piece belongs to. */
  public int field(int piece) {
    return fieldOf[piece];
  }

  /** How many pieces stock move over in the longest round that this field belongs to. */
  public double inRound(int field) {
    return inRound[field];
  }

  /** Share of what is taken down that is eaten. */
  public double utilization(int field, int stand, boolean ofStockpile) {
    return ofStockpile ? ofStock[field][stand] : utilization[field][stand];
  }

  /** True where the same fields have the same pieces, used alike. */
  boolean same(Pieces other) {
    return Arrays.equals(first, other.first) && Arrays.equals(inRound, other.inRound);
  }

  /** How many pieces each field asks for. */
  private static final class Asked {
    private final FieldPlan[] fields;
    private final GroupPlan[] groups;
    private final RotationTable table;
    private final double[] asked;

    /** By group: what it needs on a day on which it is there, kg DM. */
    private final double[] meanNeedKg;

    /** By field: the step with the largest area that takes it in, or null; and that area, ha. */
    private final StepPlan[] round;

    private final double[] roundHa;

    Asked(FieldPlan[] fields, GroupPlan[] groups, RotationTable table, int days) {
      this.fields = fields;
      this.groups = groups;
      this.table = table;
      this.asked = new double[fields.length];
      this.meanNeedKg = Arrays.stream(groups).mapToDouble(g -> meanNeedKg(g, days)).toArray();
      this.round = new StepPlan[fields.length];
      this.roundHa = new double[fields.length];
      rounds();
      for (int f = 0; f < fields.length; f++) {
        asked[f] = ask(f);
      }
    }

    private void rounds() {
      for (GroupPlan g : groups) {
        for (StepPlan s : g.steps) {
          double areaHa = s.graze ? areaHa(s) : 0;
          for (int f = 0; s.graze && f < fields.length; f++) {
            if (s.has[f] && !g.barred[f] && (round[f] == null || areaHa > roundHa[f])) {
              round[f] = s;
              roundHa[f] = areaHa;
            }
          }
        }
      }
    }

    private double ask(int f) {
      Field field = fields[f].field;
      int group = grazedBy(f);
      if (group < 0 || field.grazing() == Field.Grazing.SET_STOCKED) {
        return 1;
      }
      if (field.paddocks() != null) {
        return field.paddocks();
      }
      boolean strip = field.grazing() == Field.Grazing.STRIP;
      Habit habit = table.of(fields[f].base().forage);
      double stay = strip ? STRIP_STAY_DAYS : habit.stayDays(Speed.MEDIUM);
      double ofRound = (habit.restDays(Speed.MEDIUM) / stay + 1) * fields[f].areaHa / roundHa[f];
      double byStay = daysOffered(f, group) / stay;
      return Math.max(1, Math.min(MOST_OF_A_FIELD, Math.ceil(Math.min(ofRound, byStay))));
    }

    /** The largest of the groups that graze a field; -1 where none does. */
    private int grazedBy(int f) {
      int found = -1;
      for (int g = 0; g < groups.length; g++) {
        boolean larger = found < 0 || meanNeedKg[g] > meanNeedKg[found];
        found = larger && grazes(groups[g], f) ? g : found;
      }
      return found;
    }

    private static boolean grazes(GroupPlan g, int f) {
      return !g.barred[f] && Arrays.stream(g.steps).anyMatch(s -> s.graze && s.has[f]);
    }

    private double areaHa(StepPlan s) {
      double areaHa = 0;
      for (int f : s.sources) {
        areaHa += fields[f].areaHa;
      }
      return areaHa;
    }

    private static double meanNeedKg(GroupPlan g, int days) {
      double sum = 0;
      int there = 0;
      for (int d = 0; d < days; d++) {
        double kg = g.year.needKg(d);
        sum += kg;
        there += kg > 0 ? 1 : 0;
      }
      return there == 0 ? 0 : sum / there;
    }

    /** For how many days a field feeds a group once it has grown to its entry height. */
    private double daysOffered(int f, int group) {
      StandPlan s = fields[f].base();
      double kgPerHa = Math.max(s.turnIn, s.entry) - s.residual;
      double need = meanNeedKg[group];
      return need <= 0 ? 1 : Math.max(0, kgPerHa) * s.utilization * fields[f].areaHa / need;
    }

    /** As many as are followed: so many of the largest as the whole farm's share allows. */
    int[] followed() {
      int most = MOST_OF_A_FIELD;
      while (most > 1 && count(most) > Math.max(2 * fields.length, fields.length + MOST_MORE)) {
        most--;
      }
      int cap = most;
      return Arrays.stream(asked).mapToInt(a -> (int) Math.min(a, cap)).toArray();
    }

    private double count(int cap) {
      return Arrays.stream(asked).map(a -> Math.min(a, cap)).sum();
    }

    double inRound(int f) {
      return round[f] == null
          ? asked[f]
          : Arrays.stream(round[f].sources).mapToDouble(s -> asked[s]).sum();
    }
  }
}
