/** People who sign in, and what a role lets them do on a farm. Knows nothing of farms or plans. */
package wiselarder.server.people;
