package wiselarder.server.plan;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Which edit an undo takes back and which a redo brings back. Every undo and redo is a revision of
 * its own that carries the content of an earlier edit; nothing is ever taken out of the history.
 */
final class Trail {
  private final NavigableMap<Integer, Revision.Step> steps = new TreeMap<>();

  Trail(List<Revision.Step> steps) {
    steps.forEach(s -> this.steps.put(s.number(), s));
  }

  /** The edit that an undo takes back; empty at the beginning. */
  Optional<Revision.Step> toUndo() {
    Revision.Step carried = steps.get(steps.lastEntry().getValue().carries());
    return carried.kind() == Revision.Kind.BEGAN ? Optional.empty() : Optional.of(carried);
  }

  /** The edit whose content stood before {@code edit} was made. */
  int before(Revision.Step edit) {
    return steps.get(edit.number() - 1).carries();
  }

  /** The edit that a redo brings back: the last one undone since the last edit. */
  Optional<Revision.Step> toRedo() {
    Deque<Integer> undone = new ArrayDeque<>();
    for (Revision.Step s : steps.values()) {
      switch (s.kind()) {
        case UNDO -> undone.push(s.undid());
        case REDO -> undone.poll();
        default -> undone.clear();
      }
    }
    return Optional.ofNullable(undone.peek()).map(steps::get);
  }
}
