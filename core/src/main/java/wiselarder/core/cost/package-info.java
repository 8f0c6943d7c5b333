/**
 * What feeding costs: money by shelf, group, day and winter; days grazed and fed; starts of the
 * tractor. Read off a year's balance. May use: everything below and the balance.
 */
package wiselarder.core.cost;
