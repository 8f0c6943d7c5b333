/**
 * What things cost: the farm's own prices, and those of the product where it has none. May use:
 * quantity, reference.
 */
package wiselarder.core.price;
