/**
 * From one plan into the next: what is there at the end of the one is there as the other begins.
 */
package wiselarder.core.carry;
