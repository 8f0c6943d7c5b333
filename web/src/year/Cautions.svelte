<script lang="ts">
  import { group } from 'd3-array';
  import type { YearView } from '../api/client';
  import { shortDay } from '../units/dates';
  import { thePlan } from '../plan/context';

  const open = thePlan();

  let { year }: { year: YearView } = $props();
  const farm = $derived(open.view!.farm);
  const grouped = $derived([...group(year.cautions, (c) => c.hazardId).values()]);
  type Caution = YearView['cautions'][number];
  /** What a caution is about: a field, a lot, and for whom. */
  function subject(c: Caution): string {
    const what =
      farm.fields.find((f) => f.id === c.fieldId)?.name ??
      year.lots.find((l) => l.id === c.lotId)?.name ??
      '';
    const whom = farm.groups.find((g) => g.id === c.groupId)?.name ?? '';
    return what && whom ? `${what} for ${whom}` : what || whom;
  }
</script>

{#if grouped.length}
  <section aria-labelledby="cautions">
    <h2 id="cautions">Cautions</h2>
    {#each grouped as list (list[0].hazardId)}
      <article class={['panel', list[0].severity]}>
        <h3>{list[0].title}</h3>
        <p>
          {#each list as c, i (i)}{i > 0 ? ', ' : ''}<strong>{subject(c)}</strong>{#if c.blocks},
              shut {shortDay(year.start, c.fromDay)} to {shortDay(
                year.start,
                Math.min(c.toDay, year.days) - 1,
              )}{/if}{/each}.
        </p>
        <p>{list[0].action}</p>
        <p class="quiet">Ask: {list[0].whoToAsk}. Product label and local code stand above this.</p>
      </article>
    {/each}
  </section>
{/if}

<style>
  section {
    margin-top: 1rem;
  }
  article {
    padding: 0.75rem 1rem;
    margin-top: 0.6rem;
  }
  .danger {
    border-left: 4px solid var(--bare);
  }
  .caution {
    border-left: 4px solid var(--standing);
  }
</style>
