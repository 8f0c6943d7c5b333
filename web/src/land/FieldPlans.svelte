<script lang="ts">
  import type { Field } from '../api/client';
  import { thePlan } from '../plan/context';
  import { plannedThings, type PlannedThing } from '../plan/planned';
  import { amount } from '../units/units';

  const open = thePlan();

  let { field, onchange }: { field: Field; onchange: (thing: PlannedThing) => void } = $props();

  const name = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;
  const things = $derived(
    plannedThings(open.view!, open.year, name, open.system).filter((t) => t.fieldId === field.id),
  );
  const result = $derived(open.year.fields.find((f) => f.id === field.id));
  const netHa = $derived(field.areaHa - (field.deductedHa ?? 0));
  /** What the year's growth of this field came to. */
  const gives = $derived.by(() => {
    if (!result) return '';
    const bulk = (kg: number) => amount(kg, 'bulk', open.system);
    const parts = [
      `${bulk(result.eatenKg)} grazed`,
      ...(result.cutKg > 0 ? [`${bulk(result.cutKg)} cut`] : []),
      `${bulk(result.wastedKg)} trodden`,
      `${bulk(result.weatheredKg)} lost to age and weather`,
    ];
    const perHa = amount(result.grownKg / netHa, 'massPerArea', open.system);
    return `${bulk(result.grownKg)} grown, ${perHa}: ${parts.join(', ')}.`;
  });
  const holds = $derived(open.year.cautions.filter((c) => c.fieldId === field.id && c.blocks));
</script>

<dl data-testid="field-plans">
  {#each things as t (t.id)}
    <div>
      <dt>{t.text}</dt>
      <dd>
        <span class="quiet" data-testid={`${t.kind}-outcome`}>{t.outcome}</span>
        {#if open.mayPlan}
          <span class="acts">
            <button class="btn plain" onclick={() => onchange(t)}
              >Change<span class="visually-hidden"> {t.said}</span></button
            >
            <button class="btn plain" onclick={() => open.edit([t.back])}
              >Take back<span class="visually-hidden"> {t.said}</span></button
            >
          </span>
        {/if}
      </dd>
    </div>
  {:else}
    <div>
      <dt>Planned</dt>
      <dd class="quiet">Nothing but grazing. Shut, cut or sow it under “Do something here”.</dd>
    </div>
  {/each}
  {#if gives}
    <div>
      <dt>Gives in the plan</dt>
      <dd>{gives}</dd>
    </div>
  {/if}
  {#each holds as c, i (i)}
    <div>
      <dt>Watch</dt>
      <dd class="watch">{c.title}</dd>
    </div>
  {/each}
</dl>

<style>
  dl > div {
    display: grid;
    grid-template-columns: minmax(9rem, 18rem) 1fr;
    gap: 0.2rem 1rem;
    align-items: center;
    padding: 0.5rem 0;
    border-top: 1px solid var(--line);
  }
  dt {
    font-weight: 600;
  }
  dd {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.3rem 1rem;
  }
  dd > .quiet {
    flex: 1 1 14rem;
  }
  .acts {
    display: flex;
    gap: 0.4rem;
  }
  .watch {
    color: var(--bare-dark);
  }
  @media (max-width: 760px) {
    dl > div {
      grid-template-columns: 1fr;
    }
  }
</style>
