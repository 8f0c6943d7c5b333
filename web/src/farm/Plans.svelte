<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { longDate } from '../units/dates';
  import NextYear from './NextYear.svelte';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';

  const open = thePlan();

  const mine = $derived(signed.plans);
  const owner = $derived(open.view!.role === 'OWNER');
  let sure = $state('');

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
  {#if open.mayPlan}<NextYear />{/if}
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
  .remove {
    color: var(--bare-dark);
  }
</style>
