package wiselarder.core.forage;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/**
 * A forage of the keeper's own: one of the product's with figures changed, or a mixture of several
 * by their share of the dry matter. Where nothing is changed a figure is the mean of the parts by
 * share; what can hurt holds as soon as one part can.
 *
 * @param id begins with {@code own-}
 * @param parts at least one; shares need not add up to one
 * @param figures what the keeper knows better
 */
public record OwnForage(String id, String name, List<Part> parts, Figures figures, String note) {
  private static final String PREFIX = "own-";

  /** With this much of the dry matter a use or a habit of a part is the whole's. */
  private static final double MAIN = 0.5;

  /**
   * One part.
   *
   * @param share of the dry matter over the year, by weight
   */
  public record Part(String forageId, double share) {
    public Part {
      Check.text("part.forageId", forageId, 60);
      Check.range("part.share", share, 0.01, 1);
    }
  }

  /**
   * Figures that the keeper sets; null leaves the mean of the parts. Named as in {@link Forage}.
   *
   * @param annualTypicalKgPerHa yield of a crop that is sown each time
   * @param proteinPoints added to crude protein at every stage, points of percent
   * @param tdnPoints added to total digestible nutrients at every stage
   */
  public record Figures(
      Double minResidualKgPerHa,
      Double ceilingKgPerHa,
      Double dmPerCmKgPerHa,
      Double entryHeightCm,
      Double exitHeightCm,
      Double regrazeHeightCm,
      Double winterLeaveHeightCm,
      Double cutHeightCm,
      Double utilizationSetStocked,
      Double utilizationRotational,
      Double utilizationStrip,
      Double senescencePerDay,
      Double standingLossPerMonth,
      Double rootDepthCm,
      Double droughtHold,
      Double winterHardyC,
      Double annualTypicalKgPerHa,
      double proteinPoints,
      double tdnPoints) {
    public Figures {
      within("minResidualKgPerHa", minResidualKgPerHa, 100, 8000);
      within("ceilingKgPerHa", ceilingKgPerHa, 1000, 30000);
      within("dmPerCmKgPerHa", dmPerCmKgPerHa, 5, 400);
      within("entryHeightCm", entryHeightCm, 3, 200);
      within("exitHeightCm", exitHeightCm, 2, 100);
      within("regrazeHeightCm", regrazeHeightCm, 3, 200);
      within("winterLeaveHeightCm", winterLeaveHeightCm, 1, 100);
      within("cutHeightCm", cutHeightCm, 2, 100);
      within("utilizationSetStocked", utilizationSetStocked, 0.05, 0.95);
      within("utilizationRotational", utilizationRotational, 0.05, 0.95);
      within("utilizationStrip", utilizationStrip, 0.05, 0.95);
      within("senescencePerDay", senescencePerDay, 0, 0.1);
      within("standingLossPerMonth", standingLossPerMonth, 0, 0.9);
      within("rootDepthCm", rootDepthCm, 10, 300);
      within("droughtHold", droughtHold, 0, 1);
      within("winterHardyC", winterHardyC, -60, 20);
      within("annualTypicalKgPerHa", annualTypicalKgPerHa, 200, 40000);
      within("proteinPoints", proteinPoints, -10, 10);
      within("tdnPoints", tdnPoints, -15, 15);
    }

    private static void within(String name, Double value, double min, double max) {
      if (value != null) {
        Check.range("figures." + name, value, min, max);
      }
    }

    /** Nothing changed. */
    public static Figures none() {
      return new Figures(
          null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
          null, null, 0, 0);
    }
  }

  public OwnForage {
    id = Check.text("ownForage.id", id, 60);
    if (!isOwn(id)) {
      throw new Refused(CoreReason.OWN_FORAGE_ID, "ownForage.id", id);
    }
    name = Check.text("ownForage.name", name, 60);
    parts = List.copyOf(Check.present("ownForage.parts", parts));
    Check.range("ownForage.parts", parts.size(), 1, 12);
    Check.present("ownForage.figures", figures);
    note = Check.note("ownForage.note", note, 1000);
    Set<String> seen = new HashSet<>();
    for (Part part : parts) {
      if (isOwn(part.forageId()) || !seen.add(part.forageId())) {
        throw new Refused(CoreReason.PART_TWICE, "part.forageId", part.forageId());
      }
    }
  }

  /** True for the id of a forage that is some keeper's own. */
  public static boolean isOwn(String forageId) {
    return forageId.startsWith(PREFIX);
  }

  /** Share of a part when all parts together are one. */
  public double shareOf(Part part) {
    return part.share() / parts.stream().mapToDouble(Part::share).sum();
  }

  /**
   * The forage that it makes.
   *
   * @param table the product's forages
   * @throws Refused where parts do not go together, or figures contradict each other
   */
  public Forage of(Map<String, Forage> table) {
    Part main = parts.stream().max(Comparator.comparingDouble(Part::share)).orElseThrow();
    Forage most = table.get(main.forageId());
    Blend blend = new Blend(this, table, most);
    if (parts.size() > 1 && parts.stream().anyMatch(p -> !table.get(p.forageId()).grows())) {
      throw new Refused(CoreReason.NO_MIXTURE, "part.forageId", name);
    }
    Forage made = blend.made();
    if (made.grows() && made.entryMassKgPerHa() <= made.minResidualKgPerHa()) {
      throw new Refused(
          CoreReason.ENTRY_BELOW_LEAVE,
          "figures.entryHeightCm",
          name,
          made.entryHeightCm(),
          made.exitHeightCm());
    }
    return made;
  }

  /** Puts a forage together, figure by figure. */
  private record Blend(OwnForage own, Map<String, Forage> table, Forage most) {
    private static final RecordComponent[] COMPONENTS = Forage.class.getRecordComponents();

    Forage made() {
      Object[] values = new Object[COMPONENTS.length];
      Class<?>[] types = new Class<?>[COMPONENTS.length];
      for (int i = 0; i < COMPONENTS.length; i++) {
        types[i] = COMPONENTS[i].getType();
        values[i] = value(COMPONENTS[i]);
      }
      try {
        return Forage.class.getDeclaredConstructor(types).newInstance(values);
      } catch (InvocationTargetException e) {
        throw e.getCause() instanceof Refused r ? r : new IllegalStateException(e);
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(e);
      }
    }

    private Object value(RecordComponent c) {
      return switch (c.getName()) {
        case "id" -> own.id;
        case "name" -> own.name;
        case "note" -> own.note.isEmpty() && own.parts.size() == 1 ? most.note() : own.note;
        case "group" -> mixed() ? "mixed_sward" : most.group();
        case "uses" -> uses();
        case "madeOf" -> madeOf();
        case "life" -> anyPerennial() ? Forage.Life.PERENNIAL : most.life();
        case "toxicEndophyte" -> any(Forage::toxicEndophyte);
        case "bloats" -> shareWhere(Forage::bloats) >= MAIN;
        case "thickStems" -> any(Forage::thickStems);
        case "hayEatenAsIs" -> shareWhere(Forage::hayEatenAsIs) >= MAIN;
        case "fixesNitrogen" -> any(Forage::fixesNitrogen);
        case "regrows" -> any(Forage::regrows);
        case "prussicMinHeightCm" -> highest(Forage::prussicMinHeightCm);
        default -> c.getType() == double.class ? figure(c) : read(most, c);
      };
    }

    private boolean mixed() {
      return own.parts.size() > 1;
    }

    private double figure(RecordComponent c) {
      for (RecordComponent f : Figures.class.getRecordComponents()) {
        if (f.getName().equals(c.getName()) && read(own.figures, f) instanceof Double set) {
          return set;
        }
      }
      double sum = 0;
      double known = 0;
      for (Part part : own.parts) {
        double of = (Double) read(table.get(part.forageId()), c);
        if (!Double.isNaN(of)) {
          sum += own.shareOf(part) * of;
          known += own.shareOf(part);
        }
      }
      return known == 0 ? Double.NaN : sum / known;
    }

    private double highest(Function<Forage, Double> of) {
      double highest = Double.NaN;
      for (Part part : own.parts) {
        double one = of.apply(table.get(part.forageId()));
        highest =
            Double.isNaN(highest) ? one : Double.isNaN(one) ? highest : Math.max(highest, one);
      }
      return highest;
    }

    private boolean any(Function<Forage, Boolean> of) {
      return own.parts.stream().anyMatch(p -> of.apply(table.get(p.forageId())));
    }

    private boolean anyPerennial() {
      return any(f -> f.life() == Forage.Life.PERENNIAL);
    }

    private double shareWhere(Function<Forage, Boolean> of) {
      return own.parts.stream()
          .filter(p -> of.apply(table.get(p.forageId())))
          .mapToDouble(own::shareOf)
          .sum();
    }

    private Set<String> uses() {
      Set<String> uses = new HashSet<>();
      for (Part part : own.parts) {
        for (String use : table.get(part.forageId()).uses()) {
          if (shareWhere(f -> f.uses().contains(use)) >= MAIN) {
            uses.add(use);
          }
        }
      }
      return Set.copyOf(uses);
    }

    private Set<String> madeOf() {
      Set<String> all = new HashSet<>();
      own.parts.forEach(p -> all.addAll(table.get(p.forageId()).madeOf()));
      return Set.copyOf(all);
    }

    private static Object read(Record of, RecordComponent c) {
      try {
        return c.getAccessor().invoke(of);
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(e);
      }
    }
  }
}
