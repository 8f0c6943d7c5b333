<script lang="ts">
  import type { Gap, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import { shortDay } from '../units/dates';
  import { counted, GAP_KINDS } from '../words/needs';
  import { causes, days } from '../words/year';

  const open = thePlan();

  let { year, onclose }: { year: YearView; onclose: (gap: Gap) => void } = $props();
  const farm = $derived(open.view!.farm);
  const kinds = ['CONDITION', 'WATER', 'ENERGY', 'PROTEIN'] as const;
  const found = $derived(
    kinds
      .map((kind) => ({ kind, gaps: year.needs.filter((g) => g.kind === kind) }))
      .filter((k) => k.gaps.length),
  );
  const name = (gap: Gap) =>
    farm.groups.find((g) => g.id === gap.groups[0].groupId)?.name ?? gap.groups[0].groupId;
</script>

{#if found.length}
  <section aria-labelledby="needs" data-testid="needs">
    <h2 id="needs">What else falls short</h2>
    {#each found as { kind, gaps } (kind)}
      <article class={['panel', kind === 'CONDITION' && 'risk']}>
        <h3>{GAP_KINDS[kind].name} <small>{GAP_KINDS[kind].meaning}</small></h3>
        <ul>
          {#each gaps as gap (gap.groups[0].groupId + gap.firstDay)}
            <li>
              <div class="line">
                <p>
                  <strong>{name(gap)}</strong>, {shortDay(year.start, gap.firstDay)} to {shortDay(
                    year.start,
                    gap.lastDay,
                  )}: {kind === 'CONDITION'
                    ? `too thin on ${days(gap.shortDays)}`
                    : `short on ${days(gap.shortDays)}, ${counted(kind, gap.shortKg, open.system)}`}
                </p>
                <button
                  class="btn plain"
                  aria-label={`${GAP_KINDS[kind].ways}: ${name(gap)}, ${shortDay(year.start, gap.firstDay)}`}
                  onclick={() => onclose(gap)}>Ways</button
                >
              </div>
              <p class="quiet">{causes(gap, farm, year, open.system).join(' ')}</p>
            </li>
          {/each}
        </ul>
      </article>
    {/each}
    <p class="quiet">
      Energy and protein count below nine tenths of the tables’ need, on ten days or more; condition
      below each group’s floor, or 4 of 9 and 2.5 of 5 where none is stated. Condition bears a lean
      time that is made good. It is no ration: ask your adviser or veterinarian.
    </p>
  </section>
{/if}

<style>
  section {
    margin-bottom: 1rem;
  }
  article {
    padding: 0.75rem 1rem;
    margin-top: 0.6rem;
  }
  .risk {
    border-left: 4px solid var(--bare);
  }
  h3 small {
    font-weight: 400;
    color: var(--quiet);
  }
  li {
    border-top: 1px solid var(--line);
    padding: 0.4rem 0;
  }
  .line {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 1rem;
  }
</style>
