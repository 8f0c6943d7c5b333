<script lang="ts">
  import { onDestroy } from 'svelte';
  import { Refusal, type Fact, type FeedTest, type Lot, type Sample } from '../api/client';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { longDate, shortDate, today } from '../units/dates';
  import { commandId, device } from '../plan/outbox';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { Written } from '../records/written.svelte';
  import { ROLES } from '../words/roles';

  const open = thePlan();

  let { lot }: { lot: Lot } = $props();

  const LOOK_AGAIN_MS = 4000;
  let samples = $state<Sample[]>([]);
  let typed = $state<FeedTest | null>(null);
  let sampledOn = $state(today());
  const result = $derived(open.year.lots.find((l) => l.id === lot.id));
  const mine = $derived(samples.filter((s) => s.lotId === lot.id && !s.taken));
  const written = new Written(() => lot.id);
  const tests = $derived(
    written
      .of('LOT_TESTED')
      .filter((l) => !l.struckBy)
      .map((l) => ({ record: l.id, ...l.fact.test }))
      .sort((a, b) => (a.sampledOn < b.sampledOn ? -1 : 1)),
  );
  let timer: ReturnType<typeof setTimeout> | undefined;

  $effect(() => {
    void open.view;
    void look();
  });
  onDestroy(() => clearTimeout(timer));

  /** Looks again by itself while a report is on its way. */
  async function look() {
    clearTimeout(timer);
    try {
      samples = await open.api.samples(open.view!.id);
    } catch (e) {
      open.error = open.explain(e);
      return;
    }
    if (samples.some((s) => !s.report)) timer = setTimeout(() => void look(), LOOK_AGAIN_MS);
  }
  async function send() {
    try {
      await open.api.sendSample(open.view!.id, commandId(), device(), lot.id, sampledOn);
      await look();
    } catch (e) {
      open.error = open.explain(e);
    }
  }
  async function take(sample: Sample) {
    try {
      open.took(await open.api.takeReport(open.view!.id, sample.id, device()));
    } catch (e) {
      open.error = e instanceof Refusal ? open.explain(e) : String(e);
    }
  }
  function begin() {
    typed = {
      id: freshId(
        'test',
        tests.map((t) => t.id),
      ),
      sampledOn: today(),
      reportedOn: today(),
      laboratory: '',
      dmShare: null,
      proteinPct: null,
      tdnPct: null,
      fibrePct: null,
      calciumPct: null,
      phosphorusPct: null,
      nitratePct: null,
    };
  }
  async function keep() {
    const test = $state.snapshot(typed) as FeedTest;
    if (test.reportedOn < test.sampledOn) test.reportedOn = test.sampledOn;
    const fact: Fact = { kind: 'LOT_TESTED', lotId: lot.id, test };
    if (await open.write([{ on: test.sampledOn, fact }])) typed = null;
  }
  async function drop(record: string) {
    await open.write([{ on: today(), fact: { kind: 'STRUCK', record, why: '' } }]);
  }
  const FROM = {
    TEST: 'by its newest test',
    CUT: 'by what stood when it was cut in the plan',
    TABLE: 'by the table: a test would say more',
    ASSUMED: 'assumed as common grass hay: say what it is, or have it tested',
  };
  const say = (v: number | null, digits = 1) => (v === null ? '' : v.toFixed(digits));
</script>

<section aria-labelledby="tests-title" data-testid="lot-tests">
  <h2 id="tests-title">What it is worth</h2>
  {#if result}
    <p>
      Protein <strong>{result.proteinPct.toFixed(1)}%</strong>, TDN
      <strong>{result.tdnPct.toFixed(1)}%</strong>, fibre {result.fibrePct.toFixed(0)}%, calcium
      {result.calciumPct.toFixed(2)}%, phosphorus {result.phosphorusPct.toFixed(2)}% of dry matter,
      {FROM[result.worthFrom]}.
    </p>
  {/if}
  {#if tests.length}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="months-scroll" tabindex="0" role="region" aria-label="Tests">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Sampled</th>
            <th scope="col">Laboratory</th>
            <th scope="col" class="number">Dry matter, %</th>
            <th scope="col" class="number">Protein</th>
            <th scope="col" class="number">TDN</th>
            <th scope="col" class="number">Fibre</th>
            <th scope="col" class="number">Nitrate</th>
            <th scope="col"><span class="visually-hidden">Strike it out</span></th>
          </tr>
        </thead>
        <tbody>
          {#each tests as t (t.record)}
            <tr>
              <th scope="row">{shortDate(t.sampledOn)} {t.sampledOn.slice(0, 4)}</th>
              <td>{t.laboratory}</td>
              <td class="number">{t.dmShare === null ? '' : (t.dmShare * 100).toFixed(0)}</td>
              <td class="number">{say(t.proteinPct)}</td>
              <td class="number">{say(t.tdnPct)}</td>
              <td class="number">{say(t.fibrePct, 0)}</td>
              <td class="number">{say(t.nitratePct, 2)}</td>
              <td
                >{#if open.mayWrite}<button class="btn plain" onclick={() => drop(t.record)}
                    >Strike out<span class="visually-hidden">
                      the test of {shortDate(t.sampledOn)}</span
                    ></button
                  >{/if}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
  {#each mine as s (s.id)}
    <p class="tells" data-testid="sample">
      {#if s.report}
        Report of the <strong>{s.laboratory}</strong> on the sample of {longDate(s.sampledOn)}:
        protein {say(s.report.proteinPct)}%, TDN {say(s.report.tdnPct)}%, fibre {say(
          s.report.fibrePct,
          0,
        )}%, nitrate {say(s.report.nitratePct, 2)}%.
        {#if open.mayWrite}<button class="btn preset-filled-primary-500" onclick={() => take(s)}
            >Take it into the lot</button
          >{/if}
      {:else}
        The sample of {longDate(s.sampledOn)} is at the <strong>{s.laboratory}</strong>; its report
        is due {new Date(s.dueAt).toLocaleString()}.
        <button class="btn plain" onclick={look}>Look again</button>
      {/if}
    </p>
  {/each}
  <div class="row">
    {#if open.mayWrite}
      <DateField label="Sampled on" value={sampledOn} onchange={(v) => v && (sampledOn = v)} />
      <button class="btn plain" onclick={send}>Send a sample</button>
    {/if}
    {#if open.mayWrite}<button class="btn plain" onclick={begin}>Type a report</button>{/if}
  </div>
  {#if typed}
    <div class="input-grid" data-testid="typed-test">
      <DateField
        label="Sampled"
        value={typed.sampledOn}
        onchange={(v) => v && (typed!.sampledOn = v)}
      />
      <NumberField
        name="test.dmShare"
        value={typed.dmShare}
        onchange={(v) => (typed!.dmShare = v)}
      />
      <NumberField
        name="test.proteinPct"
        value={typed.proteinPct}
        onchange={(v) => (typed!.proteinPct = v)}
      />
      <NumberField name="test.tdnPct" value={typed.tdnPct} onchange={(v) => (typed!.tdnPct = v)} />
      <NumberField
        name="test.fibrePct"
        value={typed.fibrePct}
        onchange={(v) => (typed!.fibrePct = v)}
      />
      <NumberField
        name="test.nitratePct"
        value={typed.nitratePct}
        onchange={(v) => (typed!.nitratePct = v)}
      />
      <button class="btn preset-filled-primary-500" onclick={keep}>Keep the report</button>
      <button class="btn plain" onclick={() => (typed = null)}>Leave it</button>
    </div>
  {/if}
  <p class="quiet fine">
    The laboratory that comes with the product is simulated: it draws a report about the table's
    figures and knows nothing of your hay. Type a real report in its place. A lot with much nitrate
    is held back or mixed: ask your veterinarian and adviser.
    {#if !open.mayWrite}You are {ROLES[open.view!.role].one} here.{/if}
  </p>
</section>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
    margin-top: 0.6rem;
  }
  .row :global(label) {
    width: 11rem;
  }
  table {
    width: 100%;
  }
</style>
