package wiselarder.core.land;

import java.util.List;
import wiselarder.core.reference.CsvTable;

/**
 * The strip to keep along water, by slope. Product default; local rules stand above it.
 *
 * @param bufferM width on each side, m
 */
public record BufferRule(
    String slopeClass, double fromDeg, double toDeg, double bufferM, String note) {

  /** The strip that a slope asks for by rules in their order, m. */
  public static double bufferM(List<BufferRule> rules, double slopeDeg) {
    return rules.stream()
        .filter(r -> slopeDeg < r.toDeg)
        .mapToDouble(BufferRule::bufferM)
        .findFirst()
        .orElse(0);
  }

  /** All rules, flattest first. */
  public static List<BufferRule> loadAll() {
    return List.copyOf(
        CsvTable.load(
            "buffers.csv",
            r ->
                new BufferRule(
                    r.text("slope_class"),
                    r.number("slope_deg_low", 0, 90),
                    r.number("slope_deg_high", 0, 90),
                    r.number("waterway_buffer_m_default", 0, 500),
                    r.text("note"))));
  }
}
