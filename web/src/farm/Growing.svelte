<script lang="ts">
  import type { FirstDay } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';

  const open = thePlan();

  let {
    growing,
    same,
    onchange,
  }: {
    growing: FirstDay['growing'];
    /** Ids of those that go on as the animals they are. */
    same: string[];
    onchange: (same: string[]) => void;
  } = $props();

  const weight = (kg: number) => amount(kg, 'weight', open.system);
  function choose(id: string, is: boolean) {
    onchange(is ? [...same, id] : same.filter((s) => s !== id));
  }
</script>

{#if growing.length}
  <fieldset>
    <legend>Growing groups: a new year’s animals, unless you say that they are the same</legend>
    {#each growing as g (g.id)}
      <label
        ><input
          type="checkbox"
          class="checkbox"
          checked={same.includes(g.id)}
          onchange={(e) => choose(g.id, e.currentTarget.checked)}
        />
        {g.name} are the same animals, {weight(g.laterKg)} instead of {weight(g.weightKg)}</label
      >
    {/each}
  </fieldset>
{/if}

<style>
  label {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    min-height: 2.25rem;
  }
</style>
