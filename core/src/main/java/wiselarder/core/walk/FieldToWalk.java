package wiselarder.core.walk;

import java.time.LocalDate;
import wiselarder.core.forage.HeightTable;

/**
 * A field on a round.
 *
 * @param forageId what stands there for the greatest part
 * @param season of that, by which a height is turned into mass
 * @param expectedKgPerHa cover that the plan has in the morning, kg DM/ha
 * @param expectedCm height at which an ordinary stand holds that; null where it is taller than the
 *     table tells
 * @param doubtKgPerHa by how much that may be wrong: the last reading's own error, and a part of
 *     all that has grown since it was read or taken down
 * @param leaveKgPerHa what is to be left, {@code enterKgPerHa} what is to stand when stock come in
 * @param growthKgPerHaDay expected today
 * @param grazedOn last day on which the plan had somebody there; null for none in the plan
 * @param askedRestDays rest that this time of the year asks for; 0 where it is not moved over
 * @param young a crop sown there is not ready for stock
 * @param plantsLift since the last pull test nobody may come in
 * @param sandy young plants lift more easily there
 * @param shut nobody may go there today: shut for later, or held
 * @param lastOn last reading before today, {@code lastKgPerHa} what it said; null for none
 * @param readToday true where it was read already
 * @param daysAtStake days of feed for all animals by which the doubt moves the forecast
 */
public record FieldToWalk(
    String fieldId,
    String forageId,
    HeightTable.Season season,
    double expectedKgPerHa,
    Double expectedCm,
    double doubtKgPerHa,
    double leaveKgPerHa,
    double enterKgPerHa,
    double growthKgPerHaDay,
    LocalDate grazedOn,
    int askedRestDays,
    boolean young,
    boolean plantsLift,
    boolean sandy,
    boolean shut,
    LocalDate lastOn,
    Double lastKgPerHa,
    boolean readToday,
    double daysAtStake) {}
