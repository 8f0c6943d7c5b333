/** The daily simulation: stated plan, resolved plan, resulting year. May use: everything below. */
package wiselarder.core.balance;
