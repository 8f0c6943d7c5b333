<script lang="ts">
  import type { Rung } from '../api/client';
  import { thePlan } from '../plan/context';
  import Choice from '../form/Choice.svelte';
  import MonthDayField from '../form/MonthDayField.svelte';
  import TextField from '../form/TextField.svelte';
  import { printAlone } from '../form/printed';
  import { rounded, toSi, unitOf } from '../units/units';
  import { monthDay, rungText, SIGNS, type Sign } from '../words/signs';

  /** The rungs that a keeper agrees with himself, to be printed. */
  const open = thePlan();
  const rungs = $derived([...open.view!.plan.rungs].sort((a, b) => order(a) - order(b)));
  /** By their place in the plan's year. */
  function order(r: Rung): number {
    const at = Number(r.on.slice(2, 4)) * 31 + Number(r.on.slice(5, 7));
    const start = open.view!.year.start;
    const first = Number(start.slice(5, 7)) * 31 + Number(start.slice(8, 10));
    return (at - first + 372) % 372;
  }
  let part = $state<HTMLElement>();
  let writing = $state(false);
  let id = $state<string | null>(null);
  let on = $state<string | null>(null);
  let sign = $state<Sign | ''>('');
  let below = $state<number | null>(null);
  let doThis = $state('');
  const options = $derived([
    { id: '', name: 'the words alone' },
    ...(Object.keys(SIGNS) as Sign[]).map((s) => ({
      id: s,
      name: `${SIGNS[s].name}, ${unitOf(SIGNS[s].quantity, open.system)}`,
    })),
  ]);
  const whole = $derived(on !== null && doThis.trim() !== '' && (sign === '' || below !== null));

  function change(r: Rung) {
    id = r.id;
    writing = true;
    on = r.on;
    sign = r.sign ?? '';
    below =
      r.sign && r.below !== null ? rounded(r.below, SIGNS[r.sign].quantity, open.system) : null;
    doThis = r.doThis;
  }
  function clear() {
    id = on = below = null;
    sign = doThis = '';
    writing = false;
  }
  async function put() {
    const rung: Rung = {
      id: id ?? `rung-${Date.now().toString(36)}`,
      on: on!,
      sign: sign || null,
      below: sign ? toSi(below!, SIGNS[sign].quantity, open.system) : null,
      doThis: doThis.trim(),
    };
    if (await open.edit([{ putRung: rung }])) clear();
  }
</script>

<section class="panel form" aria-labelledby="drought-title" bind:this={part} data-testid="drought">
  <h2 id="drought-title">My drought plan</h2>
  <p class="print-only">{open.view!.farm.name}, {open.view!.plan.name}</p>
  {#if rungs.length}
    <ol>
      {#each rungs as r (r.id)}
        <li>
          <strong>{monthDay(r.on)}.</strong>
          {rungText(r, open.system)}
          {#if open.mayPlan}
            <span class="no-print">
              <button
                class="btn plain"
                aria-label={`Change the rung of ${monthDay(r.on)}`}
                onclick={() => change(r)}>Change</button
              >
              <button
                class="btn plain"
                aria-label={`Remove the rung of ${monthDay(r.on)}`}
                onclick={() => open.edit([{ removeRung: r.id }])}>Remove</button
              >
            </span>
          {/if}
        </li>
      {/each}
    </ol>
    <p>
      Agreed with myself before the drought: on each of these days I look, and do it. A forecast of
      rain counts as none. Dams in good heart go last; welfare stands above the plan.
    </p>
    <p class="print-only signature">
      Agreed on ____________________ by ______________________________
    </p>
    <button class="btn plain no-print" onclick={() => printAlone(part!)}>Print it</button>
  {:else}
    <p>
      No rung yet. Take dates from those that tell, or write your own: a day, what you look at, and
      what you do then. Each is a job on its day.
    </p>
  {/if}
  {#if open.mayPlan}
    <details class="no-print" bind:open={writing}>
      <summary>{id ? 'Change a rung' : 'Write a rung'}</summary>
      <div class="input-grid">
        <MonthDayField label="On" name="rung.on" value={on} onchange={(v) => (on = v)} />
        <Choice label="Look at" value={sign} {options} onchange={(v) => (sign = v as Sign | '')} />
        {#if sign}
          <label class="field">
            <span>Less than, {unitOf(SIGNS[sign].quantity, open.system)}</span>
            <input
              class="input figure"
              type="number"
              min="0"
              value={below ?? ''}
              oninput={(e) =>
                (below = e.currentTarget.value === '' ? null : e.currentTarget.valueAsNumber)}
            />
          </label>
        {/if}
        <TextField name="rung.doThis" value={doThis} oninput={(v) => (doThis = v)} />
      </div>
      <button class="btn preset-filled-primary-500" disabled={!whole} onclick={put}
        >{id ? 'Save it' : 'Add the rung'}</button
      >
      {#if id}<button class="btn plain" onclick={clear}>Leave it</button>{/if}
    </details>
  {/if}
</section>

<style>
  li {
    margin: 0.3rem 0;
  }
  details {
    margin-top: 0.75rem;
  }
  details button {
    margin-top: 0.6rem;
  }
  .print-only {
    display: none;
  }
  @media print {
    .print-only {
      display: block;
    }
    .signature {
      margin-top: 3rem;
    }
  }
</style>
