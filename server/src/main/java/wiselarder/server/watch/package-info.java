/**
 * What whoever runs the product wants to know: each request, each slow query, and sizes refused.
 */
package wiselarder.server.watch;
