/**
 * Layouts of winter feeding, to scale inside a field's shape: where bales stand, and how they are
 * opened section by section. May use: land, quantity. Metres on the farm's plain grid.
 */
package wiselarder.core.winter;
