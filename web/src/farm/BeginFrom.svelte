<script lang="ts">
  import { untrack } from 'svelte';
  import type { FirstDay as First } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import { thePlan } from '../plan/context';
  import { longDate } from '../units/dates';
  import FirstDay from './FirstDay.svelte';
  import Growing from './Growing.svelte';

  const open = thePlan();

  let before = $state<{ id: string; name: string }[]>([]);
  let from = $state('');
  let same = $state<string[]>([]);
  let first = $state<First | null>(null);
  let taken = $state('');

  const start = $derived(open.view!.plan.year.start);
  $effect(() => {
    const id = open.view!.id;
    void start;
    untrack(() => {
      first = null;
      open.api
        .before(id)
        .then((b) => {
          before = b;
          from = b[0]?.id ?? '';
        })
        .catch(() => (before = []));
    });
  });

  async function look(animals: string[]) {
    same = animals;
    taken = '';
    try {
      first = await open.api.begin(open.view!.id, from, same);
    } catch (e) {
      open.error = open.explain(e);
    }
  }
  async function take() {
    const { id, revision } = open.view!;
    const begin = { revision, from, sameAnimals: same };
    if (await open.step(open.api.beginNow(id, begin))) {
      taken = `Taken over from ${before.find((b) => b.id === from)?.name}.`;
      first = null;
    }
  }
</script>

{#if before.length && open.mayPlan}
  <section class="panel" aria-labelledby="begin-title">
    <h2 id="begin-title">The first day, {longDate(start)} {start.slice(0, 4)}</h2>
    <p class="quiet">
      Another plan of this farm comes to that morning. Take over what it leaves then, once or each
      time that more was written down of it; what is planned here stays.
    </p>
    <div class="row">
      <Choice
        label="From"
        value={from}
        options={before}
        onchange={(v) => {
          from = v;
          first = null;
        }}
      />
      <button class="btn plain" onclick={() => look(same)}>Show what it leaves</button>
      {#if taken}<span role="status">{taken}</span>{/if}
    </div>
    {#if first}
      <Growing growing={first.growing} {same} onchange={look} />
      <FirstDay {first} />
      <button class="btn preset-filled-primary-500" onclick={take}>Take it over</button>
      <button class="btn plain" onclick={() => (first = null)}>Leave it as it is</button>
    {/if}
  </section>
{/if}

<style>
  section {
    margin: 1rem 20px;
    padding: 1rem;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
  }
</style>
