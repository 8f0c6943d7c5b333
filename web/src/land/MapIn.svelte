<script lang="ts">
  import { type MapPreview } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import { firstForage } from './usual';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';
  import { amount } from '../units/units';
  import { rowText } from '../words/refusals';

  const open = thePlan();

  const id = $derived(open.view!.id);
  let file = $state<{ name: string; text: string } | null>(null);
  let preview = $state<MapPreview | null>(null);
  let forageId = $state('');
  let wrong = $state('');
  let told = $state('');
  const forage = $derived(forageId || firstForage(open, open.view!.farm.climateId));
  const fresh = $derived(preview?.shapes.some((s) => !s.known) ?? false);

  async function look() {
    const done = await signed.attempt(async () => {
      preview = await open.api.previewMap(id, forage, file!.text);
    });
    wrong = done ? '' : `${file!.name}: ${signed.error} Nothing was changed.`;
    if (!done) preview = null;
  }
  async function read(input: HTMLInputElement) {
    const chosen = input.files?.[0];
    input.value = '';
    if (!chosen) return;
    told = '';
    file = { name: chosen.name, text: await chosen.text() };
    await look();
  }
  async function take() {
    if (await open.step(open.api.takeMap(id, open.view!.revision, forage, file!.text))) {
      told = `${preview!.shapes.length} ${preview!.shapes.length === 1 ? 'field was' : 'fields were'} taken in as one change; Undo takes it back.`;
      preview = null;
      file = null;
    }
  }
</script>

<section class="panel form" aria-labelledby="map-file">
  <h2 id="map-file">Map as a file</h2>
  <p class="quiet">
    GeoJSON, longitude and latitude in degrees: polygons are fields, known by their name; lines are
    waterways. You see what it holds before anything changes.
    <a href={`/api/plans/${id}/map`} download>Take this map out</a>
  </p>
  {#if open.mayPlan}
    <input
      type="file"
      aria-label="Map to take in"
      accept=".geojson,.json,application/geo+json"
      onchange={(e) => read(e.currentTarget)}
    />
  {/if}
  {#if told}<p role="status" class="told">{told}</p>{/if}
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#if preview}
    <div data-testid="map-preview">
      <h3>{file?.name}</h3>
      <ul>
        {#each preview.shapes as s, i (i)}
          <li>
            {s.name}: {amount(s.areaHa, 'area', open.system)}{s.netHa < s.areaHa - 0.0005
              ? `, ${amount(s.netHa, 'area', open.system)} of it grow feed`
              : ''}{s.known ? '; draws the field you have' : '; a new field'}
          </li>
        {/each}
      </ul>
      {#if preview.problems.length}
        <p class="wrong">Left out:</p>
        <ul>
          {#each preview.problems as p, i (i)}
            <li>{p.row ? `Feature ${p.row}: ` : ''}{rowText(p, open.system)}</li>
          {/each}
        </ul>
      {/if}
      {#if fresh}
        <Choice
          label="New fields stand in"
          value={forage}
          options={open.forages.filter((f) => f.curves[open.view!.farm.climateId])}
          onchange={(v) => {
            forageId = v;
            void look();
          }}
        />
      {/if}
      <div class="acts">
        <button
          class="btn preset-filled-primary-500"
          disabled={preview.shapes.length === 0}
          onclick={take}>Take it in</button
        >
        <button class="btn plain" onclick={() => (preview = null)}>Leave it</button>
      </div>
    </div>
  {/if}
</section>

<style>
  section {
    margin-top: 1rem;
  }
  .acts {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.75rem;
  }
  li {
    border-top: 1px solid var(--line);
    padding: 0.2rem 0;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  .told {
    color: var(--growing-dark);
    font-weight: 600;
  }
</style>
