<script lang="ts">
  import Redo from '@lucide/svelte/icons/redo-2';
  import Undo from '@lucide/svelte/icons/undo-2';
  import { push, router } from 'svelte-spa-router';
  import Menu, { type Offer } from '../form/Menu.svelte';
  import { toldText } from '../history/told';
  import { signed } from '../people/signed.svelte';
  import { thePlan } from '../plan/context';
  import SeasonChoice from '../seasons/SeasonChoice.svelte';
  import Places from './Places.svelte';
  import { ASIDE, leading } from './places';

  const open = thePlan();

  let { onkeys, narrow }: { onkeys: () => void; narrow: boolean } = $props();

  $effect(() => {
    const farm = open.view?.farmId ?? '';
    void signed.attempt(() => signed.opened(farm));
  });

  /** By the address: the plan before it still stands here while the next one is opened. */
  const base = $derived(/^\/plan\/[a-z0-9-]+/.exec(router.location)?.[0] ?? '');
  const units = $derived(
    open.system === 'IMPERIAL'
      ? { name: 'lb, acres', said: 'lb, acres. Show in kg, hectares' }
      : { name: 'kg, hectares', said: 'kg, hectares. Show in lb, acres' },
  );
  const leave = $derived(signed.who?.visitor ? 'Leave the demo' : 'Sign out');
  const offers = $derived.by((): Offer[] => {
    const plans = open.view ? signed.plans : [];
    return [
      ...leading(ASIDE, base, router.location),
      ...plans.map((p, i) => ({
        id: `plan ${p.id}`,
        name: `Plan: ${p.planName}`,
        href: `#/plan/${p.id}`,
        current: p.id === open.view?.id,
        apart: i === 0,
      })),
      { id: 'farms', name: 'All farms', href: '#/', apart: true },
      ...(signed.farms.total > 1
        ? [{ id: 'morning', name: 'This morning, all farms', href: '#/morning' }]
        : []),
      ...(narrow
        ? [
            { id: 'units', name: units.said.split('. ')[1], apart: true },
            { id: 'leave', name: leave, note: signed.who?.name },
          ]
        : []),
    ];
  });

  async function signOut() {
    const done = await signed.attempt(async () => {
      await push('/');
      await signed.signOut();
    });
    if (!done) open.error = signed.error;
  }
  function swapUnits() {
    open.system = open.system === 'IMPERIAL' ? 'METRIC' : 'IMPERIAL';
  }
  function choose(id: string) {
    if (id === 'units') swapUnits();
    if (id === 'leave') void signOut();
  }
</script>

<header class="no-print" class:narrow>
  <div class="line">
    <div class="farm">
      {#if open.view}
        <Menu
          label={open.view.farm.name}
          said={`${open.view.farm.name}, the farm and its plans`}
          {offers}
          onchoose={choose}
          look="bare"
        />
        {#if !narrow}
          <span class="quiet"
            >{open.view.plan.name}{open.view.demo ? ', demo with invented figures' : ''}</span
          >
        {/if}
      {:else}
        <strong>Wise Larder</strong>
      {/if}
    </div>
    <div class="tools">
      {#if open.view}
        {#if open.mayPlan}
          <button
            class="btn plain"
            disabled={!open.view.undo}
            aria-label="Undo"
            title={open.view.undo
              ? `Undo: ${toldText(open.view.undo, open.system)}`
              : 'Nothing to undo'}
            onclick={() => open.undo()}><Undo size={18} aria-hidden="true" /></button
          >
          <button
            class="btn plain"
            disabled={!open.view.redo}
            aria-label="Redo"
            title={open.view.redo
              ? `Redo: ${toldText(open.view.redo, open.system)}`
              : 'Nothing to redo'}
            onclick={() => open.redo()}><Redo size={18} aria-hidden="true" /></button
          >
        {/if}
        <SeasonChoice />
        {#if !narrow}
          <button class="btn plain" onclick={swapUnits} aria-label={units.said}>{units.name}</button
          >
        {/if}
      {/if}
      {#if !narrow}
        <button class="btn plain" aria-label="Keys" title="Keys" onclick={onkeys}>?</button>
      {/if}
      {#if signed.who}
        <span class="quiet who" class:visually-hidden={narrow} data-testid="who"
          >{signed.who.name}</span
        >
        {#if !narrow || !open.view}
          <button class="btn plain" onclick={signOut}>{leave}</button>
        {/if}
      {/if}
    </div>
  </div>
  {#if open.view && !narrow}<Places {base} {narrow} />{/if}
</header>
{#if open.view && narrow}<Places {base} {narrow} />{/if}

<style>
  header {
    background: var(--panel);
    border-bottom: 3px solid var(--cobalt);
  }
  .line {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 0.3rem 1rem;
    padding: 0.3rem 20px;
    min-height: 46px;
  }
  .farm {
    display: flex;
    align-items: baseline;
    gap: 0 0.75rem;
    min-width: 0;
  }
  .farm > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .farm strong,
  .farm :global(.menu-bare) {
    color: var(--cobalt);
    font-size: 1.2rem;
    font-weight: 700;
    white-space: nowrap;
  }
  .tools {
    display: flex;
    align-items: center;
    gap: 0.4rem;
  }
  .who {
    margin-left: 0.5rem;
    max-width: 12rem;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .tools :global(.select) {
    min-width: 9rem;
  }
  .tools :global(.btn) {
    white-space: nowrap;
  }
  /* A tablet held upright: the farm's name and the season before the rest. */
  @media (max-width: 1000px) {
    .farm > span,
    .who {
      display: none;
    }
  }
  .narrow .line {
    padding: 0.2rem 10px;
  }
  .narrow .farm {
    flex: 1 1 auto;
  }
  .narrow .farm :global(.menu-bare) {
    min-height: 44px;
    max-width: 100%;
    overflow: hidden;
    font-size: 1.05rem;
  }
  .narrow .tools {
    gap: 0.25rem;
  }
  .narrow .tools :global(.btn) {
    min-height: 44px;
    min-width: 44px;
    padding-inline: 0.5rem;
  }
  .narrow .tools :global(.select) {
    min-width: 0;
    max-width: 7.5rem;
    min-height: 44px;
  }
</style>
