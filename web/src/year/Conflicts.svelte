<script lang="ts">
  import type { Conflict, YearView } from '../api/client';
  import { thePlan } from '../plan/context';
  import { conflictText, isConflict } from '../words/conflicts';

  const open = thePlan();

  let { year }: { year: YearView } = $props();

  const farm = $derived(open.view!.farm);
  const found = $derived(year.conflicts.filter(isConflict));

  /** Where it is changed. */
  function where(c: Conflict): string {
    const plan = `#/plan/${open.view!.id}`;
    if (c.what === 'FEEDING') return `${plan}/herd?group=${c.subjects[0]}&side=feeds`;
    return `${plan}/land?field=${c.subjects[0]}&change=${c.itemId}`;
  }
</script>

{#if found.length}
  <section aria-labelledby="conflicts" data-testid="conflicts">
    <h2 id="conflicts">What stands in the way</h2>
    <ul class="panel">
      {#each found as c, i (i)}
        {@const text = conflictText(c, farm, year.start, open.system)}
        <li>
          <span>{text}</span>
          {#if open.mayPlan}
            <a class="btn plain" href={where(c)}
              >Change<span class="visually-hidden">: {text}</span></a
            >
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  ul {
    margin-top: 0.6rem;
    border-left: 4px solid var(--standing);
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    padding: 0.4rem 1rem;
    border-bottom: 1px solid var(--line);
  }
  li:last-child {
    border-bottom: none;
  }
</style>
