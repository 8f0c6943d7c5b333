<script lang="ts">
  import type { ThousandResult } from '../api/client';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import { besideWords } from '../words/signs';

  /** Another plan of the farm in the same thousand years. */
  let { result, onother }: { result: ThousandResult; onother: (r: ThousandResult | null) => void } =
    $props();
  const open = thePlan();
  const LOOK_MS = 250;
  let chosen = $state('');
  let other = $state.raw<ThousandResult | null>(null);
  let done = $state(0);
  let gone = false;
  $effect(() => () => (gone = true));
  const plans = $derived(open.view!.others);
  const options = $derived([{ id: '', name: 'no other plan' }, ...plans]);

  async function choose(id: string) {
    chosen = id;
    other = null;
    onother(null);
    const here = () => !gone && chosen === id;
    if (!id) return;
    try {
      let now = await open.api.beginThousand(id);
      while (here()) {
        done = now.done;
        if (now.result) {
          other = now.result;
          onother(other);
        }
        if (!now.under) return;
        await new Promise((later) => setTimeout(later, LOOK_MS));
        if (here()) now = await open.api.thousand(id);
      }
    } catch (e) {
      if (here()) open.error = open.explain(e);
    }
  }
  const name = $derived(plans.find((p) => p.id === chosen)?.name ?? '');
</script>

{#if plans.length}
  <Choice label="Beside it" value={chosen} {options} onchange={(v) => void choose(v)} />
  {#if other}
    <p data-testid="beside-plan">{besideWords(result, other, name, open.system)}</p>
  {:else if chosen}
    <p role="status">{done.toLocaleString('en-US')} of its years are done.</p>
  {/if}
{/if}
