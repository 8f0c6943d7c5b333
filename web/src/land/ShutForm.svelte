<script lang="ts">
  import { untrack } from 'svelte';
  import type { Closing, Edit, Field } from '../api/client';
  import { endAfter, isoOf, lastDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import TiedDate from '../form/TiedDate.svelte';
  import ActBar from './ActBar.svelte';
  import { Deed } from './deed.svelte';
  import { usualShutting } from './acts';

  const open = thePlan();

  let {
    field,
    day,
    changeId,
    ondone,
  }: { field: Field; day: number | null; changeId: string | null; ondone: () => void } = $props();

  const plan = untrack(() => open.view!.plan);
  const before = untrack(() => plan.closings.find((c) => c.id === changeId));
  let closing = $state<Closing>(untrack(() => structuredClone($state.snapshot(before)) ?? fresh()));

  function fresh(): Closing {
    const usual = usualShutting(open.view!.year);
    const from = day ?? usual.from;
    const to = usual.to > from + 30 ? usual.to : Math.min(open.view!.year.days - 1, from + 90);
    return {
      id: freshId(
        `shut-${field.id}`,
        plan.closings.map((c) => c.id),
      ),
      fieldId: field.id,
      fromInclusive: isoOf(plan.year.start, from),
      toExclusive: isoOf(plan.year.start, to),
      grazedBy: open.view!.farm.groups.map((g) => g.id),
      grazeUntilExclusive: null,
    };
  }
  function set(change: Partial<Closing>) {
    const next = { ...$state.snapshot(closing), ...change };
    // opened past its use-by day: it may be eaten to the end
    if (next.grazeUntilExclusive && next.grazeUntilExclusive <= next.toExclusive)
      next.grazeUntilExclusive = null;
    closing = next;
    tryOut();
  }
  const edit = (): Edit => ({ putClosing: $state.snapshot(closing) });
  const deed = untrack(() => new Deed(open, field, 'shut', changeId, edit));
  const tryOut = () => deed.tryOut();
  const eaters = $derived(open.view!.farm.groups);
  function eats(id: string, may: boolean) {
    set({
      grazedBy: eaters
        .map((g) => g.id)
        .filter((g) => (g === id ? may : closing.grazedBy.includes(g))),
    });
  }
  untrack(tryOut);
</script>

<div class="input-grid">
  <TiedDate
    label="Shut from"
    fieldId={field.id}
    tie={deed.tie('FROM')}
    ontie={(t) => deed.tieTo('FROM', t)}
    value={closing.fromInclusive}
    onchange={(v) => v && set({ fromInclusive: v })}
  />
  <TiedDate
    label="Open on"
    fieldId={field.id}
    tie={deed.tie('TO')}
    ontie={(t) => deed.tieTo('TO', t)}
    value={closing.toExclusive}
    onchange={(v) => v && set({ toExclusive: v })}
  />
  <TiedDate
    label="Eaten to, last day (or to the end)"
    fieldId={field.id}
    tie={deed.tie('UNTIL')}
    ontie={(t) => deed.tieTo('UNTIL', t)}
    shownAfter={-1}
    value={closing.grazeUntilExclusive ? lastDay(closing.grazeUntilExclusive) : null}
    onchange={(v) => set({ grazeUntilExclusive: v ? endAfter(v) : null })}
  />
</div>
{#if eaters.length > 1}
  <fieldset class="checks">
    <legend>For whom</legend>
    {#each eaters as g (g.id)}
      <label
        ><input
          type="checkbox"
          class="checkbox"
          checked={closing.grazedBy.includes(g.id)}
          onchange={(e) => eats(g.id, e.currentTarget.checked)}
        />
        {g.name}</label
      >
    {/each}
  </fieldset>
{/if}
<p class="quiet fine">
  Nothing grazes it while it is shut; what stands is then eaten in strips. The herd leans on the
  other fields meanwhile, and that is counted.
</p>
<ActBar {deed} label={before ? 'Save it' : 'Shut it'} {ondone} />
