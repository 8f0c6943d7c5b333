/**
 * A round over the fields over HTTP: what is expected of each, what a reading means, and what the
 * readings so far were. What is written down goes to the records. May use: plan, year, file,
 * people, http.
 */
package wiselarder.server.walk;
