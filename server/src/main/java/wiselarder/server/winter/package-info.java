/**
 * Winter on the field over HTTP: where bales stand and when they are opened. What is planned goes
 * by edits. May use: people, plan, year.
 */
package wiselarder.server.winter;
