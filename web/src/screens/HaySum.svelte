<script lang="ts">
  import { shortDay } from '../dates';
  import { open } from '../plan.svelte';
  import { amount, figure, unitOf } from '../units';
  import { plural } from '../words';

  let { lotId }: { lotId: string } = $props();
  const farm = $derived(open.view!.farm);
  const lot = $derived(farm.lots.find((l) => l.id === lotId));
  const sums = $derived(
    open.year.haySums.filter((s) => s.lotId === lotId && s.groupId && s.units > 0),
  );
  const all = $derived(open.year.haySums.find((s) => s.lotId === lotId && !s.groupId));
</script>

{#if lot}
  <section class="panel" aria-labelledby="hay-sum" data-testid="hay-sum">
    <h2 id="hay-sum">Hay sum in {plural(lot.unitName, 2)} like {lot.name}</h2>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="scroll" tabindex="0" role="region" aria-label="Hay sum">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Group</th>
            <th scope="col">Between</th>
            <th scope="col" class="number">Days</th>
            <th scope="col" class="number">Fed, {unitOf('mass', open.system)}</th>
            <th scope="col" class="number">Bare, {unitOf('mass', open.system)}</th>
            <th scope="col" class="number">{plural(lot.unitName, 2)}</th>
          </tr>
        </thead>
        <tbody>
          {#each sums as s (s.groupId)}
            <tr>
              <th scope="row">{farm.groups.find((g) => g.id === s.groupId)?.name}</th>
              <td
                >{shortDay(open.year.start, s.firstDay)} to {shortDay(
                  open.year.start,
                  s.lastDay,
                )}</td
              >
              <td class="number">{s.days}</td>
              <td class="number">{figure(s.fedKg, 'mass', open.system)}</td>
              <td class="number">{figure(s.bareKg, 'mass', open.system)}</td>
              <td class="number">{s.units.toLocaleString('en-US')}</td>
            </tr>
          {/each}
          <tr class="total">
            <th scope="row">All groups</th>
            <td></td>
            <td></td>
            <td class="number">{figure(all?.fedKg ?? 0, 'mass', open.system)}</td>
            <td class="number">{figure(all?.bareKg ?? 0, 'mass', open.system)}</td>
            <td class="number">{(all?.units ?? 0).toLocaleString('en-US')}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet">
      Dry matter that stored feed gave, and what stayed bare, as if all of it came from {plural(
        lot.unitName,
        2,
      )} of {amount(lot.kgPerUnitAsFed, 'weight', open.system)}: losses in store and at feeding
      taken off, rounded up to whole ones.
    </p>
  </section>
{/if}

<style>
  section {
    padding: 1rem;
    margin-bottom: 1rem;
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    width: 100%;
  }
  .total > * {
    font-weight: 700;
    border-top: 2px solid var(--cobalt);
    color: var(--ink);
  }
</style>
