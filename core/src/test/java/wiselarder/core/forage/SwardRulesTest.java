package wiselarder.core.forage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SwardRulesTest {
  private static final Forage FESCUE = Forage.loadAll().get("tall_fescue_novel");

  @Test
  void massFollowsHeightFromTheResidual() {
    // 1,300 at 10 cm, 95 for each cm: at 22 cm 1,300 + 12 x 95 = 2,440
    assertThat(FESCUE.entryMassKgPerHa()).isEqualTo(2440);
    assertThat(FESCUE.massAtHeightKgPerHa(9)).isEqualTo(1205);
  }

  @Test
  void entryMassCatches95PercentOfTheLight() {
    double k = SwardRules.extinction(2440);
    assertThat(SwardRules.lightCaught(k, 2440)).isCloseTo(1 - Math.exp(-3), within(1e-12));
    assertThat(SwardRules.lightCaught(k, 0)).isZero();
  }

  @Test
  void aStandBittenShortRecoversSlowly() {
    // k = 3 / 2,440; reference half way, 1,870: light 1 - e^-2.2992 = 0.8997.
    // At 1,300: 1 - e^-1.5984 = 0.7978, share 0.887. At 400: 1 - e^-0.4918 = 0.3885, share 0.432.
    double k = SwardRules.extinction(2440);
    double reference = SwardRules.lightCaught(k, 1870);
    assertThat(SwardRules.leafShare(k, reference, 1300)).isCloseTo(0.887, within(0.001));
    assertThat(SwardRules.leafShare(k, reference, 400)).isCloseTo(0.432, within(0.001));
    assertThat(SwardRules.leafShare(k, reference, 0)).isEqualTo(SwardRules.RESERVE_SHARE);
  }

  @Test
  void growthEndsAtTheCeiling() {
    // half way from 2,440 to 6,500: 1 - 0.5^2 = 0.75
    assertThat(SwardRules.crowdingShare(4470, 2440, 6500)).isCloseTo(0.75, within(1e-12));
    assertThat(SwardRules.crowdingShare(2000, 2440, 6500)).isEqualTo(1);
    assertThat(SwardRules.crowdingShare(6500, 2440, 6500)).isZero();
    assertThat(SwardRules.crowdingShare(9000, 2440, 6500)).isZero();
  }

  @Test
  void thirtyDaysOfDailyLossMakeTheMonthlyLoss() {
    assertThat(Math.pow(1 - SwardRules.lossPerDay(0.06), 30)).isCloseTo(0.94, within(1e-12));
  }
}
