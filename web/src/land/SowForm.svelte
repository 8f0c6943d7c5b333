<script lang="ts">
  import { untrack } from 'svelte';
  import {
    api,
    type Edit,
    type Field,
    type Fitting,
    type GrownTogether,
    type Sowing,
  } from '../api/client';
  import { dayOf, isoOf } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { againstText } from '../words/land';
  import { sowingOutcome } from '../words/year';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import Search from '../form/Search.svelte';
  import TiedDate from '../form/TiedDate.svelte';
  import NumberField from '../form/NumberField.svelte';
  import ActBar from './ActBar.svelte';
  import Companions from './Companions.svelte';
  import { Deed } from './deed.svelte';

  const open = thePlan();

  let {
    field,
    day,
    changeId,
    ondone,
    later = 0,
  }: {
    field: Field;
    day: number | null;
    changeId: string | null;
    ondone: () => void;
    /** Written for so many years after the plan's. */
    later?: number;
  } = $props();

  const view = $derived(open.view!);
  /** What comes and goes, and what comes to stay and is known to grow here. */
  const crops = $derived(
    open.forages.filter(
      (f) => f.sownYearly || (f.sownToStay && f.curves[open.view!.farm.climateId] !== undefined),
    ),
  );
  const before = untrack(() => open.view!.plan.sowings.find((s) => s.id === changeId));
  const WAYS = [
    { id: 'GRAZE_DOWN', name: 'Grazed down, sown into the sod' },
    { id: 'LIGHT_DISKING', name: 'Light disking, 5 days out of use before' },
    { id: 'BURN_DOWN', name: 'Burn-down, 14 days out of use before' },
    { id: 'FULL_SEEDBED', name: 'Full seedbed, 28 days; the old stand ends' },
    { id: 'SPRAYED_OUT', name: 'Sprayed out twice, 42 days, no till; the old stand ends' },
    { id: 'BURNT_OFF', name: 'Burnt off by fire, 7 days; the old stand lives' },
  ];

  const forageOf = $derived(open.forages.find((f) => f.id === field.stand.forageId));

  let crop = $state(before?.forageId ?? 'cereal_rye');
  let sowOn = $state<string | null>(untrack(asked));
  let way = $state<Sowing['preparation']>(before?.preparation ?? 'GRAZE_DOWN');
  let yieldKg = $state<number | null>(before?.yieldKgPerHa ?? null);
  let seed = $state(before?.seedShare ?? 1);
  let standing = $state<Sowing['standing']>(before?.standing ?? null);
  let terms = $state<Sowing['terms']>(before?.terms ?? null);
  let more = $state(untrack(() => before?.terms !== null && before !== undefined));
  let endsOn = $state<string | null>(before?.endsOn ?? null);

  let forHay = $state(false);
  let onlyFitting = $state(false);
  let fitting = $state<Fitting[]>([]);
  const against = $derived(new Map(fitting.map((f) => [f.forageId, f.against])));
  const irrigated = $derived(view.plan.irrigations.some((i) => i.fieldId === field.id));
  const offered = $derived(
    crops
      .filter((c) => !onlyFitting || c.id === crop || !against.get(c.id)?.length)
      .map((c) => ({
        id: c.id,
        name: c.name + (against.get(c.id)?.length ? ` (${againstText(against.get(c.id)!)})` : ''),
      })),
  );
  $effect(() => {
    const asked = [view.id, sowOn ?? usual, irrigated, forHay] as const;
    void view.revision;
    let latest = true;
    api
      .fitting(...asked)
      .then((f) => latest && (fitting = f))
      .catch(() => latest && (fitting = []));
    return () => {
      latest = false;
    };
  });

  const chosen = $derived(crops.find((c) => c.id === crop)!);
  /** Sown a little late is better than in a year's time, at the plan's end. */
  const LITTLE_LATE_DAYS = 28;
  /** The crop's usual day of sowing here, the first one in the plan. */
  const usual = $derived.by(() => {
    const doy = chosen.usualSowingDoy[view.farm.climateId];
    const year = Number(view.plan.year.start.slice(0, 4));
    const first = isoOf(`${year}-01-01`, doy - 1);
    const day = dayOf(view.plan.year.start, first);
    if (later) return isoOf(`${year + later + (day >= 0 ? 0 : 1)}-01-01`, doy - 1);
    if (day < 0 && day >= -LITTLE_LATE_DAYS) return view.plan.year.start;
    return day >= 0 ? first : isoOf(`${year + 1}-01-01`, doy - 1);
  });
  const sownBefore = $derived((sowOn ?? usual) < open.view!.plan.year.start);
  let together = $state<GrownTogether[]>([]);
  $effect(() => {
    const { putSowing } = edit() as { putSowing: Sowing };
    void view.revision;
    let latest = true;
    api
      .together(view.id, putSowing)
      .then((t) => latest && (together = t))
      .catch(() => latest && (together = []));
    return () => {
      latest = false;
    };
  });
  const draftId = untrack(
    () =>
      changeId ??
      freshId(
        `sow-${field.id}`,
        open.view!.plan.sowings.map((s) => s.id),
      ),
  );
  const tried = $derived(open.trial?.sowings.find((s) => s.sowingId === draftId));

  /** The day that was asked for on the lane, or that is planned. */
  function asked(): string | null {
    return before?.sowOn ?? (day === null ? null : isoOf(open.view!.plan.year.start, day));
  }
  const NO_TERMS = {
    preparedOn: null,
    leastSoilWaterShare: null,
    spreadYears: null,
    paidShare: 0,
  };
  function say(said: Partial<NonNullable<Sowing['terms']>>) {
    terms = { ...(terms ?? NO_TERMS), ...said };
    tryOut();
  }
  /** Nothing said is nothing. */
  function plain(t: Sowing['terms']): Sowing['terms'] {
    const said = t && (t.preparedOn ?? t.leastSoilWaterShare ?? t.spreadYears ?? t.paidShare);
    return said ? t : null;
  }
  function edit(): Edit {
    return {
      putSowing: {
        id: draftId,
        fieldId: field.id,
        forageId: crop,
        sowOn: sowOn ?? usual,
        preparation: way,
        yieldKgPerHa: yieldKg,
        seedShare: seed,
        endsOn,
        terms: plain(terms),
        standing: sownBefore ? standing : null,
      },
    };
  }
  const deed = untrack(() => new Deed(open, field, 'sow', changeId, edit));
  const tryOut = () => deed.tryOut();
  untrack(tryOut);
</script>

<div class="input-grid">
  <Search
    label="Crop"
    value={crop}
    options={offered}
    onchange={(v) => {
      crop = v;
      sowOn = null;
      tryOut();
    }}
  />
  {#if later}
    <DateField
      label="Sown on"
      name="sowing.sowOn"
      value={sowOn ?? usual}
      onchange={(v) => {
        sowOn = v;
        tryOut();
      }}
    />
  {:else}<TiedDate
      label="Sown on"
      fieldId={field.id}
      tie={deed.tie('FROM')}
      ontie={(t) => deed.tieTo('FROM', t)}
      name="sowing.sowOn"
      value={sowOn ?? usual}
      onchange={(v) => {
        sowOn = v;
        tryOut();
      }}
    />{/if}
  <Choice
    label="Ground"
    value={way}
    options={WAYS}
    onchange={(v) => {
      way = v as Sowing['preparation'];
      tryOut();
    }}
  />
  <NumberField
    name="sowing.yieldKgPerHa"
    value={yieldKg}
    placeholder="usual here"
    onchange={(v) => {
      yieldKg = v;
      tryOut();
    }}
  />
  <NumberField
    name="sowing.seedShare"
    value={seed}
    hint="More brings feed earlier, not more of it."
    onchange={(v) => {
      if (v !== null) seed = v;
      tryOut();
    }}
  />
  <TiedDate
    label="Ended on (or its own end)"
    fieldId={field.id}
    tie={deed.tie('TO')}
    ontie={(t) => deed.tieTo('TO', t)}
    name="sowing.endsOn"
    value={endsOn}
    onchange={(v) => {
      endsOn = v;
      tryOut();
    }}
  />
</div>
{#if chosen.sownToStay}
  <p class="quiet fine" data-testid="stays">
    {chosen.name} comes to stay: light first use some {chosen.daysToFirstUseLow} to {chosen.daysToFirstUseHigh}
    days after planting, longer through a winter; its full growth comes later. Its seedlings do not stand
    frost or cold that an old stand stands.
  </p>
{/if}
<details bind:open={more}>
  <summary>Fallow before, soil water, who pays</summary>
  <div class="input-grid">
    <DateField
      label="Ground prepared from"
      name="terms.preparedOn"
      value={terms?.preparedOn ?? null}
      hint="Earlier than the ground asks: fallow that stores water."
      onchange={(v) => say({ preparedOn: v })}
    />
    <NumberField
      name="terms.leastSoilWaterShare"
      value={terms?.leastSoilWaterShare ?? null}
      hint="On the day the ground is prepared; else it is left."
      placeholder="whatever it holds"
      onchange={(v) => say({ leastSoilWaterShare: v })}
    />
    <NumberField
      name="terms.spreadYears"
      value={terms?.spreadYears ?? null}
      placeholder="all in its year"
      onchange={(v) => say({ spreadYears: v })}
    />
    <NumberField
      name="terms.paidShare"
      value={terms?.paidShare ?? 0}
      hint="A program that shares the cost, for one."
      onchange={(v) => say({ paidShare: v ?? 0 })}
    />
  </div>
</details>
{#if sownBefore}
  <fieldset class="stood">
    <legend>It was sown before the plan begins</legend>
    <div class="input-grid">
      <NumberField
        name="standing.coverKgPerHa"
        value={standing?.coverKgPerHa ?? null}
        optional
        placeholder="not said"
        hint="0 where it is not up yet"
        onchange={(v) => {
          standing =
            v === null
              ? null
              : {
                  coverKgPerHa: v,
                  deadShare: standing?.deadShare ?? 0,
                  ready: standing?.ready ?? false,
                  heatDegreeDays: standing?.heatDegreeDays ?? null,
                  state: standing?.state ?? null,
                };
          tryOut();
        }}
      />
      {#if standing}
        <NumberField
          name="standing.deadShare"
          value={standing.deadShare}
          onchange={(v) => {
            if (v !== null) standing = { ...standing!, deadShare: v };
            tryOut();
          }}
        />
        <label class="tick"
          ><input
            type="checkbox"
            class="checkbox"
            checked={standing.ready}
            onchange={(e) => {
              standing = { ...standing!, ready: e.currentTarget.checked };
              tryOut();
            }}
          /> Stock were on it, or may come in</label
        >
      {/if}
    </div>
    {#if !standing}
      <p class="quiet fine">
        Say how much of it stands on the plan’s first day; until then nothing of it is reckoned
        with. Its seed and its ground are paid for.
      </p>
    {/if}
  </fieldset>
{/if}
<div class="checks">
  <label
    ><input type="checkbox" class="checkbox" bind:checked={onlyFitting} /> Offer only what fits the day,
    the climate and the machines</label
  >
  <label
    ><input type="checkbox" class="checkbox" bind:checked={forHay} /> Hay is to be made of it</label
  >
</div>
{#if against.get(crop)?.length}
  <p class="tells" data-testid="against">
    Against {chosen.name.toLowerCase()}: {againstText(against.get(crop)!)}.
  </p>
{/if}
<Companions pairs={together} />
{#if tried}
  <p class="tells" role="status" data-testid="sowing-tried">
    {sowingOutcome(tried, open.year.start, open.system, sownBefore ? standing : null)}
  </p>
{/if}
<p class="quiet fine">
  The field is out of use from the preparation until the crop is ready. Yields and dates are the
  product's defaults for the climate. Burn-down: the product's label and your adviser say what may
  be used and when stock may return.
</p>
{#if way === 'BURNT_OFF'}
  <p class="caution" data-testid="fire">
    Fire only where it is permitted, by people who know it, with breaks made, the right wind, and
    fire service and neighbours told. It kills what it meets. Ask your fire service and your
    adviser.
  </p>
{/if}
{#if (way === 'BURN_DOWN' || way === 'SPRAYED_OUT') && !forageOf?.fallow && !forageOf?.cropResidue}
  <p class="caution" data-testid="burn-down">
    {way === 'SPRAYED_OUT' ? 'Spraying out' : 'A burn-down'} takes the whole sward, clover and every other
    grass in it, and the field feeds nobody until the crop does. Stay off water and its strip; what may
    be used where, when stock may come back and what hay may be sold stands on the product label and in
    local code: ask your adviser.
  </p>
{/if}
<ActBar {deed} label={before ? 'Save it' : 'Sow it'} {ondone} />

<style>
  details {
    margin: 0.6rem 0;
  }
  summary {
    cursor: pointer;
    min-height: 2.25rem;
    display: flex;
    align-items: center;
    color: var(--cobalt);
  }
  .stood {
    border-left: 4px solid var(--cobalt);
    padding: 0.2rem 0.8rem;
    margin: 0.6rem 0;
  }
  .tick {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    min-height: 2.25rem;
  }
  .caution {
    border-left: 4px solid var(--bare);
    padding-left: 0.6rem;
    margin-top: 0.75rem;
  }
</style>
