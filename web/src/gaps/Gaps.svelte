<script lang="ts">
  import type { Gap, YearView } from '../api/client';
  import { longDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { GAP_KINDS } from '../words/needs';
  import { causes, days, gapMeaning, noGap } from '../words/year';

  const open = thePlan();

  let { year, onclose }: { year: YearView; onclose: (gap: Gap) => void } = $props();
  const farm = $derived(open.view!.farm);
</script>

<section aria-labelledby="gaps" data-testid="gaps">
  <h2 id="gaps">Gaps</h2>
  {#if year.gaps.length === 0}
    <p>{noGap(year)}</p>
  {/if}
  {#each year.gaps as gap (gap.kind + gap.firstDay)}
    <article class={['panel', gap.kind === 'STORE' && 'store']}>
      <h3>
        {GAP_KINDS[gap.kind].name}, {longDay(year.start, gap.firstDay)} to {longDay(
          year.start,
          gap.lastDay,
        )}
      </h3>
      <p>
        {gapMeaning(gap)} on {days(gap.shortDays)}:
        <strong>{amount(gap.shortKg, 'bulk', open.system)}</strong> of dry matter,
        {Math.round(gap.animalUnitDays).toLocaleString('en-US')} animal unit days. Deepest on {longDay(
          year.start,
          gap.deepestDay,
        )}, {amount(gap.deepestKg, 'mass', open.system)} that day.
      </p>
      <ul>
        {#each causes(gap, farm, year, open.system) as cause (cause)}<li>{cause}</li>{/each}
      </ul>
      <p class="quiet">
        {gap.groups
          .map(
            (g) =>
              `${farm.groups.find((x) => x.id === g.groupId)?.name ?? g.groupId} ${amount(g.shortKg, 'bulk', open.system)}`,
          )
          .join(', ')}
      </p>
      <button class="btn plain" onclick={() => onclose(gap)}>{GAP_KINDS[gap.kind].ways}</button>
    </article>
  {/each}
</section>

<style>
  article {
    padding: 0.75rem 1rem;
    margin-top: 0.6rem;
  }
  .store {
    border-left: 4px solid var(--bare);
  }
  ul {
    list-style: disc;
    padding-left: 1.2rem;
  }
</style>
