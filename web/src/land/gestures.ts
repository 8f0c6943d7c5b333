import type { Attachment } from 'svelte/attachments';

/** What a hand does to a map; positions in pixels from its corner. */
export interface MapHand {
  /** Nearer or further about a point. */
  onzoom: (factor: number, x: number, y: number) => void;
  onpan: (rightPx: number, downPx: number) => void;
}

/** Less than this is a click by a hand that trembles. */
const STILL_PX = 5;

/**
 * Wheel and two fingers zoom, a drag on the ground moves the map. A drag that moved it is no click:
 * that is kept from whatever else listens.
 */
export function mapHand(hand: () => MapHand): Attachment<SVGElement> {
  return (board) => {
    const fingers: Record<number, { x: number; y: number }> = {};
    let travelled = 0;

    const at = (e: PointerEvent | WheelEvent) => {
      const box = board.getBoundingClientRect();
      return { x: e.clientX - box.left, y: e.clientY - box.top };
    };
    function wheel(e: WheelEvent) {
      e.preventDefault();
      const { x, y } = at(e);
      hand().onzoom(Math.exp(-e.deltaY / 400), x, y);
    }
    function press(e: PointerEvent) {
      // what stands on the map and is dragged itself says so by stopping the event
      if (e.button !== 0) return;
      fingers[e.pointerId] = at(e);
      if (Object.keys(fingers).length === 1) travelled = 0;
    }
    function move(e: PointerEvent) {
      const before = fingers[e.pointerId];
      if (!before) return;
      const now = at(e);
      const others = Object.entries(fingers).filter(([id]) => Number(id) !== e.pointerId);
      if (others.length === 1) {
        const other = others[0][1];
        const apart = (p: { x: number; y: number }) => Math.hypot(p.x - other.x, p.y - other.y);
        hand().onzoom(
          apart(now) / Math.max(1, apart(before)),
          (now.x + other.x) / 2,
          (now.y + other.y) / 2,
        );
        travelled = Infinity;
      } else {
        travelled += Math.hypot(now.x - before.x, now.y - before.y);
        if (travelled > STILL_PX) hand().onpan(now.x - before.x, now.y - before.y);
        else return;
      }
      fingers[e.pointerId] = now;
    }
    function lift(e: PointerEvent) {
      delete fingers[e.pointerId];
    }
    function click(e: MouseEvent) {
      if (travelled > STILL_PX) e.stopPropagation();
    }

    board.addEventListener('wheel', wheel, { passive: false });
    board.addEventListener('pointerdown', press);
    board.addEventListener('pointermove', move);
    window.addEventListener('pointerup', lift);
    window.addEventListener('pointercancel', lift);
    board.addEventListener('click', click, { capture: true });
    return () => {
      board.removeEventListener('wheel', wheel);
      board.removeEventListener('pointerdown', press);
      board.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', lift);
      window.removeEventListener('pointercancel', lift);
      board.removeEventListener('click', click, { capture: true });
    };
  };
}
