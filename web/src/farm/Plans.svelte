<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { longDate } from '../units/dates';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';

  const open = thePlan();

  const mine = $derived(signed.plans);
  const owner = $derived(open.view!.role === 'OWNER');
  let name = $state('');
  let sure = $state('');

  async function copy(yearsOn: number) {
    const done = await signed.attempt(async () => {
      const { id } = await open.api.copy(open.view!.id, name, yearsOn);
      await signed.refresh();
      name = '';
      await push(`/plan/${id}`);
    });
    if (!done) open.error = signed.error;
  }
  async function remove(id: string) {
    const done = await signed.attempt(async () => {
      await open.api.removePlan(id);
      await signed.refresh();
      sure = '';
      if (id === open.view!.id) {
        await push(`/plan/${signed.plans[0].id}`);
      }
    });
    if (!done) open.error = signed.error;
  }
</script>

<section class="panel" aria-labelledby="plans-title">
  <h2 id="plans-title">Plans of this farm</h2>
  <p class="quiet">
    Each plan holds its own land, herd and store, so that last year's stays as it was and a trial
    year harms nothing. Under Land, Herd and Store, “Also in” makes a change in several at once.
  </p>
  <ul>
    {#each mine as plan (plan.id)}
      <li>
        <a href={`#/plan/${plan.id}`} aria-current={plan.id === open.view!.id ? 'true' : undefined}
          >{plan.planName}</a
        >
        <span class="quiet"
          >from {longDate(plan.start)} {plan.start.slice(0, 4)}, change {plan.revision}</span
        >
        {#if owner && mine.length > 1}
          {#if sure === plan.id}
            <button class="btn plain remove" onclick={() => remove(plan.id)}
              >Remove {plan.planName} with its history</button
            >
            <button class="btn plain" onclick={() => (sure = '')}>Keep it</button>
          {:else}
            <button class="btn plain" onclick={() => (sure = plan.id)}
              >Remove<span class="visually-hidden"> plan {plan.planName}</span></button
            >
          {/if}
        {/if}
      </li>
    {/each}
  </ul>
  {#if open.mayPlan}
    <form
      onsubmit={(e) => {
        e.preventDefault();
        void copy(0);
      }}
    >
      <TextField label="Name of the copy" value={name} oninput={(v) => (name = v)} />
      <button class="btn plain" disabled={name.trim() === ''}>Copy this plan</button>
      <button class="btn plain" type="button" disabled={name.trim() === ''} onclick={() => copy(1)}
        >Copy it for the next year</button
      >
    </form>
    <p class="quiet">
      For the next year every date goes on by a year, and those that go by a frost, a green-up or a
      birth stand by that year’s. What stands and what lies in store on its first day is still this
      plan’s: put down what is there then, under Land and Store.
    </p>
  {/if}
</section>

<style>
  section {
    margin: 1rem 20px 2rem;
    padding: 1rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: center;
    min-height: 44px;
    border-bottom: 1px solid var(--line);
  }
  a[aria-current] {
    font-weight: 700;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
    margin-top: 0.75rem;
  }
  .remove {
    color: var(--bare-dark);
  }
</style>
