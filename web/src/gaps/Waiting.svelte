<script lang="ts">
  import type { Lever } from '../api/client';
  import { thePlan } from '../plan/context';
  import { dayOf } from '../units/dates';
  import { amount } from '../units/units';
  import { triggerText, waitingText } from '../words/levers';
  import { counted, shareText } from '../words/needs';
  import type { GapWays } from './ways.svelte';

  /** What it costs to do a way a week or a month later. */
  let { ways, way, bringsKg }: { ways: GapWays; way: Lever; bringsKg: number } = $props();

  const open = thePlan();
  const WEEK = 7;
  const MONTH = 30;
  let said = $state('');
  const year = $derived(open.view!.year);
  /** What the plan as it stands expects on the last day to decide. */
  const trigger = $derived.by(() => {
    const day = dayOf(year.start, way.decideBy);
    if (day < 0 || day >= year.days) return '';
    const then = (kg: number) => (kg < 50 ? 'next to nothing' : amount(kg, 'bulk', open.system));
    return triggerText(way.decideBy, then(year.storeKg[day]), then(year.offeredKg[day]));
  });
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
{#if ways.kind === 'STORE' && trigger}<p data-testid="trigger">{trigger}</p>{/if}
