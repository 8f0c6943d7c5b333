<script lang="ts">
  import { shrink, type Shot } from '../device/photos';

  /** Photos that are kept with the next record. */
  let { shots = $bindable() }: { shots: Shot[] } = $props();

  const MOST = 4;
  let working = $state(false);
  let wrong = $state('');

  async function take(input: HTMLInputElement) {
    const files = [...(input.files ?? [])].slice(0, MOST - shots.length);
    input.value = '';
    working = true;
    wrong = '';
    for (const file of files) {
      try {
        const shot = await shrink(file);
        if (!shots.some((s) => s.id === shot.id)) shots = [...shots, shot];
      } catch {
        wrong = `${file.name || 'That file'} is no picture that this browser can read.`;
      }
    }
    working = false;
  }
</script>

<div class="photos">
  {#each shots as s, i (s.id)}
    <figure>
      <img src={s.url} alt={`Photo ${i + 1}, not kept yet`} />
      <button class="btn plain" onclick={() => (shots = shots.filter((o) => o.id !== s.id))}
        >Leave out<span class="visually-hidden"> photo {i + 1}</span></button
      >
    </figure>
  {/each}
  {#if shots.length < MOST}
    <label class="btn plain add" class:working
      ><input
        class="visually-hidden"
        type="file"
        accept="image/*"
        multiple
        disabled={working}
        onchange={(e) => void take(e.currentTarget)}
      />{working ? 'Made small' : shots.length ? 'Another photo' : 'Add a photo'}</label
    >
  {/if}
</div>
{#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}

<style>
  .photos {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
  }
  figure {
    display: grid;
    width: 8rem;
  }
  img {
    width: 100%;
    height: 6rem;
    object-fit: cover;
    border: 1px solid var(--line);
  }
  figure button,
  .add {
    min-height: 44px;
  }
  .add {
    display: inline-flex;
    align-items: center;
    cursor: pointer;
  }
  .add:focus-within {
    outline: 3px solid var(--cobalt);
    outline-offset: 2px;
  }
  .working {
    opacity: 0.6;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
