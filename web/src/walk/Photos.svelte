<script lang="ts">
  import { waitingPhoto } from '../device/photos';
  import { thePlan } from '../plan/context';
  import type { Written } from '../records/written.svelte';
  import { shortDate } from '../units/dates';

  const open = thePlan();

  let {
    written,
    name,
  }: {
    /** What was written down of a field, or of all. */
    written: Written;
    /** Of a field. */
    name: (id: string) => string;
  } = $props();

  const photos = $derived(written.of('PHOTO_TAKEN').filter((l) => l.struckBy === null));
  /** By the id of the picture: where it waits on this device, '' for those that do not. */
  let here = $state<Record<string, string>>({});
  /** Those that could not be fetched. */
  let missing = $state<string[]>([]);

  $effect(() => {
    for (const { fact } of photos)
      void waitingPhoto(fact.photoId).then((url) => {
        here[fact.photoId] = url ?? '';
      });
  });
  const source = (id: string) => here[id] || `/api/plans/${open.view!.id}/photos/${id}`;
</script>

{#if photos.length}
  <ul class="shown" data-testid="photos">
    {#each photos as p (p.id)}
      {@const of = p.fact.fieldId ? name(p.fact.fieldId) : 'the farm'}
      <li>
        {#if missing.includes(p.fact.photoId)}
          <span class="gone quiet"
            >The picture is not here: no signal, or the record came without it.</span
          >
        {:else if here[p.fact.photoId] !== undefined}
          <a href={source(p.fact.photoId)} target="_blank" rel="noreferrer">
            <img
              src={source(p.fact.photoId)}
              alt={`${of}, ${shortDate(p.on)}${p.fact.note ? `: ${p.fact.note}` : ''}`}
              loading="lazy"
              onerror={() => (missing = [...missing, p.fact.photoId])}
            />
          </a>
        {/if}
        <span class="fine">{shortDate(p.on)}, {of}{p.fact.note ? `: ${p.fact.note}` : ''}</span>
      </li>
    {/each}
  </ul>
{/if}

<style>
  .shown {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
    gap: 0.7rem;
    margin: 0.4rem 0;
  }
  li {
    display: grid;
    align-content: start;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  img,
  .gone {
    width: 100%;
    height: 6.5rem;
    object-fit: cover;
    border: 1px solid var(--line);
    background: var(--frost);
  }
  .gone {
    display: grid;
    place-items: center;
    padding: 0.3rem;
    text-align: center;
  }
  a {
    display: block;
  }
</style>
