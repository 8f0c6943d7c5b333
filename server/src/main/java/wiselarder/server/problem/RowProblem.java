package wiselarder.server.problem;

import wiselarder.core.quantity.Reason;
import wiselarder.core.quantity.Refusal;
import wiselarder.core.quantity.Refused;

/**
 * What is wrong in a row of a file.
 *
 * @param row 1 is the header; 0 where it is not known
 * @param column as the file's header names it, or empty
 */
public record RowProblem(int row, String column, Problem problem) {
  public static RowProblem of(int row, String column, Reason reason, Object... values) {
    return new RowProblem(row, column, Problem.of(Refusal.of(reason, column, values)));
  }

  public static RowProblem of(int row, Refusal r) {
    return new RowProblem(row, r.field(), Problem.of(r));
  }

  public static RowProblem of(int row, Refused r) {
    return new RowProblem(row, r.field(), Problem.of(r));
  }
}
