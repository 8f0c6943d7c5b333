<script lang="ts">
  import type { AheadStretch, YearsAhead } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import { thePlan } from '../plan/context';
  import SowForm from '../land/SowForm.svelte';
  import { dayOf, longDate } from '../units/dates';
  import { amount, shown, unitOf } from '../units/units';
  import { money } from '../words/prices';
  import { shortText, standText, stretchText, yearsSentence } from '../words/ahead';

  const open = thePlan();
  const MOST = 5;

  let years = $state(3);
  let ahead = $state<YearsAhead | null>(null);
  let writing = $state(false);
  let fieldId = $state('');
  let later = $state(1);
  const view = $derived(open.view!);
  const field = $derived(view.farm.fields.find((f) => f.id === fieldId) ?? view.farm.fields[0]);

  $effect(() => {
    const asked = [view.id, years, []] as const;
    void view.revision;
    void open.season;
    let latest = true;
    open.api
      .ahead(asked[0], asked[1], [])
      .then((a) => latest && (ahead = a))
      .catch((e) => latest && (open.error = open.explain(e)));
    return () => {
      latest = false;
    };
  });

  const from = $derived(ahead?.years[0].start ?? '');
  const days = $derived(ahead ? dayOf(from, ahead.years[ahead.years.length - 1].endExclusive) : 1);
  const left = (iso: string) => `${(100 * dayOf(from, iso)) / days}%`;
  const width = (s: AheadStretch) => `${(100 * dayOf(s.from, s.toExclusive)) / days}%`;
  const forage = (id: string) => open.forages.find((f) => f.id === id);
  const named = (id: string) => (forage(id)?.name ?? id).toLowerCase();
  const fieldName = (id: string) => view.farm.fields.find((f) => f.id === id)?.name ?? id;
  const dated = (iso: string) => `${longDate(iso)} ${iso.slice(0, 4)}`;
  /** Drawn below where it stands beside something that was there before. */
  const beside = (s: AheadStretch, all: readonly AheadStretch[]) =>
    all.some((o) => o !== s && o.from < s.from && o.toExclusive > s.from && o.kind !== 'GROUND');
  const told = (s: AheadStretch) =>
    `${stretchText(s.kind, named(s.forageId))}, ${dated(s.from)} to ${dated(s.toExclusive)}`;
  function paint(s: AheadStretch): string {
    const f = forage(s.forageId);
    if (s.kind === 'GROUND') return 'ground';
    if (s.kind === 'YOUNG') return 'young';
    if (s.kind === 'CROP') return 'crop';
    return f?.cropResidue || f?.fallow ? 'idle' : f?.rules.warmSeason ? 'warm' : 'cool';
  }
  /** Sowings that are written for days after this plan. */
  const written = $derived(
    view.plan.sowings
      .filter((s) => ahead && s.sowOn >= ahead.years[0].endExclusive)
      .sort((a, b) => a.sowOn.localeCompare(b.sowOn)),
  );
  async function strike(id: string) {
    await open.edit([{ removeSowing: id }]);
  }
  const cost = (perHa: number) => money(perHa / shown(1, 'area', open.system));
  const unpriced = $derived(ahead?.stands.some((s) => s.unpriced.length) ?? false);
</script>

<div class="head">
  <h1>Years ahead</h1>
  <p class="quiet">
    This plan, and after it one year from the other: each begins from what the one before leaves
    standing, in store and alive. What is written for later years is done then; what is not is done
    again as in this plan. In the season looked at, each year anew.
  </p>
  <Choice
    label="Years"
    value={String(years)}
    options={[2, 3, 4, MOST].map((n) => ({ id: String(n), name: `${n} years` }))}
    onchange={(v) => (years = Number(v))}
  />
</div>

{#if ahead}
  <p class="says" data-testid="years-ahead">{yearsSentence(ahead, open.system)}</p>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="sheet"
    tabindex="0"
    role="region"
    aria-label="Fields over the years"
    style={`--years: ${ahead.years.length}`}
  >
    <div class="row years">
      <div class="name"></div>
      <div class="lane">
        {#each ahead.years as y (y.start)}
          <section class="year" aria-label={`Year from ${dated(y.start)}`}>
            <h2>from {dated(y.start)}</h2>
            <dl>
              <dt>Eaten as it grew</dt>
              <dd>{amount(y.growingKg, 'bulk', open.system)}</dd>
              <dt>Standing feed</dt>
              <dd>{amount(y.standingEatenKg, 'bulk', open.system)}</dd>
              <dt>Stored feed</dt>
              <dd>{amount(y.storedKg, 'bulk', open.system)}</dd>
              <dt>In store at the end</dt>
              <dd>{amount(y.storeKg, 'bulk', open.system)}</dd>
              <dt>Out of use, mean</dt>
              <dd>{amount(y.outOfUseHa, 'area', open.system)}</dd>
            </dl>
            <p class:lacks={y.firstShort !== null}>{shortText(y, open.system)}</p>
          </section>
        {/each}
      </div>
    </div>
    {#each ahead.fields as f (f.fieldId)}
      <div class="row">
        <div class="name">{fieldName(f.fieldId)}</div>
        <ul class="lane" aria-label={`${fieldName(f.fieldId)} over the years`}>
          {#each f.stretches as s (s.kind + s.forageId + s.from)}
            <li
              class={`bar ${paint(s)}`}
              class:beside={beside(s, f.stretches)}
              style={`left: ${left(s.from)}; width: ${width(s)}`}
              title={told(s)}
            >
              <span aria-hidden="true">{stretchText(s.kind, named(s.forageId))}</span>
              <span class="visually-hidden">{told(s)}</span>
            </li>
          {/each}
        </ul>
      </div>
    {/each}
  </div>
  <ul class="legend" aria-label="What the colours mean">
    <li><i class="cool"></i> cool-season stand</li>
    <li><i class="warm"></i> warm-season stand</li>
    <li><i class="young"></i> sown to stay, not ready</li>
    <li><i class="crop"></i> crop that comes and goes</li>
    <li><i class="ground"></i> ground being prepared, seed in it</li>
  </ul>

  {#if ahead.stands.length}
    <section class="panel part" aria-labelledby="stands-title">
      <h2 id="stands-title">Sown to stay</h2>
      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="scroll" tabindex="0" role="region" aria-label="Stands that are sown">
        <table>
          <thead>
            <tr
              ><th>Field</th><th>Stand</th><th>Sown</th><th>What becomes of it</th><th
                >Its own from</th
              ><th class="figure">Cost, {view.farm.currency}/{unitOf('area', open.system)}</th><th
                class="figure">A year, over years</th
              ></tr
            >
          </thead>
          <tbody>
            {#each ahead.stands as s (s.sowingId + s.sowOn)}
              <tr>
                <th scope="row">{fieldName(s.fieldId)}</th>
                <td>{named(s.forageId)}</td>
                <td>{dated(s.sowOn)}</td>
                <td>{standText(s)}</td>
                <td>{s.failed || s.skipped ? '' : dated(s.fullOn)}</td>
                <td class="figure">{cost(s.costPerHa)}</td>
                <td class="figure"
                  >{cost(s.costPerHaYear)} over {s.spreadYears === 1 ? 'one' : s.spreadYears}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="quiet fine">
        Seed that is not at hand, ground and drill, less what others pay; spread over the years you
        said.{#if unpriced}
          Something of it has no price: it is not in these sums.{/if} A new stand grows from seven tenths
        of an old one’s growth to all of it in a year, natives from a seventh in two: assumed.
      </p>
    </section>
  {/if}

  <section class="panel part" aria-labelledby="written-title">
    <h2 id="written-title">Written for later years</h2>
    {#if written.length}
      <ul>
        {#each written as s (s.id)}
          <li class="one">
            {fieldName(s.fieldId)}: {named(s.forageId)} on {dated(s.sowOn)}{s.endsOn
              ? `, ended on ${dated(s.endsOn)}`
              : ''}
            {#if open.mayPlan}
              <button class="btn plain" onclick={() => strike(s.id)}
                >Strike it<span class="visually-hidden">
                  out: {named(s.forageId)} on {fieldName(s.fieldId)}</span
                ></button
              >
            {/if}
          </li>
        {/each}
      </ul>
    {:else}
      <p class="quiet">
        Nothing yet. A field may carry one thing after another: a crop that cleans the ground, then
        a perennial; a sod sown into every other year; a native stand that takes two years to come.
      </p>
    {/if}
    {#if open.mayPlan && view.farm.fields.length}
      {#if writing}
        <div class="input-grid">
          <Choice
            label="Field"
            value={field.id}
            options={view.farm.fields.map((f) => ({ id: f.id, name: f.name }))}
            onchange={(v) => (fieldId = v)}
          />
          <Choice
            label="Which year"
            value={String(later)}
            options={Array.from({ length: MOST }, (_, n) => ({
              id: String(n),
              name: n === 0 ? 'this plan’s year' : n === 1 ? 'the year after' : `${n} years after`,
            }))}
            onchange={(v) => (later = Number(v))}
          />
        </div>
        {#key `${field.id}/${later}`}
          <SowForm {field} day={null} changeId={null} {later} ondone={() => (writing = false)} />
        {/key}
      {:else}
        <button class="btn preset-filled-primary-500" onclick={() => (writing = true)}
          >Write a sowing for a field</button
        >
      {/if}
    {/if}
  </section>
{:else}
  <p class="says" role="status">Walking through the years.</p>
{/if}

<style>
  .head :global(.field) {
    max-width: 12rem;
    margin-top: 0.5rem;
  }
  .head {
    padding: 1rem 20px 0;
    max-width: 70rem;
  }
  .says {
    padding: 0.6rem 20px;
    font-weight: 600;
    max-width: 70rem;
  }
  .sheet {
    margin: 0 20px;
    border: 1px solid var(--line);
    background: var(--panel);
    overflow-x: auto;
  }
  .row {
    display: grid;
    grid-template-columns: 9.5rem minmax(calc(var(--years) * 11rem), 1fr);
    border-top: 1px solid var(--line);
  }
  .row.years {
    border-top: 0;
  }
  .name {
    padding: 0.35rem 0.6rem;
    font-weight: 600;
    font-size: 14px;
    overflow-wrap: anywhere;
  }
  .lane {
    position: relative;
    min-height: 2.1rem;
    background-image: repeating-linear-gradient(
      to right,
      var(--line) 0 1px,
      transparent 1px calc(100% / var(--years))
    );
  }
  .years .lane {
    display: grid;
    grid-template-columns: repeat(var(--years), 1fr);
  }
  .year {
    padding: 0.5rem 0.7rem;
    font-size: 13px;
  }
  .year h2 {
    font-size: 14px;
    font-weight: 700;
  }
  .year dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 0.6rem;
  }
  .year dd {
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  .lacks {
    color: var(--bare-dark);
    font-weight: 600;
  }
  .bar {
    position: absolute;
    top: 0.3rem;
    height: 1.5rem;
    padding: 0 0.3rem;
    font-size: 12px;
    line-height: 1.5rem;
    white-space: nowrap;
    overflow: hidden;
    border: 1px solid #51617a;
    color: #16233a;
  }
  .bar.beside {
    top: 0.75rem;
    height: 1.3rem;
    line-height: 1.2rem;
  }
  .cool {
    background: #cfe6c2;
  }
  .warm {
    background: #f0dfa6;
  }
  .idle {
    background: #e3e7ed;
  }
  .young {
    background: repeating-linear-gradient(135deg, #e6f2df 0 6px, #ffffff 6px 12px);
  }
  .crop {
    background: #b9d3f3;
  }
  .ground {
    background: #dcbfa2;
  }
  .legend {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.2rem;
    padding: 0.4rem 20px;
    font-size: 13px;
  }
  .legend i {
    display: inline-block;
    width: 16px;
    height: 12px;
    border: 1px solid #51617a;
    vertical-align: -1px;
  }
  .part {
    margin: 1rem 20px;
    padding: 1rem;
  }
  .one {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: center;
    min-height: 44px;
    border-bottom: 1px solid var(--line);
  }
  .scroll {
    overflow-x: auto;
  }
  table {
    border-collapse: collapse;
    font-size: 14px;
  }
  th,
  td {
    text-align: left;
    padding: 0.25rem 0.8rem 0.25rem 0;
    border-bottom: 1px solid var(--line);
    font-weight: 400;
  }
  thead th {
    font-weight: 700;
  }
  .figure {
    text-align: right;
  }
</style>
