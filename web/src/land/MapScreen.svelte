<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { Off } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';
  import TextField from '../form/TextField.svelte';
  import { firstForage, usualField } from './usual';
  import { thePlan } from '../plan/context';
  import { freshId } from '../plan/session.svelte';
  import { amount, rounded, toSi, unitOf } from '../units/units';
  import { doubtText } from '../words/doubts';
  import MapIn from './MapIn.svelte';
  import SketchBoard from './SketchBoard.svelte';
  import { OFF_NAMES, whole } from './geometry';
  import { Sketch, type Tool } from './sketch.svelte';

  const open = thePlan();

  const sketch = new Sketch();
  const fields = $derived(open.view!.farm.fields);
  const m = $derived(sketch.measured);
  const rule = $derived(
    open.catalogue!.buffers.find((b) => (sketch.field?.lie.slopeDeg ?? 2) < b.toDeg),
  );
  const doubts = $derived(
    open.year.doubts.filter(
      (d) => d.subjectId === sketch.fieldId && ['field.outline', 'off.bufferM'].includes(d.field),
    ),
  );
  let bufferM = $state<number | null>(null);
  let name = $state('');

  untrack(() => sketch.choose(fields[0]?.id ?? ''));
  $effect(() => {
    void open.view?.revision;
    untrack(() => {
      if (!sketch.changed) sketch.choose(sketch.field?.id ?? fields[0]?.id ?? '');
    });
  });
  onDestroy(() => open.dropTrial());

  const TOOLS: { id: Tool; name: string }[] = [
    { id: 'CORNERS', name: 'Corners' },
    { id: 'WATERWAY', name: 'Waterway' },
    { id: 'POND', name: 'Pond' },
    { id: 'HOLLOW', name: 'Wet hollow' },
    { id: 'OLD_BALE_PAD', name: 'Old bale pad' },
    { id: 'PART', name: 'Part the field' },
  ];
  const TELL: Record<Tool, string> = {
    CORNERS: 'Click to set a corner, drag one to move it. The keyboard moves the corner in focus.',
    WATERWAY: 'Click along the water, then keep it.',
    POND: 'Click around the pond, then keep it.',
    HOLLOW: 'Click around the hollow, then keep it.',
    OLD_BALE_PAD: 'Click around the old pad, then keep it.',
    PART: 'Click along the new fence, from one side to the other. The smaller piece is a new field.',
  };
  const inside = $derived(sketch.tool !== 'CORNERS' && sketch.tool !== 'PART');
  const needed = $derived(inside && sketch.tool !== 'WATERWAY' ? 3 : 2);
  const buffer = $derived(bufferM ?? (sketch.tool === 'WATERWAY' ? (rule?.bufferM ?? 10) : 0));

  async function add() {
    const id = freshId(
      'field',
      fields.map((f) => f.id),
    );
    const field = usualField(
      id,
      `Field ${fields.length + 1}`,
      firstForage(open, open.view!.farm.climateId),
      4,
    );
    if (await open.edit([{ putField: field }])) sketch.choose(id);
  }
  function keep() {
    sketch.finishOff(buffer, name || OFF_NAMES[sketch.tool as Off['kind']]);
    name = '';
    bufferM = null;
  }
  async function part() {
    const newName = name || `${sketch.field!.name} 2`;
    await sketch.part(
      freshId(
        newName,
        fields.map((f) => f.id),
      ),
      newName,
    );
    name = '';
  }
  function typed(index: number, key: 'eastM' | 'northM', text: string) {
    const value = Number(text);
    if (text.trim() === '' || !Number.isFinite(value)) return;
    const si = Math.round(toSi(value, 'distance', open.system) * 10) / 10;
    sketch.move(index, { ...sketch.outline.edge[index], [key]: si });
  }
</script>

<div class="page">
  <section class="panel form" aria-label="What is drawn">
    <h1>Map</h1>
    {#if fields.length}
      <Choice
        label="Field"
        value={sketch.fieldId}
        options={fields.map((f) => ({
          id: f.id,
          name: f.name + (f.outline ? '' : ', not drawn yet'),
        }))}
        onchange={(v) => sketch.choose(v)}
      />
      <p class="measured" data-testid="map-measured" aria-live="polite">
        {#if m}
          <strong>{amount(m.areaHa, 'area', open.system)}</strong> drawn,
          <strong>{amount(m.netHa, 'area', open.system)}</strong>
          grow feed, {amount(m.aroundM, 'distance', open.system)} around.
        {:else if sketch.wrong}<span class="wrong">{sketch.wrong}</span>
        {:else if whole(sketch.outline)}Being measured.
        {:else}Three corners make a field.{/if}
      </p>
      {#if sketch.changed}
        <div class="acts">
          <button
            class="btn preset-filled-primary-500"
            disabled={!m || !open.mayPlan}
            onclick={() => sketch.save()}>Save shape and area</button
          >
          <button class="btn plain" onclick={() => sketch.choose(sketch.fieldId)}>Discard</button>
        </div>
      {/if}
      <div class="acts" role="group" aria-label="Draw">
        {#each TOOLS as t (t.id)}
          {#if t.id === 'CORNERS' || sketch.field?.outline || sketch.outline.edge.length > 2}
            <button
              class="btn plain"
              class:on={sketch.tool === t.id}
              aria-pressed={sketch.tool === t.id}
              disabled={t.id === 'PART' && (sketch.changed || !sketch.field?.outline)}
              onclick={() => sketch.use(t.id)}>{t.name}</button
            >
          {/if}
        {/each}
      </div>
      <p class="quiet fine">{TELL[sketch.tool]}</p>
      {#if sketch.tool !== 'CORNERS'}
        <div class="input-grid">
          <TextField
            label={inside ? 'Name' : 'Name of the new field'}
            value={name}
            oninput={(v) => (name = v)}
          />
          {#if inside}
            <NumberField
              name="off.bufferM"
              value={buffer}
              hint={sketch.tool === 'WATERWAY' && rule
                ? `${amount(rule.bufferM, 'distance', open.system)} is usual on ${rule.slopeClass} ground; local rules stand above it.`
                : ''}
              onchange={(v) => (bufferM = v)}
            />
          {/if}
        </div>
        <div class="acts">
          <button
            class="btn plain"
            disabled={sketch.line.length < needed || !open.mayPlan}
            onclick={inside ? keep : part}>{inside ? 'Keep it' : 'Part it here'}</button
          >
          <button class="btn plain" onclick={() => sketch.use(sketch.tool)}>Start again</button>
        </div>
      {/if}
      {#if sketch.outline.off.length}
        <h2>Off the area</h2>
        <ul>
          {#each sketch.outline.off as off, i (i)}
            <li>
              <NumberField
                label={`${off.name || OFF_NAMES[off.kind]}${m ? `, ${amount(m.offHa[i] ?? 0, 'area', open.system)} off` : ''}; strip`}
                quantity="distance"
                value={off.bufferM}
                onchange={(v) => v !== null && sketch.setBuffer(i, v)}
              />
              <button class="btn plain" onclick={() => sketch.dropOff(i)}
                >Take out<span class="visually-hidden"> {off.name}</span></button
              >
            </li>
          {/each}
        </ul>
      {/if}
      <details>
        <summary>Corners as figures</summary>
        <table>
          <thead>
            <tr
              ><th scope="col">Corner</th><th scope="col"
                >East, {unitOf('distance', open.system)}</th
              ><th scope="col">North, {unitOf('distance', open.system)}</th><th scope="col"
                ><span class="visually-hidden">Take out</span></th
              ></tr
            >
          </thead>
          <tbody>
            {#each sketch.outline.edge as p, i (i)}
              <tr>
                <th scope="row">{i + 1}</th>
                {#each ['eastM', 'northM'] as const as key (key)}
                  <td
                    ><input
                      class="input figure"
                      inputmode="decimal"
                      aria-label={`Corner ${i + 1}, ${key === 'eastM' ? 'east' : 'north'}`}
                      value={rounded(p[key], 'distance', open.system)}
                      onchange={(e) => typed(i, key, e.currentTarget.value)}
                    /></td
                  >
                {/each}
                <td
                  ><button
                    class="btn plain"
                    aria-label={`Take out corner ${i + 1}`}
                    onclick={() => sketch.drop(i)}>&times;</button
                  ></td
                >
              </tr>
            {/each}
          </tbody>
        </table>
        <button
          class="btn plain"
          onclick={() => {
            const last = sketch.outline.edge.at(-1) ?? { eastM: 0, northM: 0 };
            sketch.outline.edge.push({ ...last, eastM: last.eastM + 100 });
          }}>Add a corner</button
        >
      </details>
    {:else}
      <p>No field yet.</p>
    {/if}
    {#if open.mayPlan}<button class="btn plain" onclick={add}>Add a field</button>{/if}
    <!-- last, so that no button moves from under a finger when an answer comes -->
    {#each doubts as d (d.code)}
      <p class="doubt" data-testid="map-doubt">{doubtText(d, open.system)}</p>
    {/each}
  </section>
  <div>
    <SketchBoard {sketch} />
    <MapIn />
  </div>
</div>

<style>
  .doubt {
    border-left: 4px solid var(--standing);
    padding-left: 0.5rem;
    margin: 0.4rem 0;
    font-size: 14px;
  }
  .page {
    display: grid;
    grid-template-columns: minmax(17rem, 23rem) minmax(0, 1fr);
    gap: 1rem;
    padding: 1rem 20px 2rem;
    align-items: start;
  }
  @media (max-width: 760px) {
    .page {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  h1 {
    font-size: 1.3rem;
  }
  p {
    margin: 0.5rem 0;
  }
  .measured {
    min-height: 3em;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    margin: 0.5rem 0;
  }
  .on {
    background: var(--cobalt);
    color: #ffffff;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  li {
    display: flex;
    gap: 0.5rem;
    align-items: end;
    padding: 0.3rem 0;
  }
  details {
    margin: 0.75rem 0;
  }
  summary {
    cursor: pointer;
    min-height: 2rem;
  }
  td {
    padding: 0.1rem 0.3rem 0.1rem 0;
  }
</style>
