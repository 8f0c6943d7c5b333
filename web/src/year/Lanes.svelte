<script lang="ts">
  import type { Closing, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import type { RulerScale } from '../ruler/scale';
  import Lane from '../ruler/Lane.svelte';

  const open = thePlan();

  let { year, scale }: { year: YearView; scale: RulerScale } = $props();

  const farm = $derived(open.view!.farm);
  const plan = $derived(open.view!.plan);
  const forages = $derived(new Map(open.forages.map((f) => [f.id, f.name])));
  const lanes = $derived(
    farm.fields.flatMap((field) => {
      const result = year.fields.find((f) => f.id === field.id);
      return result ? [{ field, result }] : [];
    }),
  );

  function shift(closing: Closing) {
    open.tryOut([{ putClosing: closing }]);
  }
  async function settle(closing: Closing) {
    if (!(await open.edit([{ putClosing: closing }]))) open.dropTrial();
  }
</script>

<h2>
  Fields <span class="quiet">{lanes.length}; cover against its ceiling, bars where grazed</span>
</h2>
{#each lanes as { field, result } (field.id)}
  <Lane
    {field}
    {result}
    {year}
    {scale}
    system={open.system}
    stand={(forages.get(field.stand.forageId) ?? '').split(' (')[0].toLowerCase()}
    closings={plan.closings.filter((c) => c.fieldId === field.id)}
    cuts={plan.cuts.filter((c) => c.fieldId === field.id)}
    sowings={plan.sowings.filter((s) => s.fieldId === field.id)}
    onshift={shift}
    onsettle={settle}
  />
{/each}

<style>
  h2 {
    padding: 0.5rem 20px 0.25rem;
    font-size: 14px;
  }
  h2 span {
    font-weight: 400;
    margin-left: 0.5rem;
    font-size: 13px;
  }
</style>
