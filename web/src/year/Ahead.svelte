<script lang="ts">
  import type { Outlook, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import LineYear from '../ruler/LineYear.svelte';
  import type { RulerScale } from '../ruler/scale';
  import { aheadSentence } from '../words/outlook';

  const open = thePlan();

  let {
    year,
    outlook,
    scale,
    at,
  }: { year: YearView; outlook: Outlook; scale: RulerScale; at: number } = $props();
  const said = $derived(aheadSentence(outlook, year.start, at, open.system, year.bareKg[at] > 0.5));
</script>

<LineYear
  title="Days ahead"
  unit="days, if nothing grew"
  lines={[
    { name: 'with the store', values: outlook.lastsWithStoreDays, colour: '#7a3f1c', dash: '5 3' },
    { name: 'what stands', values: outlook.lastsDays, colour: '#2b6e2f' },
  ]}
  {scale}
  {at}
  height={220}
  quantity="count"
  system={open.system}
  summary={`Days that feed lasts if nothing more grows. ${said}`}
/>
<p data-testid="ahead">{said}</p>
<p class="quiet">
  What stands above what must be left, in the share that stock eat of it, and what is stored, in the
  share that was eaten of it, over the needs of the days that follow; on days on which snow shuts
  the ground only the store counts. The lines end with the plan: near its end they say little.
</p>

<style>
  p {
    padding: 0.4rem 20px 0;
    max-width: 70rem;
  }
</style>
