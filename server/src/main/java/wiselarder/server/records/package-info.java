/**
 * What was seen or done on farms, as it is written down and kept: {@link
 * wiselarder.server.records.Records} takes commands, {@link
 * wiselarder.server.records.RecordRepository} is the table. Nothing of it ever meets a revision of
 * a plan. May use: plan, people, json.
 */
package wiselarder.server.records;
