/** What of a plan stands in its own way. May use: everything below; nothing but engine uses it. */
package wiselarder.core.conflict;
