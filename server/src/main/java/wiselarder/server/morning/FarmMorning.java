package wiselarder.server.morning;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import wiselarder.core.morning.Verdict;
import wiselarder.core.plan.Farm;
import wiselarder.server.people.Role;

/**
 * A farm of a person as it stood on the last morning that was reckoned; the figures are those of
 * {@link wiselarder.core.morning.Morning}.
 *
 * @param plan address of the plan that was looked at; null where none reaches to the morning
 * @param units the farm's own; null until it was reckoned, as all that follows from it
 * @param day the morning, {@code lookedFrom} the day from which the plan was looked at: its first
 *     where it has not begun
 * @param next the next decision in words, {@code late} how many jobs are late
 * @param lateJob the last of them, since {@code lateSince}
 * @param changed plan or records have changed since, or the morning is not today's
 * @param waiting it waits for a worker
 * @param failed it could not be reckoned
 */
public record FarmMorning(
    String farm,
    String name,
    boolean demo,
    Role role,
    String plan,
    String planName,
    Farm.UnitSystem units,
    Verdict verdict,
    LocalDate day,
    LocalDate lookedFrom,
    LocalDate bareOn,
    Double missingKg,
    LocalDate bareInTenOn,
    Integer fed,
    Integer years,
    LocalDate until,
    LocalDate nextOn,
    LocalDate nextLast,
    String next,
    Integer late,
    String lateJob,
    LocalDate lateSince,
    LocalDate lastSeen,
    OffsetDateTime reckonedAt,
    boolean changed,
    boolean waiting,
    boolean failed) {}
