/**
 * What all of HTTP shares: configuration, who is signed in, problems, files on the way. In reading
 * order: {@code WebConfig}, {@code SessionController}, {@code Problems} (what a refusal looks like
 * on the wire). May use: farm, lists, plan, people, json.
 */
package wiselarder.server.http;
