<script lang="ts">
  import { longDay } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { amount, figure } from '../units/units';
  import Ground from './Ground.svelte';
  import {
    allPoints,
    fit,
    frameOf,
    heightOf,
    middle,
    pathOf,
    roomAt,
    wrapped,
    xOf,
    yOf,
  } from './geometry';

  const open = thePlan();

  let {
    chosenId,
    day = $bindable(),
    onchoose,
  }: { chosenId: string | null; day: number; onchoose: (id: string) => void } = $props();

  let width = $state(800);
  /** Less on a phone, where the farm is as wide as the screen. */
  const HEIGHT = $derived(width < 420 ? 200 : 260);
  const fields = $derived(open.view!.farm.fields.filter((f) => f.outline));
  const view = $derived(fit(frameOf(allPoints(fields), 0.015), width, HEIGHT));
  const year = $derived(open.year);
  const at = $derived(Math.min(day, year.days - 1));
  const coverOf = (id: string) => year.fields.find((f) => f.id === id);

  /** Paler where little stands; the figure beside it says the same. */
  function shade(id: string): number {
    const f = coverOf(id);
    return f ? Math.min(1, f.coverKgPerHa[at] / Math.max(1, f.ceilingKgPerHa)) : 0;
  }
  const summary = $derived(
    `Fields on ${longDay(year.start, at)}: ` +
      fields
        .map((f) => {
          const cover = coverOf(f.id)?.coverKgPerHa[at] ?? 0;
          return `${f.name} ${amount(cover, 'massPerArea', open.system)}`;
        })
        .join(', '),
  );
</script>

<section class="panel" aria-label="Sketch map" data-testid="land-map">
  <div class="head">
    <label
      >What stands on <strong>{longDay(year.start, at)}</strong>
      <input
        type="range"
        min="0"
        max={year.days - 1}
        bind:value={day}
        aria-label="Day shown on the map"
      /></label
    >
  </div>
  <div class="body">
    <div bind:clientWidth={width} class="map">
      <svg {width} height={HEIGHT} class="block" role="img" aria-label={summary}>
        {#each fields as f (f.id)}
          {@const c = middle(f.outline!.edge)}
          {@const room = roomAt(view, f.outline!.edge)}
          {@const height = heightOf(view, f.outline!.edge)}
          {@const words = wrapped(f.name, room)}
          {@const fits = height >= 14 * words.length + 24}
          {@const lines = fits ? words : f.id === chosenId ? [f.name] : []}
          <!-- the list below does the same for the keyboard -->
          <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
          <path
            class="field"
            class:chosen={f.id === chosenId}
            d={pathOf(view, f.outline!.edge, true)}
            fill="#4c9a4f"
            fill-opacity={0.08 + 0.62 * shade(f.id)}
            onclick={() => onchoose(f.id)}
          >
            <title>{f.name}</title>
          </path>
          <g pointer-events="none" clip-path="none">
            <Ground outline={f.outline!} {view} />
            {#each lines as line, i (i)}
              <text x={xOf(view, c)} y={yOf(view, c) - 3 - 14 * (lines.length - 1 - i)} class="name"
                >{line}</text
              >
            {/each}
            {#if room >= 44 && height >= 24}
              <text x={xOf(view, c)} y={yOf(view, c) + 12} class="cover"
                >{figure(coverOf(f.id)?.coverKgPerHa[at] ?? 0, 'massPerArea', open.system)}</text
              >
            {/if}
          </g>
        {/each}
      </svg>
    </div>
  </div>
</section>

<style>
  section {
    margin-bottom: 0.75rem;
    padding: 0.4rem 0.6rem;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1.5rem;
    align-items: center;
    justify-content: space-between;
  }
  label {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
  }
  input {
    width: min(22rem, 70vw);
    accent-color: var(--cobalt);
    min-height: 2.2rem;
  }
  .field {
    stroke: #2b6e2f;
    stroke-width: 1.25;
    cursor: pointer;
  }
  .field.chosen {
    stroke: var(--cobalt);
    stroke-width: 3.5;
  }
  .body {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1.5rem;
    align-items: center;
  }
  .map {
    flex: 1 1 30rem;
    min-width: 0;
  }
  text {
    text-anchor: middle;
    fill: var(--ink);
    font-size: 12px;
    paint-order: stroke;
    stroke: rgb(255 255 255 / 75%);
    stroke-width: 3px;
  }
  .name {
    font-weight: 700;
  }
  .cover {
    font-family: var(--mono);
  }
</style>
