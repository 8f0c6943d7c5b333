/** What can be chosen, as the web client reads it. May use: the core. */
package wiselarder.server.catalogue;
