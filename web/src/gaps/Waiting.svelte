<script lang="ts">
  import type { Lever } from '../api/client';
  import { thePlan } from '../plan/context';
  import { waitingText } from '../words/levers';
  import { counted, shareText } from '../words/needs';
  import type { GapWays } from './ways.svelte';

  /** What it costs to do a way a week or a month later. */
  let { ways, way, bringsKg }: { ways: GapWays; way: Lever; bringsKg: number } = $props();

  const open = thePlan();
  const WEEK = 7;
  const MONTH = 30;
  let said = $state('');
  const say = (kg: number) =>
    ways.kind === 'CONDITION'
      ? shareText(kg, ways.gap?.shortKg ?? 0)
      : counted(ways.kind, kg, open.system);

  $effect(() => {
    const asked = $state.snapshot(way) as Lever;
    const now = bringsKg;
    let gone = false;
    said = '';
    ways.bringsLater(asked, [WEEK, MONTH]).then(
      ([week, month]) => {
        if (!gone) said = waitingText(now, week, month, say);
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
