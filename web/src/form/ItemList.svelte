<script lang="ts">
  import { thePlan } from '../plan/context';

  const open = thePlan();

  let {
    title,
    items,
    chosenId,
    onchoose,
    addLabel = '',
    onadd = null,
    table = '',
  }: {
    title: string;
    items: { id: string; name: string; figure: string; note: string; doubtful: boolean }[];
    chosenId: string | null;
    onchoose: (id: string) => void;
    addLabel?: string;
    onadd?: (() => void) | null;
    /** The list by which its table is known, where it has one. */
    table?: string;
  } = $props();
</script>

<section aria-label={title}>
  <div class="head">
    <h1>{title}</h1>
    {#if table}<a class="btn plain" href={`#/plan/${open.view!.id}/papers?table=${table}`}
        >As a table</a
      >{/if}
    {#if open.mayPlan && onadd}<button class="btn plain" onclick={onadd}>{addLabel}</button>{/if}
  </div>
  <ul class="panel">
    {#each items as item (item.id)}
      <li>
        <button
          class:chosen={item.id === chosenId}
          aria-pressed={item.id === chosenId}
          onclick={() => onchoose(item.id)}
        >
          <span class="name"
            >{item.name}
            {#if item.doubtful}<span class="doubtful">doubtful</span>{/if}</span
          >
          <span class="figure">{item.figure}</span>
          <span class="note">{item.note}</span>
        </button>
      </li>
    {/each}
  </ul>
</section>

<style>
  .head {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    margin-bottom: 0.5rem;
  }
  h1 {
    flex: 1;
    font-size: 1.3rem;
  }
  button:not(.btn) {
    display: grid;
    grid-template-columns: 1fr auto;
    width: 100%;
    text-align: left;
    padding: 0.35rem 0.8rem;
    border-bottom: 1px solid var(--line);
    min-height: 44px;
  }
  li:last-child button {
    border-bottom: none;
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
  .doubtful {
    margin-left: 0.5rem;
    padding: 0 0.35rem;
    border: 1px solid var(--standing-dark);
    border-left: 4px solid var(--standing);
    font-size: 12px;
    font-weight: 400;
  }
  .note {
    grid-column: 1 / -1;
    font-size: 13px;
    color: var(--quiet);
  }
</style>
