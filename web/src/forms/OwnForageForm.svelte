<script lang="ts" module>
  import type { Figures } from '../api/client';

  /** Nothing changed against the product's figures. */
  export function noFigures(): Figures {
    return {
      minResidualKgPerHa: null,
      ceilingKgPerHa: null,
      dmPerCmKgPerHa: null,
      entryHeightCm: null,
      exitHeightCm: null,
      regrazeHeightCm: null,
      winterLeaveHeightCm: null,
      cutHeightCm: null,
      utilizationSetStocked: null,
      utilizationRotational: null,
      utilizationStrip: null,
      senescencePerDay: null,
      standingLossPerMonth: null,
      rootDepthCm: null,
      droughtHold: null,
      winterHardyC: null,
      annualTypicalKgPerHa: null,
      proteinPoints: 0,
      tdnPoints: 0,
    };
  }
</script>

<script lang="ts">
  import { untrack } from 'svelte';
  import type { OwnForage } from '../api/client';
  import { open } from '../plan.svelte';
  import { figure, type Quantity } from '../units';
  import Choice from './Choice.svelte';
  import NumberField from './NumberField.svelte';
  import TextField from './TextField.svelte';

  let { own = $bindable(), onsaved }: { own: OwnForage | null; onsaved: (id: string) => void } =
    $props();

  type Changeable = Exclude<keyof Figures, 'proteinPoints' | 'tdnPoints'>;
  const FIGURES: { key: Changeable; name: string; quantity: Quantity }[] = [
    { key: 'entryHeightCm', name: 'First use at', quantity: 'depth' },
    { key: 'exitHeightCm', name: 'Leave at', quantity: 'depth' },
    { key: 'regrazeHeightCm', name: 'Again at', quantity: 'depth' },
    { key: 'winterLeaveHeightCm', name: 'Leave for winter', quantity: 'depth' },
    { key: 'cutHeightCm', name: 'Cut at', quantity: 'depth' },
    { key: 'minResidualKgPerHa', name: 'Stubble to leave', quantity: 'massPerArea' },
    { key: 'ceilingKgPerHa', name: 'Ceiling', quantity: 'massPerArea' },
    { key: 'utilizationRotational', name: 'Eaten in rotation', quantity: 'share' },
    { key: 'utilizationStrip', name: 'Eaten in strips', quantity: 'share' },
    { key: 'utilizationSetStocked', name: 'Eaten set stocked', quantity: 'share' },
    { key: 'standingLossPerMonth', name: 'Lost standing, a month', quantity: 'share' },
    { key: 'rootDepthCm', name: 'Roots reach', quantity: 'depth' },
    { key: 'droughtHold', name: 'Growth kept in drought', quantity: 'share' },
    { key: 'winterHardyC', name: 'Stands cold to', quantity: 'temperature' },
    { key: 'annualTypicalKgPerHa', name: 'Yield of a crop', quantity: 'massPerArea' },
  ];
  const base = $derived(open.catalogue!.forages.find((f) => f.id === own?.parts[0]?.forageId));
  const grown = $derived(open.catalogue!.forages.filter((f) => !f.cropResidue && !f.fallow));
  const sum = $derived(own?.parts.reduce((s, p) => s + p.share, 0) ?? 1);

  /** What the product says of the first part, for the empty boxes. */
  function usual(key: Changeable, quantity: Quantity): string {
    const r = base?.rules;
    if (!r || !base) return '';
    const of: Partial<Record<Changeable, number | null>> = {
      entryHeightCm: r.entryHeightCm,
      exitHeightCm: r.exitHeightCm,
      regrazeHeightCm: r.regrazeHeightCm,
      winterLeaveHeightCm: r.winterLeaveHeightCm,
      cutHeightCm: r.cutHeightCm,
      minResidualKgPerHa: base.minResidualKgPerHa,
      ceilingKgPerHa: base.ceilingKgPerHa,
      utilizationRotational: base.utilizationRotational,
      utilizationStrip: base.utilizationStrip,
      utilizationSetStocked: base.utilizationSetStocked,
      standingLossPerMonth: r.standingLossShare,
      rootDepthCm: r.rootDepthCm,
      droughtHold: r.droughtHoldShare,
      winterHardyC: r.winterHardyC,
      annualTypicalKgPerHa: base.yieldKgPerHa,
    };
    const value = of[key];
    return value === null || value === undefined
      ? ''
      : `default ${figure(value, quantity, open.system)}`;
  }
  function tryOut() {
    if (own) void open.tryOut([{ putForage: $state.snapshot(own) as OwnForage }]);
  }
  $effect(() => {
    void own?.id;
    untrack(tryOut);
  });
  function touch() {
    tryOut();
  }
  async function save() {
    const id = own!.id;
    if (await open.edit([{ putForage: $state.snapshot(own) as OwnForage }])) {
      own = null;
      onsaved(id);
    }
  }
  function leave() {
    own = null;
    open.dropTrial();
  }
</script>

{#if own}
  <section class="panel form" aria-label="My own forage">
    <h2>My own forage</h2>
    <TextField
      label="Name"
      name="ownForage.name"
      value={own.name}
      oninput={(v) => {
        own!.name = v;
        touch();
      }}
    />
    <h3>What stands in it, by share of the dry matter</h3>
    {#each own.parts as part, i (i)}
      <div class="part-row">
        <Choice
          label="Forage"
          value={part.forageId}
          options={grown.filter(
            (f) => f.id === part.forageId || !own!.parts.some((p) => p.forageId === f.id),
          )}
          onchange={(v) => {
            part.forageId = v;
            touch();
          }}
        />
        <NumberField
          label="Share"
          name="part.share"
          quantity="share"
          value={part.share}
          hint={own.parts.length > 1 ? `${Math.round((100 * part.share) / sum)}% of the whole` : ''}
          onchange={(v) => {
            if (v !== null) part.share = v;
            touch();
          }}
        />
        {#if own.parts.length > 1}
          <button
            class="btn plain"
            onclick={() => {
              own!.parts.splice(i, 1);
              touch();
            }}>Take out<span class="visually-hidden"> part {i + 1}</span></button
          >
        {/if}
      </div>
    {/each}
    <button
      class="btn plain"
      disabled={own.parts.length > 11}
      onclick={() => {
        const free = grown.find((f) => !own!.parts.some((p) => p.forageId === f.id));
        if (free) own!.parts.push({ forageId: free.id, share: 0.3 });
        touch();
      }}>Mix another in</button
    >
    <h3>Figures that you know better</h3>
    <div class="input-grid">
      {#each FIGURES as f (f.key)}
        <NumberField
          label={f.name}
          name={`figures.${f.key}`}
          quantity={f.quantity}
          value={own.figures[f.key]}
          optional
          placeholder={own.parts.length > 1 ? 'mean of the parts' : usual(f.key, f.quantity)}
          onchange={(v) => {
            own!.figures[f.key] = v;
            touch();
          }}
        />
      {/each}
      <NumberField
        label="Protein, points more or less"
        name="figures.proteinPoints"
        quantity="plain"
        value={own.figures.proteinPoints}
        onchange={(v) => {
          own!.figures.proteinPoints = v ?? 0;
          touch();
        }}
      />
      <NumberField
        label="TDN, points more or less"
        name="figures.tdnPoints"
        quantity="plain"
        value={own.figures.tdnPoints}
        onchange={(v) => {
          own!.figures.tdnPoints = v ?? 0;
          touch();
        }}
      />
    </div>
    <TextField
      label="Where the figures come from"
      name="ownForage.note"
      value={own.note}
      oninput={(v) => {
        own!.note = v;
        touch();
      }}
    />
    {#if open.trialError}<p class="wrong" role="alert">{open.trialError}</p>{/if}
    <div class="part-row">
      <button class="btn preset-filled-primary-500" disabled={!!open.trialError} onclick={save}
        >Save my own</button
      >
      <button class="btn plain" onclick={leave}>Leave it</button>
    </div>
  </section>
{/if}

<style>
  h3 {
    margin-top: 0.9rem;
  }
  .part-row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
    margin: 0.5rem 0;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
