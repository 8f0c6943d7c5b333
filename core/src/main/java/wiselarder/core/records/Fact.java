package wiselarder.core.records;

/**
 * One thing that was seen or done. A new kind is a record here and a name in the server's codec;
 * nothing else has to know of it but who reads it.
 */
public sealed interface Fact
    permits LotFed,
        LotCounted,
        LotTested,
        SampleSent,
        ConditionSeen,
        CoverSeen,
        StemsSeen,
        HerdMoved,
        FieldHeld,
        FieldOpened,
        HeadCounted,
        StakeSeen,
        Noticed,
        BirthsSeen,
        PhotoTaken,
        WeatherMeasured,
        Struck,
        JobMarked,
        HoldLifted {

  /** The lot that it is about, or null. */
  default String lotId() {
    return null;
  }

  /** The group that it is about, or null. */
  default String groupId() {
    return null;
  }

  /** The field that it is about, or null. */
  default String fieldId() {
    return null;
  }

  /** True where somebody stood before what it tells: counted, fed, scored or sampled it. */
  default boolean seenOnFarm() {
    return false;
  }
}
