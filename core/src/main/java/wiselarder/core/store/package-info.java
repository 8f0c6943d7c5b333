/**
 * What is put by: lots of whole units, their losses in store and at feeding. May use: quantity,
 * reference.
 */
package wiselarder.core.store;
