/**
 * What each group eats against what it needs: gain and condition, the least supplement, water. Read
 * off a year's balance. May use: everything below and the balance.
 */
package wiselarder.core.diet;
