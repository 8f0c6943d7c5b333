<script lang="ts">
  import type { Lever } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { waitingText } from '../words/levers';
  import type { GapWays } from './ways.svelte';

  /** What it costs to do a way a week or a month later. */
  let { ways, way, bringsKg }: { ways: GapWays; way: Lever; bringsKg: number } = $props();

  const open = thePlan();
  const WEEK = 7;
  const MONTH = 30;
  let said = $state('');

  $effect(() => {
    const asked = $state.snapshot(way) as Lever;
    const now = bringsKg;
    let gone = false;
    said = '';
    ways.bringsLater(asked, [WEEK, MONTH]).then(
      ([week, month]) => {
        if (!gone) said = waitingText(now, week, month, (kg) => amount(kg, 'bulk', open.system));
      },
      (e) => {
        if (!gone) open.error = open.explain(e);
      },
    );
    return () => {
      gone = true;
    };
  });
</script>

{#if said}<p data-testid="waiting">{said}</p>{/if}
