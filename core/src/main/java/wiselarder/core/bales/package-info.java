/**
 * Where bales stand on a field: the ground that is left for them, the grid, and the sections in
 * which they are opened.
 */
package wiselarder.core.bales;
