package wiselarder.server.lists;

import java.util.ArrayList;
import java.util.List;

/** Rows that cannot be taken. */
public final class BadRows extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<Lists.RowProblem> problems;

  public BadRows(List<Lists.RowProblem> problems) {
    super(problems.size() + " rows cannot be taken");
    this.problems = new ArrayList<>(problems);
  }

  public List<Lists.RowProblem> problems() {
    return problems;
  }
}
