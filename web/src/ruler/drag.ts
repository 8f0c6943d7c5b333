import type { Attachment } from 'svelte/attachments';
import type { RulerScale } from './scale';

/** What a mark on the ruler does while a hand has it. */
export interface DayDrag {
  scale: RulerScale;
  /** Where it stands. */
  day: number;
  /** While it moves; the engine is asked and the picture follows. */
  onmove: (day: number) => void;
  /** Left where it is now: to be saved. */
  ondrop: (day: number) => void;
  /** Escape: as if nothing had been touched. */
  onback: () => void;
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 };

/**
 * Moves something along the ruler by mouse, touch or keyboard: arrows a day, Page keys a week, each
 * press dropped at once; Escape gives a drag back.
 */
export function dayDrag(what: () => DayDrag): Attachment<SVGElement> {
  return (element) => {
    let grabbedX = 0;
    let from = 0;
    let now = 0;
    let held = false;

    function grab(e: PointerEvent) {
      if (e.button !== 0) return;
      e.stopPropagation();
      element.setPointerCapture(e.pointerId);
      grabbedX = e.clientX;
      from = now = what().day;
      held = true;
    }
    function move(e: PointerEvent) {
      if (!held) return;
      const { scale, onmove } = what();
      const dayWidth = scale.x(1) - scale.x(0);
      const day = from + Math.round((e.clientX - grabbedX) / dayWidth);
      if (day === now) return;
      now = day;
      onmove(day);
    }
    function drop() {
      if (!held) return;
      held = false;
      if (now === from) what().onback();
      else what().ondrop(now);
    }
    function back() {
      if (!held) return;
      held = false;
      what().onback();
    }
    function escape(e: KeyboardEvent) {
      if (e.key !== 'Escape' || !held) return;
      e.preventDefault();
      back();
    }
    function key(e: KeyboardEvent) {
      const step = STEPS[e.key];
      if (step === undefined) return;
      e.preventDefault();
      what().ondrop(what().day + step);
    }

    element.addEventListener('pointerdown', grab);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', drop);
    element.addEventListener('pointercancel', back);
    element.addEventListener('keydown', key as EventListener);
    window.addEventListener('keydown', escape);
    return () => {
      element.removeEventListener('pointerdown', grab);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', drop);
      element.removeEventListener('pointercancel', back);
      element.removeEventListener('keydown', key as EventListener);
      window.removeEventListener('keydown', escape);
    };
  };
}
