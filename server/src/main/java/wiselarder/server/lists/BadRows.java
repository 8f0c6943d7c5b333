package wiselarder.server.lists;

import java.util.ArrayList;
import java.util.List;
import wiselarder.server.problem.RowProblem;

/** Rows that cannot be taken. */
public final class BadRows extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<RowProblem> problems;

  public BadRows(List<RowProblem> problems) {
    super(problems.size() + " rows cannot be taken");
    this.problems = new ArrayList<>(problems);
  }

  public List<RowProblem> problems() {
    return problems;
  }
}
