/** Fields and the stand on each. May use: quantity, forage. */
package wiselarder.core.land;
