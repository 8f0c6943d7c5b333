/**
 * Work that is done aside from requests, by any number of processes on one database: {@link
 * wiselarder.server.work.Workers} hands it out. What the work is stands with what it is about. May
 * use: problem.
 */
package wiselarder.server.work;
