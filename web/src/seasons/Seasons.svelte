<script lang="ts">
  import { thePlan } from '../plan/context';
  import MiniYear from '../plan/MiniYear.svelte';
  import MonthTable from './MonthTable.svelte';
  import { seasonOptions } from './names';
  import Records from './Records.svelte';
  import ScenarioForm from './ScenarioForm.svelte';
  import DroughtPlan from './DroughtPlan.svelte';
  import Thousand from './Thousand.svelte';
  import { yearNames } from './yearNames.svelte';

  const open = thePlan();

  /** So many are told apart by their number. */
  const MOST_YEARS = 1_000_000;
  const options = $derived(
    seasonOptions(open.view!.plan, open.records, open.season).filter(
      (o) =>
        !o.key.startsWith('scenario') &&
        !o.key.startsWith('recorded') &&
        // those of a thousand stand above
        (!(o.key in yearNames) || o.key === open.season),
    ),
  );
  const name = $derived(
    seasonOptions(open.view!.plan, open.records, open.season).find((o) => o.key === open.season)
      ?.name,
  );
</script>

<MiniYear />
<div class="page">
  <Thousand />
  <DroughtPlan />
  <section class="panel form" aria-labelledby="season-title">
    <h2 id="season-title">{name}</h2>
    <div class="choices" role="group" aria-label="Look at">
      {#each options as o (o.key)}
        <button
          class="btn plain"
          aria-pressed={open.season === o.key}
          onclick={() => open.look(o.key)}>{o.name}</button
        >
      {/each}
      <button
        class="btn plain"
        onclick={() => open.look(`seed:${Math.floor(Math.random() * MOST_YEARS)}`)}
        >Another simulated year</button
      >
    </div>
    <MonthTable year={open.year} />
    <p class="quiet">
      The normal year has the climate's means, a little rain every day; typed growth holds exactly.
      The dry and wet years have the rain of the tenth driest and tenth wettest of a hundred
      simulated ones. Simulated years are drawn from the climate's statistics; the same number is
      always the same year. None of them is a forecast.
    </p>
  </section>
  <ScenarioForm />
  <Records />
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 1rem;
    padding: 1rem 20px 2rem;
  }
  .choices {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: end;
    margin: 0.6rem 0 1rem;
  }
  .choices [aria-pressed='true'] {
    background: var(--cobalt);
    color: #ffffff;
  }
  .quiet {
    margin-top: 0.6rem;
    font-size: 13px;
    max-width: 60rem;
  }
</style>
