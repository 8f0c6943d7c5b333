package wiselarder.core.herd;

/**
 * What a day of a group asks for, as one row of figures that can be averaged over its animals. Of
 * one head; percentages as in the animal table.
 */
final class Figures {
  static final int INTAKE_PCT = 0;
  static final int MOST_PCT = 1;
  static final int TARGET_GAIN = 2;
  static final int PROTEIN_PCT = 3;
  static final int TDN_PCT = 4;
  static final int ENERGY_MJ = 5;
  static final int CALCIUM_PCT = 6;
  static final int PHOSPHORUS_PCT = 7;
  static final int FIBRE_MIN_PCT = 8;
  static final int FIBRE_CAP_PCT = 9;
  static final int WATER_10 = 10;
  static final int WATER_30 = 11;
  static final int LCT_DRY = 12;
  static final int LCT_WET = 13;
  static final int COUNT = 14;

  private Figures() {}

  /** The figures of a class at a weight; water goes by weight as energy does. */
  static double[] of(AnimalClass c, double weightKg) {
    double size = Math.pow(weightKg / c.typicalWeightKg(), 0.75);
    return new double[] {
      c.dmiTypicalPctBw(),
      c.dmiHighPctBw(),
      c.targetGainKgPerDay(),
      c.proteinNeedPct(),
      c.tdnNeedPct(),
      c.meNeedMj() * size,
      c.calciumNeedPct(),
      c.phosphorusNeedPct(),
      c.fibreMinPct(),
      c.fibreCapPctBw(),
      c.waterAt10L() * size,
      c.waterAt30L() * size,
      c.lctDryC(),
      c.lctWetC()
    };
  }

  /** Part of one and the rest of another. */
  static double[] between(double[] one, double[] other, double shareOfOther) {
    double[] mean = new double[COUNT];
    for (int i = 0; i < COUNT; i++) {
      mean[i] = one[i] * (1 - shareOfOther) + other[i] * shareOfOther;
    }
    return mean;
  }

  static void add(double[] to, double[] figures, double times) {
    for (int i = 0; i < COUNT; i++) {
      to[i] += figures[i] * times;
    }
  }
}
