/**
 * What comes out of the days: {@link wiselarder.core.balance.YearBalance}, which every view reads,
 * and sums of it: ledger, hay sum, bales set out. No second arithmetic. May use: day, resolved and
 * below.
 */
package wiselarder.core.balance;
