/**
 * Strict reading of the product's tables: a bad shipped row stops the start with file, row and
 * column. May use: nothing.
 */
package wiselarder.core.reference;
