<script lang="ts" module>
  import type { QuickRequest } from '../api/client';

  /** What was asked last: it is still there once somebody has signed in to keep it. */
  let last: QuickRequest | null = null;
</script>

<script lang="ts">
  import { habits, smallStock } from '../store/usual';
  import { push } from 'svelte-spa-router';
  import type { QuickView } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { dayOf, today } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';
  import { amount, figure, lengthsIn, type System } from '../units/units';
  import { usualHere, winterHere } from '../units/usual';
  import { inKeepersOrder, kindName, plural } from '../words/year';

  const open = thePlan();

  const catalogue = $derived(open.catalogue!);
  let asked = $state<QuickRequest>(
    last ?? {
      farmName: 'Smallholding',
      climateId: 'transition_humid',
      ...usualHere(navigator.language),
      kind: 'beef/cow',
      head: 10,
      weightKg: 550,
      ...winterHere(today(), false),
      packageId: 'rb_150x120_net',
      kgPerUnitAsFed: 365,
      storageMethodId: 's_barn',
      feedingMethodId: 'f_ring_open',
      eatsKgPerHeadDay: null,
      intoThemKgPerUnit: null,
    },
  );
  let answer = $state<QuickView | null>(null);
  /** What the answer was given to: while a newer one is on its way, its words go with its number. */
  let head = $state(0);
  let wrong = $state('');
  let number = 0;

  const bales = $derived(
    catalogue.packages.filter((p) => /round|square/.test(p.shape) && !/straw|stalk/.test(p.id)),
  );
  const losses = (stage: string) => catalogue.losses.filter((l) => l.stage === stage);
  const system = $derived(asked.units as System);
  const perHead = $derived(answer && head > 0 ? answer.eatenKg / answer.days / head : 0);

  $effect(() => {
    const request = $state.snapshot(asked) as QuickRequest;
    last = request;
    // the number fields read and write in the farm's units, also before there is a farm
    open.system = request.units as System;
    const mine = ++number;
    open.api
      .quickHay(request)
      .then((a) => {
        if (mine === number) {
          answer = a;
          head = request.head;
          wrong = '';
        }
      })
      .catch((e) => {
        if (mine === number) wrong = open.explain(e);
      });
  });
  function setKind(id: string) {
    const kind = catalogue.kinds.find((k) => k.id === id)!;
    asked.kind = id;
    asked.weightKg = kind.defaultWeightKg;
    fedAsUsual();
  }
  function fedAsUsual() {
    const p = catalogue.packages.find((x) => x.id === asked.packageId)!;
    asked.feedingMethodId = habits(p, smallStock([asked.kind])).feedingMethodId;
  }
  function setBale(id: string) {
    const p = catalogue.packages.find((x) => x.id === id)!;
    asked.packageId = id;
    asked.kgPerUnitAsFed = p.typicalKg;
    const wrapped = p.shape === 'wrapped_round';
    asked.storageMethodId = wrapped ? 's_wrapped_sound' : 's_barn';
    fedAsUsual();
  }
  async function keep() {
    const done = await signed.attempt(async () => {
      const { plan } = await open.api.keepQuick($state.snapshot(asked) as QuickRequest);
      await signed.refresh();
      await push(`/plan/${plan}/store`);
    });
    wrong = done ? '' : signed.error;
  }
</script>

<section class="panel form" aria-labelledby="quick-title" data-testid="quick-hay">
  <h2 id="quick-title">How many bales?</h2>
  <p class="answer" aria-live="polite" data-testid="quick-answer">
    {#if wrong}<span class="wrong" role="alert">{wrong}</span>
    {:else if answer}
      <strong>{answer.units.toLocaleString('en-US')}</strong>
      {plural(answer.unitName, answer.units)}
    {/if}
  </p>
  {#if answer && !wrong}
    <p class="quiet" data-testid="quick-lines">
      {head} head eat {amount(perHead, 'perDay', system)} of dry matter, in {answer.days} days
      {amount(answer.eatenKg, 'mass', system)}.<br />
      One bale puts {amount(answer.usableKg, 'weight', system)} into them, once store and feeding have
      taken their part: {(answer.usableKg > 0 ? answer.eatenKg / answer.usableKg : 0).toFixed(1)} bales,
      and a part of one is a bale.
    </p>
  {/if}
  <div class="input-grid">
    <Choice
      label="Animals"
      value={asked.kind}
      options={inKeepersOrder(catalogue.kinds).map((k) => ({ id: k.id, name: kindName(k.id) }))}
      onchange={setKind}
    />
    <NumberField
      label="How many"
      name="group.head"
      value={asked.head}
      onchange={(v) => v !== null && (asked.head = Math.round(v))}
    />
    <NumberField
      name="group.weightKg"
      value={asked.weightKg}
      onchange={(v) => v !== null && (asked.weightKg = v)}
    />
    <DateField label="Hay from" value={asked.from} onchange={(v) => v && (asked.from = v)} />
    <DateField label="To, last day" value={asked.to} onchange={(v) => v && (asked.to = v)} />
    <Choice
      label="Bales"
      value={asked.packageId}
      options={bales.map((p) => ({ id: p.id, name: lengthsIn(p.name, system) }))}
      onchange={setBale}
    />
    <NumberField
      label="Weight of a bale, as fed"
      name="lot.kgPerUnitAsFed"
      value={asked.kgPerUnitAsFed}
      onchange={(v) => v !== null && (asked.kgPerUnitAsFed = v)}
    />
    <NumberField
      label="One eats, dry matter"
      quantity="perDay"
      value={asked.eatsKgPerHeadDay ?? null}
      optional
      placeholder={answer ? `as usual ${figure(perHead, 'perDay', system)}` : 'as usual'}
      onchange={(v) => (asked.eatsKgPerHeadDay = v)}
    />
    <NumberField
      label="One bale puts into them"
      quantity="weight"
      value={asked.intoThemKgPerUnit ?? null}
      optional
      placeholder={answer ? `as usual ${figure(answer.usableKg, 'weight', system)}` : 'as usual'}
      onchange={(v) => (asked.intoThemKgPerUnit = v)}
    />
    <Choice
      label="Shown in"
      value={asked.units}
      options={[
        { id: 'METRIC', name: 'metric' },
        { id: 'IMPERIAL', name: 'imperial' },
      ]}
      onchange={(v) => (asked.units = v as QuickRequest['units'])}
    />
  </div>
  <details>
    <summary>Place, store and feeding</summary>
    <div class="input-grid">
      <Choice
        label="Nearest climate"
        value={asked.climateId}
        options={catalogue.climates}
        onchange={(v) => {
          asked.climateId = v;
          const southern = catalogue.climates.find((c) => c.id === v)?.southern ?? false;
          Object.assign(asked, winterHere(today(), southern));
        }}
      />
      <Choice
        label="Stored"
        value={asked.storageMethodId}
        options={losses('STORAGE')}
        onchange={(v) => (asked.storageMethodId = v)}
      />
      <Choice
        label="Fed"
        value={asked.feedingMethodId}
        options={losses('FEEDING')}
        onchange={(v) => (asked.feedingMethodId = v)}
      />
    </div>
  </details>
  {#if signed.who && !signed.who.visitor}
    <button class="btn plain" disabled={wrong !== ''} onclick={keep}>Keep it as a farm</button>
  {/if}
  <p class="quiet fine">
    Dry matter is feed less its water. Animals count as dry, by the tables' intake of their class;
    {dayOf(asked.from, asked.to) > 0 ? '' : 'the last day must lie after the first; '}births,
    grazing and a season's weather come with a plan.
  </p>
</section>

<style>
  .answer {
    font-size: 1.2rem;
    min-height: 2.6rem;
  }
  .answer strong {
    font-size: 2.2rem;
    font-family: var(--mono);
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    font-size: 1rem;
  }
  summary {
    cursor: pointer;
    font-weight: 600;
    padding: 0.5rem 0;
  }
  button {
    margin-top: 0.8rem;
  }
</style>
