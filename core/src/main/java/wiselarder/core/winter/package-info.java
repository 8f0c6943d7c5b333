/** Winter on the field: bales set out, when they are opened, and what they leave for the grass. */
package wiselarder.core.winter;
