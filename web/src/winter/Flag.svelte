<script lang="ts">
  import type { Point } from '../api/client';
  import { xOf, yOf, type MapView } from '../land/geometry';

  let { wire, text, now, view }: { wire: Point[][]; text: string; now: boolean; view: MapView } =
    $props();

  /** It stands at the northernmost end. */
  const top = $derived(wire.flat().reduce((a, b) => (b.northM > a.northM ? b : a)));
  const x = $derived(Math.max(30, Math.min(view.width - 30, xOf(view, top))));
  const y = $derived(Math.max(2, yOf(view, top) - 22));
</script>

<g class="flag" class:now>
  <rect x={x - 28} {y} width="56" height="19" rx="3" />
  <text {x} y={y + 14}>{text}</text>
</g>
