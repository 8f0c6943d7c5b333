<script lang="ts">
  import type { Edit, Sureness } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { closedIn } from '../words/sure';
  import type { GapWays } from './ways.svelte';

  /** A gap in each simulated year, without and with what is tried. */
  let { ways, edits }: { ways: GapWays; edits: Edit[] } = $props();

  const open = thePlan();
  let found = $state.raw<Sureness | null>(null);

  $effect(() => {
    const asked = edits;
    let gone = false;
    found = null;
    ways.surenessOf(asked).then(
      (answer) => {
        if (!gone) found = answer;
      },
      (e) => {
        if (!gone) open.error = open.explain(e);
      },
    );
    return () => {
      gone = true;
    };
  });

  const HEIGHT = 90;
  const STEP = 15;
  const most = $derived(
    Math.max(1, ...(found?.years ?? []).flatMap((y) => [y.bareKgBefore, y.bareKgAfter])),
  );
  const high = (kg: number) => (kg / most) * HEIGHT;
  const said = $derived(
    found
      ? `${found.closedAfter === found.closedBefore ? 'With it as without it' : 'With it'} ${closedIn(found.closedAfter, found.years.length)}${found.closedAfter === found.closedBefore ? '' : `; without it in ${found.closedBefore || 'none'}`}.`
      : '',
  );
</script>

{#if found}
  <figure data-testid="sure-years">
    <figcaption>{said}</figcaption>
    <svg
      viewBox={`0 0 ${found.years.length * STEP} ${HEIGHT + 2}`}
      role="img"
      aria-label={`Missing in the gap, ${found.years.length} simulated years from the mildest to the hardest. ${said}`}
    >
      {#each found.years as y, i (y.season)}
        <rect
          class="was"
          x={i * STEP + 1}
          y={HEIGHT - high(y.bareKgBefore)}
          width={STEP - 4}
          height={high(y.bareKgBefore)}
        />
        <rect
          class="is"
          x={i * STEP + 3}
          y={HEIGHT - high(y.bareKgAfter)}
          width={STEP - 8}
          height={high(y.bareKgAfter)}
        />
      {/each}
      <line x1="0" x2={found.years.length * STEP} y1={HEIGHT + 0.5} y2={HEIGHT + 0.5} />
    </svg>
    <p class="quiet fine">
      Each column is a simulated year, the mildest first: what is missing about the gap without it
      (pale) and with it (dark), at most {amount(most, 'bulk', open.system)}. Closed: less than a
      day’s feed is missing.
    </p>
  </figure>
{:else}
  <p role="status">Running the simulated years.</p>
{/if}

<style>
  figure {
    margin: 0.6rem 0;
  }
  svg {
    display: block;
    width: 100%;
    max-width: 26rem;
    margin: 0.4rem 0;
  }
  .was {
    fill: var(--line);
  }
  .is {
    fill: var(--bare-dark);
  }
  line {
    stroke: var(--ink);
  }
</style>
