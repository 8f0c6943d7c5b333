<script lang="ts">
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { amount } from '../units/units';

  const open = thePlan();

  const seeds = $derived(open.view!.farm.seeds);
  const own = $derived(open.view!.farm.forages.map((f) => f.id));
  const kinds = $derived(
    open.forages
      .filter((f) => !f.cropResidue && !f.fallow && !own.includes(f.id))
      .map((f) => ({ id: f.id, name: f.name }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
  let forageId = $state('');
  let kg = $state<number | null>(null);
  let note = $state('');
  const chosen = $derived(forageId || kinds[0]?.id || '');
  const name = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;

  async function put() {
    if (kg === null) return;
    if (await open.edit([{ putSeed: { forageId: chosen, kg, note } }])) {
      kg = null;
      note = '';
    }
  }
  function change(id: string) {
    const seed = seeds.find((s) => s.forageId === id)!;
    forageId = id;
    kg = seed.kg;
    note = seed.note;
  }
</script>

<details class="panel" data-testid="seed-shed" open={seeds.length > 0}>
  <summary
    ><h2>Seed in the shed</h2>
    <span class="quiet">{seeds.length ? '' : 'none stated'}</span></summary
  >
  <p class="quiet fine">
    A sowing takes it before any is bought, the earliest first. State what would still come up: old
    seed germinates poorly, so test a hundred on wet paper.
  </p>
  {#if seeds.length}
    <table class="ledger">
      <tbody>
        {#each seeds as s (s.forageId)}
          <tr>
            <th scope="row">{name(s.forageId)}<small class="quiet">{s.note}</small></th>
            <td class="number">{amount(s.kg, 'weight', open.system)}</td>
            <td class="number">
              {#if open.mayPlan}
                <button
                  class="btn plain"
                  aria-label={`Change seed of ${name(s.forageId)}`}
                  onclick={() => change(s.forageId)}>Change</button
                >
                <button
                  class="btn plain"
                  aria-label={`Remove seed of ${name(s.forageId)}`}
                  onclick={() => open.edit([{ removeSeed: s.forageId }])}>Remove</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#if open.mayPlan}
    <div class="input-grid">
      <Choice label="Seed of" value={chosen} options={kinds} onchange={(v) => (forageId = v)} />
      <NumberField name="seed.kg" value={kg} optional onchange={(v) => (kg = v)} />
      <TextField name="seed.note" value={note} oninput={(v) => (note = v)} />
    </div>
    <button class="btn preset-filled-primary-500" disabled={kg === null} onclick={put}
      >Put it there</button
    >
  {/if}
</details>

<style>
  details {
    margin: 0 1.25rem 1.25rem;
    padding: 0.75rem 1rem;
  }
  summary h2 {
    display: inline;
    font-size: 1.05rem;
  }
  small {
    display: block;
    font-weight: 400;
  }
  table {
    max-width: 40rem;
  }
  button {
    margin-top: 0.5rem;
  }
  td button {
    margin-top: 0;
  }
</style>
