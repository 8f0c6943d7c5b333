/** The engine held against the tables it was set by: what it makes of every stand and crop. */
package wiselarder.core.check;
