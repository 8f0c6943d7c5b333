package wiselarder.core.plan;

import java.util.List;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Shapes;
import wiselarder.core.quantity.Check;
import wiselarder.core.quantity.CoreReason;
import wiselarder.core.quantity.Refused;

/** Where something stands on a field while stock winter there. */
public record StandsAt(Stands what, Outline.Point at) {
  private static final int MOST = 30;

  /** What stands there. */
  public enum Stands {
    TROUGH(true),
    FEEDER(true),
    /** A dry place to lie, bedded or not. */
    LYING(true),
    SHELTER(false);

    private final boolean soils;

    Stands(boolean soils) {
      this.soils = soils;
    }

    /** Stock gather there for long: what they leave must not run into water. */
    public boolean soils() {
      return soils;
    }
  }

  public StandsAt {
    Check.present("place.what", what);
    Check.present("place.at", at);
  }

  /** No more than are kept; none where nothing was said. */
  static List<StandsAt> checked(String member, List<StandsAt> places) {
    List<StandsAt> all = places == null ? List.of() : List.copyOf(places);
    Check.range(member, all.size(), 0, MOST);
    return all;
  }

  /**
   * Refuses what soils water inside the strip that is kept along it.
   *
   * @param waterM least strip, whatever was drawn
   */
  static void refuseNearWater(
      String member, Outline outline, double waterM, List<StandsAt> places) {
    for (StandsAt p : outline == null ? List.<StandsAt>of() : places) {
      for (Off o : outline.off()) {
        double strip = Math.max(o.bufferM(), waterM);
        double away = Shapes.distanceM(o, p.at);
        if (p.what.soils() && o.kind().water() && away < strip) {
          throw new Refused(CoreReason.STANDS_AT_WATER, member, p.what.name(), away, strip);
        }
      }
    }
  }
}
