<script lang="ts">
  import type { Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { longDay } from '../units/dates';
  import { amount } from '../units/units';

  const open = thePlan();

  let { field, day }: { field: Field; day: number } = $props();

  const year = $derived(open.year);
  const at = $derived(Math.min(day, year.days - 1));
  /** How the field stands on that day. */
  const facts = $derived.by((): [string, string][] => {
    const f = year.fields.find((x) => x.id === field.id);
    if (!f?.waterPercent.length) return [];
    const system = open.system;
    const cover = f.coverKgPerHa[at];
    const percent = (n: number) => (n < 0 ? 'nothing stands' : `${n}%`);
    const eaten = f.grazedKg[at];
    return [
      ['Stands', amount(cover, 'massPerArea', system)],
      ['Above what is left', amount(Math.max(0, cover - f.residualKgPerHa), 'massPerArea', system)],
      ['Protein, TDN', `${percent(f.proteinPercent[at])}, ${percent(f.tdnPercent[at])}`],
      ['Soil water', percent(f.waterPercent[at])],
      ['Eaten that day', eaten > 0 ? amount(eaten, 'mass', system) : 'nothing'],
    ];
  });
</script>

{#if facts.length}
  <div data-testid="field-today">
    <h3>{longDay(year.start, at)}</h3>
    <dl>
      {#each facts as [name, value] (name)}
        <div>
          <dt>{name}</dt>
          <dd>{value}</dd>
        </div>
      {/each}
    </dl>
  </div>
{/if}

<style>
  h3 {
    font-size: 14px;
    margin: 0.5rem 0 0.2rem;
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.6rem;
    font-size: 14px;
    padding-bottom: 0.6rem;
  }
  dt {
    color: var(--quiet);
    font-size: 13px;
  }
  dd {
    font-weight: 600;
  }
</style>
