<script lang="ts">
  import type { BaleField, BaleWinter } from '../api/client';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { mixtureText } from '../words/winter';
  import { withOtherLot } from './layout';
  import type { Laying } from './laying.svelte';

  /** What bales of another lot among these change, and how they come to be fed so. */
  let {
    bales,
    winter,
    laying,
  }: { bales: BaleField; winter: BaleWinter; laying: Laying<BaleField, BaleWinter> } = $props();

  const open = thePlan();

  const steps = $derived(open.view!.plan.steps);
  const nameOf = (id?: string) => open.year.lots.find((l) => l.id === id)?.name ?? '';
  const other = $derived(nameOf(bales.mixed?.lotId));
  const otherwise = $derived(winter.cautions.some((c) => c.warning === 'MIXED_OTHERWISE'));

  /** The other lot as much of the ration as lies in the line. */
  function feedOther() {
    const known = steps.map((s) => s.id);
    const edits = winter.mixture!.groupIds.map((groupId) => {
      const id = freshId(`${groupId}-mixed`, known);
      known.push(id);
      const fed = withOtherLot(steps, { id, groupId }, bales.mixed!.lotId, winter);
      return { setFeeding: { groupId, steps: fed } };
    });
    return laying.edit(edits);
  }
</script>

{#if winter.mixture && bales.mixed}
  <section class="panel" aria-labelledby="mixed-title" data-testid="mixture">
    <h2 id="mixed-title">{other} among it</h2>
    <p>{mixtureText(winter.mixture, other, open.system)}</p>
    {#if open.mayPlan && !laying.draft && winter.from && otherwise}
      <button class="btn plain no-print" disabled={laying.working} onclick={feedOther}
        >Feed {Math.round(100 * winter.mixture.otherShare)}% of it beside {nameOf(
          bales.lotId,
        )}</button
      >
    {/if}
  </section>
{/if}
