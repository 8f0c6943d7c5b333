<script lang="ts">
  import type { BaleField, BaleWinter, Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { lastDay, longDate } from '../units/dates';
  import { nutrientText } from '../words/winter';
  import { keptPads, padsOf, withoutPads, withPads } from './layout';
  import type { Laying } from './laying.svelte';

  /** What bales bring onto a field, and the pads that are kept of them. */
  let {
    winter,
    field,
    laying,
  }: { winter: BaleWinter; field: Field; laying: Laying<BaleField, BaleWinter> } = $props();

  const open = thePlan();

  const pads = $derived(padsOf(winter));
  const kept = $derived(pads && field.outline ? keptPads(field.outline, pads.eatenUp) : null);
  const padsKept = (outline: Field['outline']) =>
    laying.edit([{ putField: { ...field, outline } }]);
</script>

<section class="panel" aria-labelledby="left-title" data-testid="left-for-grass">
  <h2 id="left-title">Left for the grass</h2>
  <p>{nutrientText(winter, open.system)}</p>
  {#if pads && open.mayPlan && !laying.draft}
    <div class="row no-print">
      {#if kept}
        <button
          class="btn plain"
          disabled={laying.working}
          onclick={() => padsKept(withoutPads(field.outline!, pads.eatenUp))}
          >Forget these pads</button
        >
      {:else}
        <button
          class="btn plain"
          disabled={laying.working}
          onclick={() => padsKept(withPads(field.outline!, pads))}
          >Keep the {pads.at.length} pads</button
        >
      {/if}
    </div>
    <p class="quiet fine">
      {kept
        ? `${kept.at.length} pads are kept, eaten up by ${longDate(lastDay(kept.eatenUp))}. Bales of the winters after that leave them alone for as many years as they are told to.`
        : 'Kept with their winter, bales of the next ones leave them alone; they take no area off.'}
    </p>
  {/if}
  {#if typeof field.lie.soilTest?.phosphorusMgPerKg === 'number'}
    <p>Soil: phosphorus {field.lie.soilTest.phosphorusMgPerKg} mg/kg by its test.</p>
  {/if}
</section>
