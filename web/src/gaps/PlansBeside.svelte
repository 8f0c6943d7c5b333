<script lang="ts">
  import { printAlone } from '../form/printed';
  import type { PlanView } from '../api/client';
  import { thePlan } from '../plan/context';
  import { plannedThings } from '../plan/planned';
  import { inSeasonWords, seasonOptions } from '../seasons/names';
  import { manyCompared, onlyIn } from '../words/compare';
  import { verdict } from '../words/year';

  const open = thePlan();

  const MOST = 3;
  const view = $derived(open.view!);
  let ticked = $state<string[]>([]);
  let others = $state.raw<PlanView[]>([]);
  let gone = false;
  $effect(() => () => (gone = true));
  $effect(() => {
    void open.season;
    void view.revision;
    void read([...ticked]);
  });
  async function read(ids: string[]) {
    try {
      const found = await Promise.all(ids.map((id) => open.api.plan(id)));
      if (!gone && ids.join() === ticked.join()) others = found;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
  }
  function tick(id: string, on: boolean) {
    ticked = on ? [...ticked, id].slice(-MOST) : ticked.filter((t) => t !== id);
  }

  const shown = $derived([view, ...others]);
  const rows = $derived(
    manyCompared(
      shown.map((p) => p.year),
      open.system,
      view.farm.currency,
    ).filter((r) => r.differs),
  );
  const things = (of: PlanView) =>
    plannedThings(
      of,
      of.year,
      (id) => open.forages.find((f) => f.id === id)?.name ?? id,
      open.system,
    ).map((t) => t.text);
  /** What each does that not all do. */
  const own = $derived.by(() => {
    const all = shown.map(things);
    const common = all.reduce((a, b) => a.filter((t) => b.includes(t)));
    return all.map((t) => onlyIn(t, common));
  });
  const season = $derived(
    inSeasonWords(open.season, seasonOptions(view.plan, open.records, open.season)),
  );
  let part = $state<HTMLElement>();
</script>

{#if view.others.length}
  <section
    class="panel form"
    bind:this={part}
    aria-labelledby="beside-title"
    data-testid="plans-beside"
  >
    <h2 id="beside-title">Plans compared</h2>
    <p class="no-print">
      Up to {MOST} other plans of the farm beside this one{season
        ? `, ${season.toLowerCase()}`
        : ''}.
    </p>
    <div class="ticks no-print">
      {#each view.others as other (other.id)}
        <label
          ><input
            type="checkbox"
            class="checkbox"
            checked={ticked.includes(other.id)}
            onchange={(e) => tick(other.id, e.currentTarget.checked)}
          />
          {other.name}</label
        >
      {/each}
    </div>
    {#if others.length}
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="months-scroll" tabindex="0" role="region" aria-label="Plans beside each other">
        <table class="ledger">
          <thead>
            <tr>
              <th scope="col"><span class="visually-hidden">Figure</span></th>
              {#each shown as p (p.id)}<th scope="col">{p.plan.name}</th>{/each}
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">In one sentence</th>
              {#each shown as p (p.id)}<td>{verdict(p.year, open.system).headline}</td>{/each}
            </tr>
            {#each rows as r (r.name)}
              <tr>
                <th scope="row">{r.name}</th>
                {#each r.cells as cell, i (shown[i].id)}<td class="figure">{cell}</td>{/each}
              </tr>
            {/each}
            <tr>
              <th scope="row">What only some of them do</th>
              {#each own as list, i (shown[i].id)}
                <td
                  >{#if list.length}<ul>
                      {#each list as text (text)}<li>{text}</li>{/each}
                    </ul>{:else}Nothing of its own in the list of plans; orders of feeds and the
                    herd may differ.{/if}</td
                >
              {/each}
            </tr>
          </tbody>
        </table>
      </div>
      <button class="btn plain no-print" onclick={() => printAlone(part!)}>Print this page</button>
    {/if}
  </section>
{/if}

<style>
  .ticks {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.5rem;
    margin: 0.4rem 0;
  }
  .ticks label {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    min-height: 44px;
  }
  table {
    width: 100%;
  }
  th,
  td {
    vertical-align: top;
    text-align: left;
  }
  .figure {
    font-family: var(--mono);
  }
  ul {
    list-style: disc;
    padding-left: 1.1rem;
  }
</style>
