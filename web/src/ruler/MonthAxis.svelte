<script lang="ts">
  import type { YearView } from '../api/client';
  import { monthName } from '../units/dates';
  import type { RulerScale } from './scale';

  let { year, scale }: { year: YearView; scale: RulerScale } = $props();

  const HEIGHT = 18;
</script>

<svg width={scale.width} height={HEIGHT} aria-hidden="true" class="block">
  {#each year.ledger as month (month.startDay)}
    {@const room = scale.x(month.endDay) - scale.x(month.startDay)}
    <path d={`M${scale.x(month.startDay)} 0V${HEIGHT}`} stroke="#c5d0e0" />
    <text x={scale.x(month.startDay) + 4} y="13"
      >{monthName(month.month).slice(0, room > 28 ? 3 : 1)}</text
    >
  {/each}
</svg>

<style>
  text {
    font-size: 11px;
    font-weight: 700;
    fill: #16233a;
  }
</style>
