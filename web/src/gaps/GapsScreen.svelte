<script lang="ts">
  import { onDestroy } from 'svelte';
  import { replace, router } from 'svelte-spa-router';
  import type { Gap } from '../api/client';
  import { thePlan } from '../plan/context';
  import MiniYear from '../plan/MiniYear.svelte';
  import Planned from '../plan/Planned.svelte';
  import Beyond from './Beyond.svelte';
  import CloseGap from './CloseGap.svelte';
  import Gaps from './Gaps.svelte';
  import Needs from './Needs.svelte';
  import PlansBeside from './PlansBeside.svelte';
  import Policies from './Policies.svelte';
  import { GAP_KINDS, gapQuery } from '../words/needs';

  const open = thePlan();
  onDestroy(open.shows(['FIELDS', 'NEEDS']));

  /** The first day of the gap to be closed stands in the address: others come and go. */
  const asked = $derived(/(?:^|&)from=(\d+)/.exec(router.querystring ?? '')?.[1]);
  const from = $derived(asked ? Number(asked) : -1);

  const kind = $derived.by((): Gap['kind'] => {
    const said = /&kind=([A-Z]+)/.exec(router.querystring ?? '')?.[1] ?? 'STORE';
    return said in GAP_KINDS ? (said as Gap['kind']) : 'STORE';
  });
  /** Of whom, where dry matter is not what lacks. */
  const group = $derived(/&group=([^&]+)/.exec(router.querystring ?? '')?.[1] ?? null);

  function close(gap: Gap) {
    void replace(`${router.location}?${gapQuery(gap)}`);
    window.scrollTo({ top: 0 });
  }
</script>

<h1 class="visually-hidden">Gaps and ways to close them</h1>
<MiniYear unfolded />
{#if asked && open.mayPlan}
  {#key `${kind} ${from} ${group}`}
    <CloseGap {from} {kind} {group} ondone={() => replace(router.location)} ongap={close} />
  {/key}
{/if}
<div class="page" class:first={!asked}>
  <Gaps year={open.year} onclose={close} />
  <div>
    <Needs year={open.year} onclose={close} />
    <Planned />
  </div>
</div>
<div class="beside"><Beyond /><Policies /><PlansBeside /></div>

<style>
  .page {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 26rem), 1fr));
    gap: 1rem;
    padding: 0 20px 2rem;
  }
  .beside {
    padding: 0 20px 2rem;
  }
  .first {
    padding-top: 1rem;
  }
</style>
