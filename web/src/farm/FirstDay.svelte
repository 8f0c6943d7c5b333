<script lang="ts">
  import type { FirstDay } from '../api/client';
  import { thePlan } from '../plan/context';
  import { longDate } from '../units/dates';
  import { amount } from '../units/units';
  import { plural } from '../words/year';

  const open = thePlan();

  let { first }: { first: FirstDay } = $props();

  const percent = (share: number) => `${Math.round(100 * share)}%`;
  const nameOf = (id: string) => (open.forages.find((f) => f.id === id)?.name ?? id).toLowerCase();
  const cover = (kg: number) => amount(kg, 'massPerArea', open.system);

  type OnField = FirstDay['fields'][number];
  function stands(f: OnField): string {
    const base =
      f.forageId === null
        ? 'ploughed in'
        : f.coverKgPerHa === null
          ? `${nameOf(f.forageId)}, later`
          : `${nameOf(f.forageId)} ${cover(f.coverKgPerHa)}` +
            (f.deadShare >= 0.05 ? `, ${percent(f.deadShare)} dead` : '');
    const crops = f.crops.map(
      (c) =>
        `${nameOf(c.forageId)} ${c.coverKgPerHa > 0 ? cover(c.coverKgPerHa) : 'not up yet'}` +
        (c.deadShare >= 1 ? ', dead' : c.ready || c.coverKgPerHa <= 0 ? '' : ', not ready'),
    );
    return [base, ...crops].join('; ');
  }
  const rich = $derived(first.fields.some((f) => f.nitrogenKgPerHa >= 1));
  const full = $derived(first.lots.filter((l) => l.units > 0));
  const empty = $derived(first.lots.filter((l) => l.units === 0).map((l) => l.name));
  function counted(head: number, was: number): string {
    return head === was ? `${head}` : `${head} (${was} a plan before)`;
  }
</script>

<div class="first" data-testid="first-day">
  <h3>On {longDate(first.start)} {first.start.slice(0, 4)}, as {first.from} leaves it</h3>
  <div class="sheets">
    <table>
      <caption>Land</caption>
      <thead>
        <tr
          ><th>Field</th><th>Stands</th><th class="figure">Soil</th>{#if rich}<th class="figure"
              >N</th
            >{/if}</tr
        >
      </thead>
      <tbody>
        {#each first.fields as f (f.name)}
          <tr>
            <th scope="row">{f.name}</th>
            <td>{stands(f)}</td>
            <td class="figure"
              >{f.soilWaterShare === null ? '' : `${percent(f.soilWaterShare)} full`}</td
            >
            {#if rich}<td class="figure"
                >{f.nitrogenKgPerHa >= 1
                  ? amount(f.nitrogenKgPerHa, 'nutrient', open.system)
                  : ''}</td
              >{/if}
          </tr>
        {/each}
      </tbody>
    </table>
    <div>
      <table>
        <caption>Store</caption>
        <tbody>
          {#each full as lot, i (i)}
            <tr>
              <th scope="row">{lot.name}</th>
              <td class="figure">{lot.units} {plural(lot.unitName, lot.units)}</td>
            </tr>
          {:else}
            <tr><td>Nothing is left.</td></tr>
          {/each}
          {#if empty.length}
            <tr><td colspan="2" class="quiet">All fed: {empty.join(', ')}</td></tr>
          {/if}
        </tbody>
      </table>
      <table>
        <caption>Herd</caption>
        <tbody>
          {#each first.groups as g (g.name)}
            <tr>
              <th scope="row">{g.name}</th>
              <td class="figure"
                >{counted(g.head, g.was)}{g.later ? `, from ${longDate(g.later)}` : ''}</td
              >
              <td class="figure">{amount(g.weightKg, 'weight', open.system)}</td>
              <td class="figure"
                >{g.conditionScore === null ? '' : `condition ${g.conditionScore}`}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </div>
</div>

<style>
  h3 {
    font-size: 14px;
    margin: 0.8rem 0 0.3rem;
  }
  .sheets {
    display: grid;
    align-items: start;
    grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
    gap: 0.5rem 2rem;
  }
  table {
    width: 100%;
    font-size: 13px;
    border-collapse: collapse;
    margin-bottom: 0.6rem;
  }
  caption {
    text-align: left;
    color: var(--quiet);
    padding-bottom: 0.15rem;
  }
  th,
  td {
    text-align: left;
    padding: 0.2rem 0.6rem 0.2rem 0;
    border-top: 1px solid var(--line);
    vertical-align: top;
    font-weight: 400;
  }
  th[scope='row'] {
    font-weight: 600;
  }
  .figure {
    text-align: right;
    white-space: nowrap;
  }
  @media (max-width: 760px) {
    .figure {
      white-space: normal;
    }
  }
</style>
