/**
 * HTTP, storage and files around the core. Thin: it loads a plan, calls the core, stores what
 * changed.
 */
package wiselarder.server;
