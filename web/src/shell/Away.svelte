<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, type Fact } from '../api/client';
  import { link } from '../device/link.svelte';
  import { queue } from '../device/queue.svelte';
  import type { Waiting } from '../device/store';
  import { version } from '../device/version.svelte';
  import { signed } from '../people/signed.svelte';
  import { thePlan } from '../plan/context';
  import { timeOf } from '../units/dates';
  import { problemText } from '../words/refusals';
  import { awayText, recordTitle, waitText } from '../words/waiting';

  const open = thePlan();

  /** So many that were refused are shown at once: they stand above everything else. */
  const SHOWN = 3;

  const me = $derived(signed.who?.id ?? null);
  const mine = $derived(queue.waiting.filter((e) => e.who === me));
  const waiting = $derived(mine.filter((e) => e.problem === null));
  const refused = $derived(mine.filter((e) => e.problem !== null));
  const others = $derived(queue.waiting.length - mine.length);

  /** A server that was there and had no time is asked again. */
  const AGAIN_MS = 15_000;
  const asking = $derived(waiting.length > 0 && link.away === null ? me : null);
  $effect(() => {
    const who = asking;
    if (who === null) return;
    const timer = setInterval(() => void queue.send(api, who), AGAIN_MS);
    return () => clearInterval(timer);
  });

  function name(id: string): string {
    const farm = open.view?.farm;
    const all = [...(farm?.fields ?? []), ...(farm?.groups ?? []), ...(farm?.lots ?? [])];
    return all.find((thing) => thing.id === id)?.name ?? id;
  }
  async function again(n: number) {
    await queue.again(n);
    if (me !== null) await queue.send(api, me);
  }
  /** Where a reading that was refused is read anew. */
  function readAgain(e: Waiting): string | null {
    const { on } = e.records[0];
    const fact = e.records[0].fact as Fact;
    return fact.kind === 'COVER_SEEN'
      ? `/plan/${e.planId}/walk?${new URLSearchParams({ field: fact.fieldId, on })}`
      : null;
  }
</script>

<div class="strips no-print" aria-live="polite">
  {#if link.away !== null}
    <p class="strip" data-testid="away">
      {awayText(
        timeOf(link.away),
        open.keptAt === null ? null : timeOf(open.keptAt),
        waiting.length,
      )}
    </p>
  {:else if waiting.length}
    <p class="strip" data-testid="waiting">
      {waitText(waiting.length)}.
      <button class="btn plain" onclick={() => me !== null && queue.send(api, me)}>Send now</button>
    </p>
  {/if}
  {#if waiting.length}
    <details class="strip">
      <summary>What waits</summary>
      <ul>
        {#each waiting as e (e.n)}
          <li>{e.farmName}, {e.records.map((r) => recordTitle(r, name)).join('; ')}</li>
        {/each}
      </ul>
    </details>
  {/if}
  {#if others}
    <p class="strip">
      {waitText(others)} of somebody else, until they sign in here.
    </p>
  {/if}
  {#if refused.length}
    <section class="strip refused" aria-label="Not taken" data-testid="refused">
      <strong>The server did not take these. They stay on this device until you decide.</strong>
      <ul>
        {#each refused.slice(0, SHOWN) as e (e.n)}
          <li>
            <span
              >{e.farmName}, {e.records.map((r) => recordTitle(r, name)).join('; ')}:
              <b>{problemText(e.problem!, open.system)}</b></span
            >
            {#if readAgain(e)}
              <button class="btn plain" onclick={() => push(readAgain(e)!)}>Read again</button>
            {/if}
            <button class="btn plain" onclick={() => again(e.n)}>Send again</button>
            <button class="btn plain" onclick={() => queue.drop(e.n)}>Throw away</button>
          </li>
        {/each}
      </ul>
      {#if refused.length > SHOWN}<p>And {refused.length - SHOWN} more after these.</p>{/if}
    </section>
  {/if}
  {#if version.newer}
    <p class="strip">
      A newer version of the product is there.
      <button class="btn plain" onclick={() => version.take()}>Load it</button>
    </p>
  {/if}
</div>

<style>
  .strip {
    padding: 0.35rem 20px;
    background: var(--panel);
    border-bottom: 2px solid var(--standing-dark);
  }
  .refused {
    border-bottom-color: var(--bare);
  }
  details.strip {
    padding-top: 0.6rem;
    padding-bottom: 0.6rem;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.7rem;
    align-items: center;
  }
  .btn {
    min-height: 44px;
  }
  @media (max-width: 760px) {
    .strip {
      padding: 0.35rem 12px;
    }
  }
</style>
