<script lang="ts">
  import type { AnimalGroup } from '../api/client';
  import { monthName } from '../dates';
  import { open } from '../plan.svelte';

  let { group }: { group: AnimalGroup } = $props();

  const curve = $derived(open.year.groups.find((g) => g.id === group.id));
  /** Mean over the days of a month on which the group grazed; nothing where it did not. */
  function mean(values: number[], from: number, to: number): string {
    const known = values.slice(from, to).filter((v) => v >= 0);
    return known.length === 0
      ? ''
      : String(Math.round(known.reduce((a, b) => a + b, 0) / known.length));
  }
  const rows = $derived(
    curve
      ? [
          { name: 'Protein, %', values: curve.grazedProteinPercent },
          { name: 'TDN, %', values: curve.grazedTdnPercent },
          { name: 'Fibre (NDF), %', values: curve.grazedFibrePercent },
        ]
      : [],
  );
</script>

{#if curve}
  <section class="part" aria-label="What it grazes is worth">
    <h2>What it grazes is worth</h2>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="months-scroll" tabindex="0" role="region" aria-label="Worth by month">
      <table class="months-table">
        <thead>
          <tr>
            <th scope="col">Of dry matter</th>
            {#each open.year.ledger as m (m.month)}<th scope="col"
                >{monthName(m.month).slice(0, 3)}</th
              >{/each}
          </tr>
        </thead>
        <tbody>
          {#each rows as row (row.name)}
            <tr>
              <th scope="row">{row.name}</th>
              {#each open.year.ledger as m (m.month)}<td
                  >{mean(row.values, m.startDay, m.endDay)}</td
                >{/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <p class="quiet fine">
      Of what is grazed, without hay; empty where nothing is. From the tables by ripeness, dead
      share and weathering: protein to 3 points, the others to 4. It is no ration: ask your adviser
      or veterinarian.
    </p>
  </section>
{/if}
