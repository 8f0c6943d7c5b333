<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import ChevronRight from '@lucide/svelte/icons/chevron-right';
  import type { Edit, Field, YearView } from '../api/client';
  import type { Act } from '../land/acts';
  import { thePlan } from '../plan/context';
  import { withEdit } from '../plan/planned';
  import type { RulerScale } from '../ruler/scale';
  import { amount } from '../units/units';
  import { blocksOf } from '../words/blocks';
  import FieldLane from './FieldLane.svelte';

  const open = thePlan();

  let {
    year,
    scale,
    at,
    onact,
  }: {
    year: YearView;
    scale: RulerScale;
    at: number;
    onact: (field: Field, act: Act, day: number | null) => void;
  } = $props();

  const MANY = 16;
  let find = $state('');
  let order = $state<'stated' | 'cover' | 'grazed'>('stated');
  /** What is being moved, drawn before it is saved. */
  let moving = $state<Edit | null>(null);
  const stored = $derived(open.view!.plan);
  const moved = $derived(withEdit(stored, moving));
  /** On which lane it is: the others stay as they are. */
  const movedOn = $derived(moving ? fieldOf(moving) : null);
  const day = $derived(at >= 0 ? at : 0);
  const words = $derived(find.trim().toLowerCase());
  const lanes = $derived(
    open
      .view!.farm.fields.filter((f) => `${f.name} ${f.block}`.toLowerCase().includes(words))
      .flatMap((field) => {
        const result = year.fields.find((f) => f.id === field.id);
        return result ? [{ field, result }] : [];
      }),
  );
  const sorted = $derived.by(() => {
    if (order === 'stated') return lanes;
    const value = (l: (typeof lanes)[number]) =>
      order === 'cover'
        ? l.result.coverKgPerHa[day]
        : l.result.grazedKg.reduce((n, kg) => n + (kg > 0 ? 1 : 0), 0);
    return [...lanes].sort((a, b) => value(b) - value(a));
  });
  const blocks = $derived(
    blocksOf(lanes.map((l) => ({ id: l.field.id, block: l.field.block, lane: l }))),
  );
  /** By block as they are listed; sorted otherwise, all together. */
  const groups = $derived(
    order === 'stated'
      ? blocks.map((b) => ({ name: b.name, lanes: b.fields.map((f) => f.lane) }))
      : [{ name: '', lanes: sorted }],
  );
  /** Blocks of which only the name is shown. */
  let folded = $state<string[]>([]);
  const farmMostKgPerHa = $derived(
    Math.max(1, ...year.fields.map((f) => Math.max(...f.coverKgPerHa))),
  );

  function fieldOf(edit: Edit): string | null {
    const [thing] = Object.values(edit) as { fieldId?: string }[];
    return thing.fieldId ?? null;
  }
  function shift(edit: Edit) {
    moving = edit;
    void open.tryOut([edit]);
  }
  async function settle(edit: Edit) {
    moving = edit;
    if (!(await open.edit([edit]))) open.dropTrial();
    moving = null;
  }
  function back() {
    moving = null;
    open.dropTrial();
  }
</script>

<div class="head">
  <h2>Land</h2>
  <span class="quiet"
    >what stands, bars where grazed; a name or a right click offers what to do</span
  >
  {#if open.view!.farm.fields.length > MANY}
    <input
      class="input"
      type="search"
      placeholder="Find a field or a block"
      aria-label="Find a field"
      bind:value={find}
    />
  {/if}
  <label
    ><span class="visually-hidden">Sorted</span><select class="select" bind:value={order}>
      <option value="stated">as listed</option>
      <option value="cover">most standing first</option>
      <option value="grazed">most grazed first</option>
    </select></label
  >
</div>
{#each groups as group (group.name)}
  {#if blocks.length > 1 && order === 'stated'}
    <h3>
      <button
        class="on-paper"
        data-block={group.name}
        aria-expanded={!folded.includes(group.name)}
        onclick={() =>
          (folded = folded.includes(group.name)
            ? folded.filter((n) => n !== group.name)
            : [...folded, group.name])}
      >
        {#if folded.includes(group.name)}<ChevronRight
            size={16}
            aria-hidden="true"
          />{:else}<ChevronDown size={16} aria-hidden="true" />{/if}{group.name || 'of no block'}
        <span class="quiet"
          >{group.lanes.length}
          {group.lanes.length === 1 ? 'field' : 'fields'}, {amount(
            group.lanes.reduce((ha, l) => ha + l.field.areaHa - (l.field.deductedHa ?? 0), 0),
            'area',
            open.system,
          )}</span
        >
      </button>
    </h3>
  {/if}
  {#each folded.includes(group.name) && order === 'stated' ? [] : group.lanes as { field, result } (field.id)}
    <FieldLane
      {field}
      {result}
      {year}
      plan={movedOn === field.id ? moved : stored}
      {scale}
      {farmMostKgPerHa}
      {at}
      onact={(act, on) => onact(field, act, on)}
      onshift={shift}
      onsettle={settle}
      onback={back}
    />
  {/each}
{/each}

<style>
  h3 button {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    padding: 0.15rem 14px;
    min-height: 1.9rem;
    font-size: 13px;
    font-weight: 700;
    cursor: pointer;
  }
  h3 .quiet {
    font-weight: 400;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 0.25rem 0.75rem;
    align-items: center;
    padding: 0.6rem 20px 0.25rem;
  }
  h2 {
    font-size: 14px;
  }
  .quiet {
    font-size: 13px;
    flex: 1;
  }
  .input {
    width: 11rem;
    min-height: 1.9rem;
  }
  .select {
    min-height: 1.9rem;
    padding-block: 0;
    font-size: 13px;
  }
  @media (max-width: 760px) {
    .quiet {
      display: none;
    }
  }
</style>
