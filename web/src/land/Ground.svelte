<script lang="ts">
  import type { Off, Outline } from '../api/client';
  import { pathOf, xOf, yOf, type MapView } from './geometry';

  let { outline, view }: { outline: Outline; view: MapView } = $props();
  const COLOURS: Record<Off['kind'], string> = {
    WATERWAY: '#2f6fb0',
    POND: '#2f6fb0',
    HOLLOW: '#5f8fb8',
    OLD_BALE_PAD: '#8a5a3a',
  };
</script>

{#each outline.pads as winter (winter.eatenUp)}
  {#each winter.at as pad (`${pad.eastM} ${pad.northM}`)}
    <circle
      class="pad"
      cx={xOf(view, pad)}
      cy={yOf(view, pad)}
      r={Math.max(2, 2.5 * view.scale)}
      fill={COLOURS.OLD_BALE_PAD}
      fill-opacity="0.25"
      stroke={COLOURS.OLD_BALE_PAD}
      stroke-dasharray="1 3"
    />
  {/each}
{/each}
{#each outline.off as off, i (i)}
  {@const line = off.kind === 'WATERWAY'}
  {@const d = pathOf(view, off.points, !line)}
  <path
    {d}
    fill={line ? 'none' : COLOURS[off.kind]}
    fill-opacity="0.25"
    stroke={COLOURS[off.kind]}
    stroke-opacity="0.3"
    stroke-width={Math.max(1, 2 * off.bufferM * view.scale)}
    stroke-linejoin="round"
    stroke-linecap="round"
  />
  <path
    {d}
    fill="none"
    stroke={COLOURS[off.kind]}
    stroke-width="1.5"
    stroke-dasharray={off.kind === 'HOLLOW'
      ? '4 3'
      : off.kind === 'OLD_BALE_PAD'
        ? '1 3'
        : undefined}
  />
{/each}
