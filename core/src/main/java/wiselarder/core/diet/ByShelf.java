package wiselarder.core.diet;

import wiselarder.core.day.Shelf;

/** A need day by day and what each shelf gives towards it; in the unit of its measure. */
public interface ByShelf {
  /** What is needed that day. */
  double need(int day);

  /** What a shelf gives that day. */
  double given(Shelf shelf, int day);

  /** What is lacking that day. */
  double lacking(int day);
}
