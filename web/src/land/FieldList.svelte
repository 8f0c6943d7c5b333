<script lang="ts">
  import { thePlan } from '../plan/context';
  import { amount, figure, unitOf } from '../units/units';
  import { blocksOf } from '../words/blocks';

  const open = thePlan();

  let {
    chosenId,
    day,
    onchoose,
    onadd,
  }: {
    chosenId: string | null;
    /** The day of which the list says what stands. */
    day: number;
    onchoose: (id: string) => void;
    onadd: () => void;
  } = $props();

  let find = $state('');
  const MANY = 8;
  const forages = $derived(new Map(open.forages.map((f) => [f.id, f.name])));
  const rows = $derived(
    open.view!.farm.fields.map((f) => {
      const result = open.year.fields.find((r) => r.id === f.id);
      return {
        id: f.id,
        name: f.name,
        block: f.block,
        stand: (forages.get(f.stand.forageId) ?? f.stand.forageId).split(' (')[0],
        areaHa: f.areaHa - (f.deductedHa ?? 0),
        coverKgPerHa: result?.coverKgPerHa[day] ?? null,
        doubtful: open.view!.year.doubts.some((d) => d.subjectId === f.id),
      };
    }),
  );
  const words = $derived(find.trim().toLowerCase());
  const shown = $derived(
    rows.filter((r) => !words || `${r.name} ${r.block} ${r.stand}`.toLowerCase().includes(words)),
  );
</script>

<section aria-label="Land">
  <h1 class="visually-hidden">Land</h1>
  <div class="head">
    {#if rows.length > MANY}
      <label
        ><span class="visually-hidden">Find a field</span><input
          class="input"
          type="search"
          placeholder="Find a field or a stand"
          bind:value={find}
        /></label
      >
    {/if}
    {#if open.mayPlan}<button class="btn plain" onclick={onadd}>Add field</button>{/if}
    <a class="btn plain" href={`#/plan/${open.view!.id}/land/draw`}>Draw</a>
    <a class="btn plain" href={`#/plan/${open.view!.id}/papers?table=FIELDS`}>As a table</a>
  </div>
  <ul class="panel">
    <li class="quiet heads" aria-hidden="true">
      <span>{shown.length} {shown.length === 1 ? 'field' : 'fields'}</span>
      <span class="figure">{unitOf('area', open.system)}</span>
      <span class="figure">{unitOf('massPerArea', open.system)}</span>
    </li>
    {#each blocksOf(shown) as block (block.name)}
      {#if block.name || blocksOf(shown).length > 1}
        <li class="block">
          <span>{block.name || 'of no block'}</span>
          <span class="figure"
            >{figure(
              block.fields.reduce((ha, f) => ha + f.areaHa, 0),
              'area',
              open.system,
            )}</span
          >
        </li>
      {/if}
      {#each block.fields as r (r.id)}
        <li>
          <button
            class:chosen={r.id === chosenId}
            aria-pressed={r.id === chosenId}
            onclick={() => onchoose(r.id)}
          >
            <span class="name"
              >{r.name}
              <small class="quiet">{r.stand.toLowerCase()}</small>
              {#if r.doubtful}<span class="doubtful">doubtful</span>{/if}</span
            >
            <span class="figure">{amount(r.areaHa, 'area', open.system).split(' ')[0]}</span>
            <span class="figure"
              >{r.coverKgPerHa === null
                ? ''
                : figure(r.coverKgPerHa, 'massPerArea', open.system)}</span
            >
          </button>
        </li>
      {/each}
    {:else}
      <li class="none">No field is called so. Clear the box to see them all.</li>
    {/each}
  </ul>
</section>

<style>
  .head {
    display: flex;
    gap: 0.5rem;
    margin-bottom: 0.5rem;
  }
  label {
    flex: 1;
  }
  ul {
    max-height: 22rem;
    overflow-y: auto;
  }
  li {
    border-bottom: 1px solid var(--line);
  }
  li:last-child {
    border-bottom: none;
  }
  .heads,
  button:not(.btn) {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 3.6rem 4rem;
    gap: 0.5rem;
    width: 100%;
    align-items: baseline;
    text-align: left;
    padding: 0.3rem 0.8rem;
  }
  .block {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 3.6rem 4rem;
    gap: 0.5rem;
    padding: 0.25rem 0.8rem;
    background: var(--ground);
    font-size: 13px;
    font-weight: 700;
  }
  .heads {
    font-size: 13px;
    position: sticky;
    top: 0;
    background: var(--panel);
  }
  button:not(.btn) {
    min-height: 38px;
    align-items: center;
    cursor: pointer;
  }
  button:not(.btn):hover {
    background: var(--frost);
  }
  .chosen {
    background: var(--frost);
    box-shadow: inset 4px 0 0 var(--cobalt);
  }
  .name {
    font-weight: 600;
  }
  small {
    font-weight: 400;
    margin-left: 0.2rem;
  }
  .figure {
    text-align: right;
  }
  .none {
    padding: 0.6rem 0.8rem;
  }
  .doubtful {
    margin-left: 0.3rem;
    padding: 0 0.35rem;
    border: 1px solid var(--standing-dark);
    border-left: 4px solid var(--standing);
    font-size: 12px;
    font-weight: 400;
  }
  @media (max-width: 760px) {
    button:not(.btn) {
      min-height: 44px;
    }
  }
</style>
