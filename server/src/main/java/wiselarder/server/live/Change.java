package wiselarder.server.live;

/**
 * What has been stored.
 *
 * @param farmId the farm it is of
 * @param plan address of the plan; null where records of the farm were written
 * @param revision the plan's new revision; null of records
 */
record Change(long farmId, String plan, Integer revision) {

  /** Reads what the database tells: the farm's number and, of a plan, its address and revision. */
  static Change read(String payload) {
    String[] parts = payload.split(" ");
    long farmId = Long.parseLong(parts[0]);
    return parts.length == 1
        ? new Change(farmId, null, null)
        : new Change(farmId, parts[1], Integer.valueOf(parts[2]));
  }

  /** What a screen is told; the farm's number is nobody's business. */
  record Told(String plan, Integer revision) {}

  Told told() {
    return new Told(plan, revision);
  }
}
