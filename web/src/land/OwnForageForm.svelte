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
  import { api, type Edit, type GrownTogether, type OwnForage } from '../api/client';
  import { thePlan } from '../plan/context';
  import { figure, quantityOf } from '../units/units';
  import Search from '../form/Search.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import Companions from './Companions.svelte';

  const open = thePlan();

  let {
    own = $bindable(),
    along = [],
    folded = false,
    onsaved,
  }: {
    own: OwnForage | null;
    /** What is tried and saved with it, after it. */
    along?: Edit[];
    /** Whether figures open only when somebody asks for them. */
    folded?: boolean;
    onsaved: (id: string) => void;
  } = $props();

  type Changeable = Exclude<keyof Figures, 'proteinPoints' | 'tdnPoints'>;
  const FIGURES: Changeable[] = [
    'entryHeightCm',
    'exitHeightCm',
    'regrazeHeightCm',
    'winterLeaveHeightCm',
    'cutHeightCm',
    'minResidualKgPerHa',
    'ceilingKgPerHa',
    'utilizationRotational',
    'utilizationStrip',
    'utilizationSetStocked',
    'standingLossPerMonth',
    'rootDepthCm',
    'droughtHold',
    'winterHardyC',
    'annualTypicalKgPerHa',
  ];
  const base = $derived(open.catalogue!.forages.find((f) => f.id === own?.parts[0]?.forageId));
  const grown = $derived(open.catalogue!.forages.filter((f) => !f.cropResidue && !f.fallow));
  const sum = $derived(own?.parts.reduce((s, p) => s + p.share, 0) ?? 1);

  /** What the product says of the first part, for the empty boxes. */
  function usual(key: Changeable): string {
    const quantity = quantityOf(`figures.${key}`);
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
  const edits = (): Edit[] => [{ putForage: $state.snapshot(own) as OwnForage }, ...along];
  function tryOut() {
    if (own) void open.tryOut(edits());
  }
  $effect(() => {
    void own?.id;
    untrack(tryOut);
  });
  let together = $state<GrownTogether[]>([]);
  const kinds = $derived(own?.parts.map((p) => p.forageId).join() ?? '');
  $effect(() => {
    const of = kinds.split(',').filter(Boolean);
    let latest = true;
    if (of.length < 2) together = [];
    else
      api
        .mixture(open.view!.id, of)
        .then((t) => latest && (together = t))
        .catch(() => latest && (together = []));
    return () => {
      latest = false;
    };
  });
  function touch() {
    tryOut();
  }
  async function save() {
    const id = own!.id;
    if (await open.edit(edits())) {
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
        <Search
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
          name="part.share"
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
    <Companions pairs={together} />
    <details open={!folded}>
      <summary><h3>Rules and figures that you know better</h3></summary>
      <div class="input-grid">
        {#each FIGURES as key (key)}
          <NumberField
            name={`figures.${key}`}
            value={own.figures[key]}
            placeholder={own.parts.length > 1 ? 'mean of the parts' : usual(key)}
            onchange={(v) => {
              own!.figures[key] = v;
              touch();
            }}
          />
        {/each}
        <NumberField
          name="figures.proteinPoints"
          value={own.figures.proteinPoints}
          onchange={(v) => {
            own!.figures.proteinPoints = v ?? 0;
            touch();
          }}
        />
        <NumberField
          name="figures.tdnPoints"
          value={own.figures.tdnPoints}
          onchange={(v) => {
            own!.figures.tdnPoints = v ?? 0;
            touch();
          }}
        />
      </div>
    </details>
    <TextField
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
  summary h3 {
    display: inline;
  }
  details {
    margin: 0.9rem 0;
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
