<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { type Revision } from '../api/client';
  import { thePlan } from '../plan/context';
  import { toldText } from './told';
  import MiniYear from '../plan/MiniYear.svelte';

  const open = thePlan();

  const PAGE = 100;
  let lines = $state<Revision[]>([]);
  let more = $state(false);
  let shown = $state<number | null>(null);

  $effect(() => {
    void open.view?.revision;
    untrack(() => void load(null));
  });
  onDestroy(() => open.dropTrial());

  async function load(before: number | null) {
    try {
      const page = await open.api.history(open.view!.id, before);
      lines = before ? [...lines, ...page] : page;
      more = page.length === PAGE;
    } catch (e) {
      open.error = open.explain(e);
    }
  }
  async function show(number: number) {
    if (shown === number) {
      shown = null;
      open.dropTrial();
      return;
    }
    try {
      open.showYear(await open.api.at(open.view!.id, number));
      shown = number;
    } catch (e) {
      open.error = open.explain(e);
    }
  }
  async function back(number: number) {
    shown = null;
    await open.step(open.api.back(open.view!.id, open.view!.revision, number));
  }
  const when = (at: string) =>
    new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
</script>

<MiniYear />
<section aria-labelledby="changes-title">
  <h1 id="changes-title">Changes</h1>
  <p class="quiet">
    Every change of this plan, newest first. Undo and redo are changes too: nothing leaves this
    list. Of changes more than 200 ago every twentieth can be looked at and gone back to.
  </p>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="wrap panel" tabindex="0" role="region" aria-label="Changes, table">
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col" class="number">No.</th>
          <th scope="col">What</th>
          <th scope="col">Who</th>
          <th scope="col">When</th>
          <th scope="col"><span class="visually-hidden">What to do</span></th>
        </tr>
      </thead>
      <tbody data-testid="changes">
        {#each lines as line (line.number)}
          <tr class:now={line.number === open.view!.revision}>
            <td class="number">{line.number}</td>
            <td class="words">{toldText(line.told, open.system)}</td>
            <td>{line.who || 'not known'}</td>
            <td class="when">{when(line.at)}</td>
            <td class="acts">
              {#if line.number === open.view!.revision}
                <span class="quiet">as it stands</span>
              {:else if line.whole}
                <button
                  class="btn plain"
                  aria-pressed={shown === line.number}
                  onclick={() => show(line.number)}
                  >{shown === line.number ? 'Shown above' : 'Show'}<span class="visually-hidden">
                    change {line.number}</span
                  ></button
                >
                {#if open.mayPlan}
                  <button class="btn plain" onclick={() => back(line.number)}
                    >Go back to this<span class="visually-hidden">, change {line.number}</span
                    ></button
                  >
                {/if}
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if more}
    <button class="btn plain" onclick={() => load(lines[lines.length - 1].number)}
      >Show older changes</button
    >
  {/if}
</section>

<style>
  section {
    padding: 1rem 20px 2rem;
  }
  .wrap {
    position: relative;
    overflow-x: auto;
    margin: 0.5rem 0;
  }
  table {
    width: 100%;
  }
  .words {
    min-width: 14rem;
    overflow-wrap: anywhere;
  }
  .when {
    white-space: nowrap;
  }
  .acts {
    text-align: right;
    white-space: nowrap;
  }
  .now td {
    background: var(--frost);
  }
</style>
