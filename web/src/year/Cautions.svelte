<script lang="ts">
  import { group } from 'd3-array';
  import type { YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { inUnits } from '../words/cautions';
  import LiftedHolds from './LiftedHolds.svelte';
  import LiftHold from './LiftHold.svelte';

  const open = thePlan();

  let { year }: { year: YearView } = $props();
  const farm = $derived(open.view!.farm);
  const RANK: Record<string, number> = { danger: 0, caution: 1, notice: 2 };
  /** One hazard is said once, with all that it is about; what shuts feed and what may kill first. */
  const grouped = $derived(
    [...group(year.cautions, (c) => c.hazardId).values()].sort((a, b) => rank(a) - rank(b)),
  );
  const rank = (list: Caution[]) =>
    (list.some((c) => c.blocks) ? 0 : 10) + (RANK[list[0].severity] ?? 3);
  const here = $derived(grouped.filter((list) => !list[0].everyday || list.some((c) => c.blocks)));
  const everyday = $derived(grouped.filter((list) => !here.includes(list)));
  type Caution = YearView['cautions'][number];
  /** What a caution is about: a field, a lot, and for whom. */
  function subject(c: Caution): string {
    const what =
      farm.fields.find((f) => f.id === c.fieldId)?.name ??
      year.lots.find((l) => l.id === c.lotId)?.name ??
      '';
    const whom = farm.groups.find((g) => g.id === c.groupId)?.name ?? '';
    return (what && whom ? `${what} for ${whom}` : what || whom) || 'All groups';
  }
  /** The first one or two that it is about. */
  function brief(list: Caution[]): string {
    const names = [...new Set(list.map(subject))];
    return names.length > 2 ? `${names[0]} and ${names.length - 1} more` : names.join(', ');
  }
  /** Its days, where they are not the whole plan's. */
  function when(c: Caution): string {
    const last = Math.min(c.toDay, year.days) - 1;
    if (!c.blocks && c.fromDay <= 0 && last >= year.days - 1) return '';
    const from = shortDay(year.start, Math.max(0, c.fromDay));
    return `, ${c.blocks ? 'shut ' : ''}${from} to ${shortDay(year.start, last)}`;
  }
</script>

{#snippet told(list: Caution[])}
  <details class={['panel', list[0].severity]} open={list.some((c) => c.blocks)}>
    <summary>{list[0].title} <span class="quiet">{brief(list)}</span></summary>
    <p>
      {#each list as c, i (i)}{i > 0 ? ', ' : ''}<strong>{subject(c)}</strong>{when(c)}{/each}.
    </p>
    <p>{inUnits(list[0].action, open.system)}</p>
    <p class="quiet">Ask: {list[0].whoToAsk}. Product label and local code stand above this.</p>
    {#if open.mayPlan}
      {#each list.filter((c) => c.blocks && (c.fieldId || c.lotId)) as c, i (i)}
        <LiftHold caution={c} name={subject(c)} />
      {/each}
    {/if}
  </details>
{/snippet}

{#if grouped.length}
  <section aria-labelledby="cautions">
    <h2 id="cautions">Cautions</h2>
    <LiftedHolds {year} />
    {#each here as list (list[0].hazardId)}{@render told(list)}{/each}
    {#if everyday.length}
      <details>
        <summary>
          Care that goes with the work: {everyday
            .map((list) => list[0].title.toLowerCase())
            .join('; ')}
        </summary>
        {#each everyday as list (list[0].hazardId)}{@render told(list)}{/each}
      </details>
    {/if}
  </section>
{/if}

<style>
  section {
    margin-top: 1rem;
  }
  details {
    margin-top: 0.4rem;
  }
  details.panel {
    padding: 0.3rem 1rem;
  }
  details[open].panel {
    padding-bottom: 0.6rem;
  }
  summary {
    padding-top: 0.25rem;
  }
  summary .quiet {
    font-weight: 400;
  }
  .danger {
    border-left: 4px solid var(--bare);
  }
  .caution {
    border-left: 4px solid var(--standing);
  }
</style>
