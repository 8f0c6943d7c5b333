/** Ways of closing a gap over HTTP; they are the core's. May use: weather, plan, people. */
package wiselarder.server.closing;
