/**
 * Layouts of winter feeding, to scale inside a field's shape: where bales stand, and how they are
 * opened section by section, and what is left of them. May use: land, quantity, reference. Metres
 * on the farm's plain grid.
 */
package wiselarder.core.winter;
