<script lang="ts">
  import type { Overlay, Scenario } from '../api/client';
  import { endAfter, isoOf } from '../units/dates';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import type { Quantity } from '../units/units';
  import { rangeText } from '../words/refusals';
  import { overlayText, seasonOptions } from './names';

  const open = thePlan();

  const plan = $derived(open.view!.plan);
  const below = $derived(
    seasonOptions(plan, open.records, 'normal')
      .filter((o) => !o.key.startsWith('scenario:'))
      .map((o) => ({ id: o.key, name: o.name })),
  );
  const KINDS = [
    { id: 'RAIN', name: 'Less or more rain' },
    { id: 'HEAT', name: 'Warmer or cooler' },
    { id: 'KILLING_FROST', name: 'A killing frost' },
    { id: 'LATE_SPRING', name: 'A late season' },
  ];
  const BEGIN: Record<Overlay['kind'], number> = {
    RAIN: -0.5,
    HEAT: 3,
    KILLING_FROST: -4,
    LATE_SPRING: 14,
  };

  let name = $state('');
  let over = $state('normal');
  let overlays = $state<Overlay[]>([]);
  let kind = $state<Overlay['kind']>('RAIN');
  let amount = $state(-0.5);
  let from = $state<string | null>(null);
  let to = $state<string | null>(null);

  function setKind(next: string) {
    kind = next as Overlay['kind'];
    amount = BEGIN[kind];
    if (kind === 'KILLING_FROST' && !from) from = isoOf(plan.year.start, 30);
  }
  /** As the server accepts them, in SI. */
  const ACCEPTED: Partial<Record<Overlay['kind'], [number, number, Quantity]>> = {
    RAIN: [-1, 3, 'share'],
    HEAT: [-10, 10, 'degrees'],
    LATE_SPRING: [0, 60, 'count'],
  };
  const outside = $derived.by(() => {
    const accepted = ACCEPTED[kind];
    if (!accepted || (amount >= accepted[0] && amount <= accepted[1])) return '';
    return rangeText('Change', ...accepted, open.system);
  });
  function add() {
    overlays = [
      ...overlays,
      { kind, amount, fromInclusive: from, toExclusive: to ? endAfter(to) : null },
    ];
  }
  async function keep() {
    const scenario: Scenario = {
      id: freshId(
        name || 'scenario',
        plan.scenarios.map((s) => s.id),
      ),
      name: name || overlayText(overlays[0], open.system),
      over,
      overlays: $state.snapshot(overlays) as Overlay[],
    };
    if (await open.edit([{ putScenario: scenario }])) {
      overlays = [];
      name = '';
      await open.look(`scenario:${scenario.id}`);
    }
  }
</script>

<section class="panel form" aria-labelledby="scenarios">
  <h2 id="scenarios">What if</h2>
  <p class="quiet">
    Lay changes over a year: a dry spell, heat, an early frost, a late spring. A scenario belongs to
    the plan and stands in the season switch.
  </p>
  {#each plan.scenarios as s (s.id)}
    <p class="row">
      <span
        ><strong>{s.name}</strong>: {s.overlays
          .map((o) => overlayText(o, open.system))
          .join('; ')}</span
      >
      <button class="btn plain" onclick={() => open.look(`scenario:${s.id}`)}
        >Look at it<span class="visually-hidden">: {s.name}</span></button
      >
      {#if open.mayPlan}
        <button class="btn plain" onclick={() => open.edit([{ removeScenario: s.id }])}
          >Remove<span class="visually-hidden"> {s.name}</span></button
        >
      {/if}
    </p>
  {/each}
  {#if open.mayPlan}
    <div class="input-grid">
      <Choice label="Change" value={kind} options={KINDS} onchange={setKind} />
      {#if kind === 'RAIN'}
        <NumberField
          label="Rain changes by"
          quantity="share"
          value={amount}
          hint="-50 is half the rain."
          onchange={(v) => v !== null && (amount = v)}
        />
      {:else if kind === 'HEAT'}
        <NumberField
          label="Warmer by"
          quantity="degrees"
          value={amount}
          onchange={(v) => v !== null && (amount = v)}
        />
      {:else if kind === 'LATE_SPRING'}
        <NumberField
          label="Days later"
          quantity="count"
          value={amount}
          onchange={(v) => v !== null && (amount = v)}
        />
      {/if}
      <DateField
        label={kind === 'KILLING_FROST' ? 'Night of' : 'From'}
        value={from}
        onchange={(v) => (from = v)}
      />
      {#if kind !== 'KILLING_FROST'}
        <DateField label="To, last day" value={to} onchange={(v) => (to = v)} />
      {/if}
      <button
        class="btn plain"
        disabled={(kind === 'KILLING_FROST' && !from) || outside !== ''}
        onclick={add}>Add this change</button
      >
    </div>
    {#if outside}<p class="wrong" role="alert">{outside}</p>{/if}
    {#if overlays.length > 0}
      <ul>
        {#each overlays as o, i (i)}
          <li>
            {overlayText(o, open.system)}
            <button
              class="btn plain"
              onclick={() => (overlays = overlays.filter((_, j) => j !== i))}>Leave out</button
            >
          </li>
        {/each}
      </ul>
      <div class="input-grid">
        <TextField label="Called" value={name} oninput={(v) => (name = v)} />
        <Choice label="Laid over" value={over} options={below} onchange={(v) => (over = v)} />
        <button class="btn preset-filled-primary-500" onclick={keep}>Keep and look at it</button>
      </div>
    {/if}
  {/if}
</section>

<style>
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  .row,
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: center;
    margin-top: 0.4rem;
  }
  .row span:first-child {
    flex: 1 1 16rem;
  }
</style>
