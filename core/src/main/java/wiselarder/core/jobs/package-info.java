/**
 * What a plan asks to be done, by when: counted back from the days on which feed is wanted, and
 * from frost, green-up, births and sowing.
 *
 * <p>In reading order: {@link wiselarder.core.jobs.Job}, {@link wiselarder.core.jobs.Jobs} with the
 * makers of each kind, {@link wiselarder.core.jobs.JobMoved}, {@link wiselarder.core.jobs.Marked}.
 */
package wiselarder.core.jobs;
