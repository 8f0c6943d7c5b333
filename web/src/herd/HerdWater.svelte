<script lang="ts">
  import { shortDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';

  const open = thePlan();

  const farm = $derived(open.view!.farm);
  const rows = $derived(open.year.water.filter((w) => w.grazedDays > 0));
  const name = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
  const hauled = $derived(rows.reduce((sum, r) => sum + r.hauledM3, 0));
</script>

{#if rows.length}
  <details class="panel form" data-testid="water">
    <summary
      ><h2>Water at each field</h2>
      <span class="quiet">days grazed, the most that is drunk there, and whether it holds out</span
      ></summary
    >
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="months-scroll" tabindex="0" role="region" aria-label="Water by field">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Field</th>
            <th scope="col" class="number">Days grazed</th>
            <th scope="col" class="number">Most drunk a day, {unitOf('litres', open.system)}</th>
            <th scope="col">On</th>
            <th scope="col" class="number">It gives</th>
            <th scope="col">Holds out</th>
          </tr>
        </thead>
        <tbody>
          {#each rows as w (w.fieldId)}
            <tr>
              <th scope="row">{name(w.fieldId)}</th>
              <td class="number">{w.grazedDays}</td>
              <td class="number">{figure(w.mostL, 'litres', open.system)}</td>
              <td>{w.mostDay >= 0 ? shortDay(open.year.start, w.mostDay) : ''}</td>
              <td class="number"
                >{w.supplyL === null ? 'not said' : figure(w.supplyL, 'litres', open.system)}</td
              >
              <td class:short={w.shortDays > 0}
                >{w.supplyL === null
                  ? ''
                  : w.shortDays > 0
                    ? `short on ${w.shortDays} days`
                    : 'always'}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <p class="quiet fine">
      By class and heat, less the water in what they eat; a group drinks where it grazed most that
      day.
      {#if hauled > 0}{amount(hauled, 'volume', open.system)} are brought over the plan{#if rows.some((r) => r.haulingCost !== null)},
          for {farm.currency}
          {Math.round(rows.reduce((s, r) => s + (r.haulingCost ?? 0), 0)).toLocaleString(
            'en-US',
          )}{/if}.{/if}
      What a field gives is stated under Land, how it lies. Hot spells double the need: stand above these
      means.
    </p>
  </details>
{/if}

<style>
  h2 {
    display: inline;
  }
  summary {
    cursor: pointer;
    min-height: 2.25rem;
  }
  table {
    width: 100%;
  }
  .short {
    color: var(--bare-dark);
    font-weight: 700;
  }
</style>
