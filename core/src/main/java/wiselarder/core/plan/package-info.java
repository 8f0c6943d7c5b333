/**
 * The farm and what is intended, as stated by the user, and the edits that change it. May use:
 * everything below.
 */
package wiselarder.core.plan;
