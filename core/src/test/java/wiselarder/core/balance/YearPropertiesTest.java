package wiselarder.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wiselarder.core.Farms.ENGINE;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import wiselarder.core.Farms;
import wiselarder.core.herd.AnimalGroup;
import wiselarder.core.land.Field;
import wiselarder.core.land.Stand;
import wiselarder.core.plan.Closing;
import wiselarder.core.plan.FarmPlan;
import wiselarder.core.plan.HayCut;
import wiselarder.core.plan.Purchase;

/** What holds for any farm. */
class YearPropertiesTest {
  private static final List<String> FORAGES =
      List.of("tall_fescue_novel", "bermudagrass", "orchardgrass", "native_warm_mix", "timothy");
  private static final List<String> STORAGE = List.of("s_barn", "s_net_ground", "s_wrapped_torn");

  /** A farm drawn from a seed: the same seed gives the same farm. */
  record Drawn(java.util.Random chance, LocalDate start) {
    Farms farm(int extraBales) {
      Farms farm = new Farms();
      farm.start = start;
      farm.months = 12 + chance.nextInt(13);
      farm.climate = chance.nextBoolean() ? "transition_humid" : "temperate_humid_south";
      int fields = 1 + chance.nextInt(6);
      for (int f = 0; f < fields; f++) {
        farm.fields.add(field("f" + f));
      }
      int lots = 1 + chance.nextInt(3);
      for (int l = 0; l < lots; l++) {
        String storage = STORAGE.get(chance.nextInt(STORAGE.size()));
        farm.lots.add(
            new wiselarder.core.store.Lot(
                "l" + l,
                "Lot",
                "bale",
                chance.nextInt(80) + (l == 0 ? extraBales : 0),
                300,
                0.87,
                storage,
                "f_ring_open",
                null,
                ""));
      }
      int groups = 1 + chance.nextInt(3);
      for (int g = 0; g < groups; g++) {
        group(farm, "g" + g, fields);
      }
      shutCutBuy(farm);
      return farm;
    }

    private Field field(String id) {
      List<Double> rates = new ArrayList<>();
      for (int m = 0; m < 12; m++) {
        rates.add(chance.nextDouble() * 60);
      }
      LocalDate from = chance.nextInt(5) == 0 ? start.plusDays(40) : null;
      LocalDate to = from == null ? null : start.plusDays(200);
      return new Field(
          id,
          id,
          1 + chance.nextInt(20),
          new Stand(
              FORAGES.get(chance.nextInt(FORAGES.size())),
              null,
              rates,
              chance.nextDouble() * 5000,
              chance.nextDouble(),
              from,
              to),
          Field.Grazing.values()[chance.nextInt(3)],
          null,
          chance.nextBoolean() ? null : chance.nextDouble() * 1500,
          null,
          true,
          "");
    }

    private void group(Farms farm, String id, int fields) {
      boolean dams = chance.nextBoolean();
      farm.groups.add(
          new AnimalGroup(
              id,
              id,
              dams ? "beef/cow" : "beef/steer",
              chance.nextInt(60),
              250 + chance.nextInt(400),
              dams ? 0 : 0.4,
              null,
              dams ? MonthDay.of(1 + chance.nextInt(12), 1 + chance.nextInt(28)) : null,
              1 + chance.nextInt(80),
              0.9,
              null,
              null,
              null,
              null));
      String[] ids = new String[fields];
      for (int f = 0; f < fields; f++) {
        ids[f] = "f" + f;
      }
      farm.graze(id, null, null, ids);
      farm.feed(id, null, null);
    }

    private void shutCutBuy(Farms farm) {
      LocalDate shut = start.plusDays(chance.nextInt(100));
      farm.closings.add(new Closing("c", "f0", shut, shut.plusDays(90), List.of("g0"), null));
      farm.cuts.add(
          new HayCut(
              "cut",
              "f0",
              start.plusDays(chance.nextInt(360)),
              "h_hay_not_conditioned",
              Farms.bale("made", 0)));
      farm.purchases.add(
          new Purchase(
              "p", start.plusDays(chance.nextInt(360)), Farms.bale("bought", 10), List.of()));
    }
  }

  @Provide
  Arbitrary<LocalDate> starts() {
    return Arbitraries.integers().between(0, 1500).map(d -> LocalDate.of(2025, 1, 1).plusDays(d));
  }

  @Property(tries = 120)
  void everyKilogramIsAccountedFor(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    assertThat(b.massBalance().error()).isLessThan(1e-6);
  }

  @Property(tries = 80)
  void everyDayTheNeedIsEatenOrBare(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    for (int d = 0; d < b.days(); d++) {
      double met = b.bareKg(d);
      for (Shelf shelf : Shelf.values()) {
        met += b.eatenKg(shelf, d);
      }
      assertThat(met).isCloseTo(b.needKg(d), within(1e-6));
    }
  }

  @Property(tries = 80)
  void nothingBelowTheResidualIsEaten(@ForAll long seed, @ForAll("starts") LocalDate start) {
    FarmPlan stated = new Drawn(new java.util.Random(seed), start).farm(0).build();
    YearBalance b = ENGINE.simulate(stated);
    for (int f = 0; f < stated.farm().fields().size(); f++) {
      for (int d = 1; d < b.days(); d++) {
        if (b.grazedKg(f, d) > 0) {
          double lost = b.weatheredKg(f, d) / stated.farm().fields().get(f).areaHa();
          assertThat(b.coverKgPerHa(f, d) + lost)
              .isGreaterThanOrEqualTo(b.residualKgPerHa(f) - 1e-6);
        }
      }
    }
  }

  @Property(tries = 80)
  void moreHayNeverMakesAGapLonger(
      @ForAll long seed,
      @ForAll("starts") LocalDate start,
      @ForAll @IntRange(min = 1, max = 200) int extra) {
    YearBalance less =
        ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    YearBalance more =
        ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(extra).build());
    assertThat(more.totalBareKg()).isLessThanOrEqualTo(less.totalBareKg() + 1e-6);
  }

  @Property(tries = 50)
  void movingAPlanByALeapCycleChangesNothing(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance now = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    YearBalance later =
        ENGINE.simulate(new Drawn(new java.util.Random(seed), start.plusYears(4)).farm(0).build());
    assertThat(later.days()).isEqualTo(now.days());
    assertThat(later.massBalance()).isEqualTo(now.massBalance());
  }

  @Property(tries = 50)
  void theLedgerIsTheSumOfItsDays(@ForAll long seed, @ForAll("starts") LocalDate start) {
    YearBalance b = ENGINE.simulate(new Drawn(new java.util.Random(seed), start).farm(0).build());
    double months = Ledger.months(b).stream().mapToDouble(Ledger.Line::putByKg).sum();
    double days = Ledger.days(b).stream().mapToDouble(Ledger.Line::putByKg).sum();
    assertThat(months).isCloseTo(days, within(1e-6));
    assertThat(Ledger.total(b).putByKg()).isCloseTo(days, within(1e-6));
  }
}
