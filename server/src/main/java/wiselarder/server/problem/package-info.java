/**
 * Why the server refuses, as codes and values: the sentences are the web client's. In reading
 * order: {@link wiselarder.server.problem.ServerReason}, {@link wiselarder.server.problem.Problem},
 * {@link wiselarder.server.problem.RowProblem}. May use: nothing.
 */
package wiselarder.server.problem;
