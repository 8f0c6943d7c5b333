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
  /** Held over something else than its own row, or dropped there; whether that means something. */
  onto?: (under: Element, dropped: boolean) => boolean;
  /** Escape: as if nothing had been touched. */
  onback: () => void;
}

/** A hand that moves by less stands still. */
const STILL_PX = 8;

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
    /** Over another place that means something. */
    let away = false;

    function grab(e: PointerEvent) {
      if (e.button !== 0) return;
      e.stopPropagation();
      element.setPointerCapture(e.pointerId);
      grabbedX = e.clientX;
      from = now = what().day;
      held = true;
      away = false;
    }
    /**
     * Whether it is held over a place that means something; told once for each such place. What is
     * drawn anew because of it may move the place away: it counts until the hand goes on.
     */
    let place: Element | null = null;
    let toldAt = { x: 0, y: 0 };
    function over(e: PointerEvent): boolean {
      const { onto } = what();
      const box = element.getBoundingClientRect();
      if (!onto || (e.clientY >= box.top && e.clientY <= box.bottom)) return (away = false);
      if (away && Math.hypot(e.clientX - toldAt.x, e.clientY - toldAt.y) < STILL_PX) return true;
      const under = document.elementFromPoint(e.clientX, e.clientY);
      if (away && under === place) return true;
      place = under;
      toldAt = { x: e.clientX, y: e.clientY };
      return (away = under !== null && onto(under, false));
    }
    function move(e: PointerEvent) {
      if (!held) return;
      const { scale, onmove } = what();
      const wasAway = away;
      if (over(e)) return;
      const dayWidth = scale.x(1) - scale.x(0);
      const day = from + Math.round((e.clientX - grabbedX) / dayWidth);
      if (day === now && !wasAway) return;
      now = day;
      onmove(day);
    }
    function drop(e: PointerEvent) {
      if (!held) return;
      held = false;
      if (over(e) && what().onto?.(place!, true)) return;
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
