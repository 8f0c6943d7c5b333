<script lang="ts">
  import type { StakeLine } from '../api/client';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { stakeText } from '../words/seen';
  import Ways from './Ways.svelte';

  const open = thePlan();

  let {
    fieldId,
    on,
    stakes,
  }: {
    fieldId: string;
    on: string;
    /** Of this field. */
    stakes: StakeLine[];
  } = $props();

  const LEFT = [
    { id: 'left', name: 'Stock have just left' },
    { id: 'since', name: 'Since then' },
  ];
  const TIPS = [
    { id: 'BLUNT' as const, name: 'blunt, as bitten' },
    { id: 'POINTED' as const, name: 'grown out, pointed' },
  ];

  let typed = $state<string | null>(null);
  const stake = $derived(typed ?? stakes[0]?.stake ?? '');
  let heightCm = $state<number | null>(null);
  let said = $state<'left' | 'since' | null>(null);
  const left = $derived(said ?? (stakes.some((s) => s.stake === stake) ? 'since' : 'left'));
  let tips = $state<'BLUNT' | 'POINTED' | null>(null);
  let note = $state('');
  let keeping = $state(false);

  async function keep() {
    if (keeping || heightCm === null) return;
    keeping = true;
    const kept = await open.write([
      {
        on,
        fact: {
          kind: 'STAKE_SEEN',
          fieldId,
          stake,
          heightCm,
          left: left === 'left',
          tips: left === 'left' ? null : tips,
          note,
        },
      },
    ]);
    keeping = false;
    if (!kept) return;
    heightCm = null;
    said = null;
    tips = null;
    note = '';
  }
</script>

<p class="quiet">
  A place that is found again: its height when stock leave, and again on each walk. It says how fast
  the field comes back, whatever the calendar says.
</p>
{#if stakes.length}
  <ul data-testid="stakes">
    {#each stakes as s (s.stake)}<li>{stakeText(s, open.system)}</li>{/each}
  </ul>
{/if}
{#if open.mayWrite}
  <TextField
    name="stake.name"
    value={stake}
    offers={stakes.map((s) => s.stake)}
    oninput={(v) => (typed = v)}
  />
  <Ways label="When" options={LEFT} value={left} onchange={(v) => (said = v as 'left' | 'since')} />
  <NumberField
    name="stake.heightCm"
    optional
    value={heightCm}
    onchange={(v) => (heightCm = v)}
    hint="mean of a few readings around it, where most leaf ends"
  />
  {#if left === 'since'}
    <Ways
      label="Tips of most leaves"
      options={TIPS}
      value={tips}
      onchange={(v) => (tips = tips === v ? null : v)}
    />
  {/if}
  <TextField name="record.note" value={note} oninput={(v) => (note = v)} />
  <div class="keep">
    <button
      class="btn preset-filled-primary-500"
      disabled={keeping || heightCm === null || stake === ''}
      onclick={keep}>Keep the stake</button
    >
  </div>
{/if}

<style>
  li {
    padding: 0.3rem 0;
    border-bottom: 1px solid var(--line);
  }
  .keep button {
    width: 100%;
    min-height: 56px;
  }
</style>
