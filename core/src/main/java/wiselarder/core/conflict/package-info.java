/** What of a plan stands in its own way. May use: everything below; engine uses it. */
package wiselarder.core.conflict;
