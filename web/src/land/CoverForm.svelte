<script lang="ts">
  import { type Cover, type Readings } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount, figure, toSi, unitOf } from '../units/units';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';

  const open = thePlan();

  let { forageId, onmeasured }: { forageId: string; onmeasured: (kgPerHa: number) => void } =
    $props();

  let way = $state('HEIGHT');
  let season = $state<Readings['season']>(seasonNow());
  let density = $state<Readings['density']>('ORDINARY');
  let text = $state('');
  let perUnitKg = $state(140);
  let baseKg = $state(500);
  let frameM2 = $state(0.25);
  let dmShare = $state(0.22);
  let cover = $state<Cover | null>(null);
  let wrong = $state('');

  const LABELS: Record<string, string> = {
    HEIGHT: 'Heights by stick',
    PLATE: 'Readings of the plate',
    CLIP: 'Fresh weights of the frames, g',
  };

  /** By the plan's first day; the plants say it better, so it can be changed. */
  function seasonNow(): Readings['season'] {
    const { climates } = open.catalogue!;
    const southern = climates.find((c) => c.id === open.view!.farm.climateId)?.southern ?? false;
    const month = (Number(open.view!.plan.year.start.slice(5, 7)) + (southern ? 6 : 0)) % 12;
    return (['WINTER_STANDING', 'SPRING', 'SUMMER', 'AUTUMN'] as const)[Math.floor(month / 3)];
  }

  async function work() {
    const typed = text.split(/[\s;,]+/).filter((t) => t !== '');
    const numbers = typed.map(Number);
    wrong = '';
    cover = null;
    if (numbers.length === 0 || numbers.some((n) => !Number.isFinite(n))) {
      wrong = 'Numbers are needed, with spaces between them.';
      return;
    }
    const readings: Readings = {
      forageId,
      season,
      density,
      heightsCm: way === 'HEIGHT' ? numbers.map((n) => toSi(n, 'depth', open.system)) : [],
      plate: way === 'PLATE' ? numbers : [],
      perUnitKg,
      baseKg,
      clips: way === 'CLIP' ? numbers.map((freshG) => ({ freshG, dmShare, frameM2 })) : [],
    };
    try {
      cover = await open.api.cover(open.view!.id, readings);
    } catch (e) {
      wrong = open.explain(e);
    }
  }
</script>

<section aria-label="Measure the cover">
  <div class="input-grid">
    <Choice
      label="Measured by"
      value={way}
      options={[
        { id: 'HEIGHT', name: 'Stick' },
        { id: 'PLATE', name: 'Rising plate' },
        { id: 'CLIP', name: 'Clipped frames' },
      ]}
      onchange={(v) => {
        way = v;
        cover = null;
      }}
    />
    <label class="field"
      ><span>{LABELS[way]}{way === 'HEIGHT' ? `, ${unitOf('depth', open.system)}` : ''}</span>
      <input
        class="input figure"
        bind:value={text}
        placeholder="12 15 9 14"
        aria-invalid={wrong !== ''}
      /></label
    >
    {#if way === 'HEIGHT'}
      <Choice
        label="Season of the plants"
        value={season}
        options={[
          { id: 'SPRING', name: 'Spring growth' },
          { id: 'SUMMER', name: 'Summer growth' },
          { id: 'AUTUMN', name: 'Autumn growth' },
          { id: 'WINTER_STANDING', name: 'Standing after growth stopped' },
        ]}
        onchange={(v) => {
          season = v as Readings['season'];
          cover = null;
        }}
      />
      <Choice
        label="The stand is"
        value={density}
        options={[
          { id: 'THIN', name: 'Thin or open' },
          { id: 'ORDINARY', name: 'Ordinary' },
          { id: 'DENSE', name: 'Dense' },
        ]}
        onchange={(v) => {
          density = v as Readings['density'];
          cover = null;
        }}
      />
    {:else if way === 'PLATE'}
      <NumberField
        name="plate.perUnitKg"
        quantity="massPerArea"
        value={perUnitKg}
        onchange={(v) => v !== null && (perUnitKg = v)}
      />
      <NumberField
        name="plate.baseKg"
        quantity="massPerArea"
        value={baseKg}
        onchange={(v) => v !== null && (baseKg = v)}
      />
    {:else if way === 'CLIP'}
      <NumberField
        name="clip.frameM2"
        value={frameM2}
        onchange={(v) => v !== null && (frameM2 = v)}
      />
      <NumberField
        name="clip.dmShare"
        value={dmShare}
        onchange={(v) => v !== null && (dmShare = v)}
      />
    {/if}
    <button class="btn plain" onclick={work}>Work it out</button>
  </div>
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#if cover}
    <p class="tells" role="status" data-testid="measured-cover">
      {amount(cover.coverKgPerHa, 'massPerArea', open.system)} of cover, between {figure(
        cover.lowKgPerHa,
        'massPerArea',
        open.system,
      )} and {figure(cover.highKgPerHa, 'massPerArea', open.system)}.
      <button class="btn plain" onclick={() => onmeasured(cover!.coverKgPerHa)}
        >Take it as the cover on the first day</button
      >
    </p>
  {/if}
  <p class="quiet fine">
    A stick uses the stand's own mass by height, season and thickness, known to a third. A plate's
    line belongs to your plate and sward: the figures offered are a common line for ryegrass. Clip
    to the ground, and dry a sample to know its dry matter.
  </p>
</section>

<style>
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
