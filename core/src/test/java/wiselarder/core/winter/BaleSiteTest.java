package wiselarder.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import wiselarder.core.Farms;
import wiselarder.core.bales.Spacing;
import wiselarder.core.land.Field;
import wiselarder.core.land.Lie;
import wiselarder.core.land.Outline;
import wiselarder.core.land.Outline.Kind;
import wiselarder.core.land.Outline.Off;
import wiselarder.core.land.Outline.Point;
import wiselarder.core.plan.BaleField;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.Items;
import wiselarder.core.winter.BaleSite.SitePoint;
import wiselarder.core.winter.BaleSite.What;

/** Fields on which bales could be set out, in the order in which they are offered. */
class BaleSiteTest {
  private static final Spacing SPACING = new Spacing(10, 20, 0, 0, 0);

  private static Field field(String id, Double slopeDeg, Double phosphorus, Off... off) {
    Outline square =
        new Outline(
            List.of(new Point(0, 0), new Point(100, 0), new Point(100, 100), new Point(0, 100)),
            List.of(off));
    Lie.SoilTest test =
        phosphorus == null
            ? null
            : new Lie.SoilTest(LocalDate.of(2026, 3, 1), null, phosphorus, null);
    Lie lie =
        new Lie(
            slopeDeg,
            Lie.Water.NOT_SAID,
            Lie.Access.ANY_WEATHER,
            Lie.Exposure.ORDINARY,
            false,
            null,
            List.of(),
            "",
            test,
            null,
            null);
    return Farms.fescue(id, 1, 0, 0).shaped(id, id, square).lying(lie);
  }

  private static List<BaleSite> sites(FarmPlan plan) {
    return BaleSite.of(plan, Farms.ENGINE.catalogue(), SPACING, 10);
  }

  /** The poorest first, then what nobody has tested, then what is too steep or taken. */
  @Test
  void thePoorestFitFieldComesFirst() {
    Farms farm = new Farms().eaters("bulls", 10, 9).bales("rounds", 50);
    farm.fields.add(field("untested", null, null));
    farm.fields.add(field("rich", null, 40.0));
    farm.fields.add(field("steep", 18.0, 3.0));
    farm.fields.add(field("poor", null, 7.0));
    farm.fields.add(field("poor-too", null, 5.0));
    farm.fields.add(Farms.fescue("undrawn", 1, 0, 0));
    FarmPlan plan =
        Items.BALES.put(
            farm.build(),
            new BaleField("b", "poor-too", "rounds", 9, 3, List.of(), SPACING, 10, 0, false, null));
    List<BaleSite> sites = sites(plan);
    assertThat(sites)
        .extracting(BaleSite::fieldId)
        .containsExactly("poor", "rich", "untested", "steep", "poor-too");
    assertThat(sites).extracting(BaleSite::fit).containsExactly(true, true, true, false, false);
    assertThat(sites.get(0).points()).contains(new SitePoint(What.PHOSPHORUS, true, 7));
    assertThat(sites.get(2).points()).contains(new SitePoint(What.NO_TEST, false, 0));
    assertThat(sites.get(3).points()).contains(new SitePoint(What.SLOPE, false, 18));
    assertThat(sites.get(4).points()).contains(new SitePoint(What.TAKEN, false, 0));
  }

  /** A brook along the middle of a gentle slope: twenty metres to each side are off. */
  @Test
  void theStripThatTheSlopeAsksForIsOff() {
    Off brook = new Off(Kind.WATERWAY, "Brook", List.of(new Point(50, -50), new Point(50, 150)), 5);
    Off pad =
        new Off(
            Kind.OLD_BALE_PAD,
            "",
            List.of(new Point(80, 20), new Point(84, 20), new Point(84, 24), new Point(80, 24)),
            0);
    Farms farm = new Farms().eaters("bulls", 10, 9).bales("rounds", 50);
    farm.fields.add(field("brook", 6.0, null, brook, pad));
    BaleSite site = sites(farm.build()).get(0);
    // 80 by 80 m inside the edge, less 40 by 80 along the brook, less a pad of 16 m2
    assertThat(site.netHa()).isCloseTo(0.32 - 0.0016, within(1e-6));
    assertThat(site.points())
        .contains(
            new SitePoint(What.WATER, false, 20),
            new SitePoint(What.OLD_PADS, false, 1),
            new SitePoint(What.SLOPE, false, 6));
  }
}
