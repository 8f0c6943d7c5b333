package wiselarder.core.records;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wiselarder.core.forage.Forage;
import wiselarder.core.forage.HeightTable;

/**
 * What the farm's own clipped frames say of the table of heights: a line through nothing of clipped
 * mass over the table's mass at the height of each frame (least squares).
 *
 * @param frames so many of this forage with their heights
 * @param times own mass over the table's
 * @param errorShare standard error of that, as a share of it
 * @param used false where they are too few or too far apart to go by
 */
public record Clipped(String forageId, int frames, double times, double errorShare, boolean used) {
  /** Fewer frames say nothing. Assumption. */
  public static final int LEAST_FRAMES = 4;

  /** What is known worse than the table knows it changes nothing. Assumption. */
  private static final double MOST_ERROR = 0.3;

  private record Pair(double tableKg, double ownKg) {}

  /** By forage, in the order of first clipping. */
  public static List<Clipped> of(
      FarmRecords records, HeightTable heights, Map<String, Forage> forages) {
    Map<String, List<Pair>> pairs = new LinkedHashMap<>();
    records.each(
        CoverSeen.class,
        (r, c) -> {
          Forage forage = forages.get(c.forageId());
          boolean both = c.way() == CoverSeen.Way.CLIP && !c.heightsCm().isEmpty();
          for (int i = 0; both && forage != null && i < c.clips().size(); i++) {
            double table =
                heights.massKgPerHa(forage, c.season(), c.density(), c.heightsCm().get(i));
            pairs
                .computeIfAbsent(c.forageId(), id -> new ArrayList<>())
                .add(new Pair(table, c.clips().get(i).kgPerHa()));
          }
        });
    List<Clipped> all = new ArrayList<>();
    pairs.forEach((id, of) -> all.add(line(id, of)));
    return all;
  }

  /** The table of heights as it is on this farm's own swards. */
  public static HeightTable heights(
      FarmRecords records, HeightTable heights, Map<String, Forage> forages) {
    Map<String, HeightTable.Own> own = new HashMap<>();
    of(records, heights, forages).stream()
        .filter(Clipped::used)
        .forEach(c -> own.put(c.forageId, new HeightTable.Own(c.times, c.errorShare)));
    return own.isEmpty() ? heights : heights.calibrated(own);
  }

  private static Clipped line(String forageId, List<Pair> pairs) {
    double squares = pairs.stream().mapToDouble(p -> p.tableKg * p.tableKg).sum();
    double times =
        squares <= 0 ? 1 : pairs.stream().mapToDouble(p -> p.tableKg * p.ownKg).sum() / squares;
    double left = pairs.stream().mapToDouble(p -> Math.pow(p.ownKg - times * p.tableKg, 2)).sum();
    int n = pairs.size();
    double error =
        n < 2 || times <= 0 || squares <= 0 ? 1 : Math.sqrt(left / (n - 1) / squares) / times;
    return new Clipped(forageId, n, times, error, n >= LEAST_FRAMES && error <= MOST_ERROR);
  }
}
