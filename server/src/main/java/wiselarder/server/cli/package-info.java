/** The balance of a farm file on the command line. May use: file, json. */
package wiselarder.server.cli;
