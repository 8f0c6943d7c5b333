<script lang="ts">
  import { fitting, KEEP_OR_CONTROL, weedText, type Feature } from '../words/weeds';
  import Ways from './Ways.svelte';

  let {
    features,
    onfound,
  }: {
    features: Feature[];
    /** Told what it is, for the note. */
    onfound: (text: string) => void;
  } = $props();

  const ANSWERS = [
    { id: 'yes', name: 'yes' },
    { id: 'no', name: 'no' },
  ];
  let seen = $state<Record<string, boolean>>({});
  const text = $derived(weedText(features, seen));
  const mayBe = $derived(
    Object.keys(seen).length > 0 && fitting(features, seen).includes('WEEDY_SORGHUM'),
  );

  function answer(id: string, value: string) {
    const yes = value === 'yes';
    const { [id]: before, ...rest } = seen;
    seen = before === yes ? rest : { ...rest, [id]: yes };
  }
</script>

<details>
  <summary>Is it the weedy sorghum?</summary>
  <div class="key" data-testid="weed-key">
    {#each features as f (f.id)}
      <div class="line">
        <span>{f.question}</span>
        <Ways
          label={f.question}
          options={ANSWERS}
          value={f.id in seen ? (seen[f.id] ? 'yes' : 'no') : null}
          onchange={(v) => answer(f.id, v)}
        />
      </div>
    {/each}
    {#if text}
      <p aria-live="polite"><strong>{text}</strong></p>
      <button class="btn plain" onclick={() => onfound(text)}>Into the note</button>
    {/if}
    {#if mayBe}
      <ul>
        {#each KEEP_OR_CONTROL as k (k)}<li>{k}</li>{/each}
      </ul>
    {/if}
  </div>
</details>

<style>
  .key {
    display: grid;
    gap: 0.5rem;
    padding: 0.4rem 0;
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.4rem 1rem;
  }
  .line span {
    flex: 1 1 14rem;
  }
  summary {
    min-height: 44px;
    display: flex;
    align-items: center;
    font-weight: 600;
  }
  button {
    min-height: 44px;
    justify-self: start;
  }
  ul {
    list-style: disc;
    padding-left: 1.2rem;
  }
</style>
