<script lang="ts">
  import type { FeedStep } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import NumberField from '../form/NumberField.svelte';

  type Portion = NonNullable<FeedStep['portion']>;

  let {
    portion,
    onchange,
  }: { portion: Portion | null; onchange: (portion: Portion | null) => void } = $props();

  const BOUNDS = [
    { id: '', name: 'What is still wanted' },
    { id: 'AT_MOST', name: 'At most' },
    { id: 'EXACTLY', name: 'Exactly' },
    { id: 'AT_LEAST', name: 'At least' },
  ];
  /** A third of the diet, or 4 kg a head: something to change, seen at once. */
  const FIRST_SHARE = 0.3;
  const FIRST_KG = 4;

  const byHead = $derived((portion?.kgPerHeadDay ?? null) !== null);

  function bind(bound: string) {
    if (bound === '') onchange(null);
    else
      onchange({
        bound: bound as Portion['bound'],
        share: portion ? portion.share : FIRST_SHARE,
        kgPerHeadDay: portion?.kgPerHeadDay ?? null,
      });
  }
</script>

<Choice label="How much" value={portion?.bound ?? ''} options={BOUNDS} onchange={bind} />
{#if portion}
  <Choice
    label="Said as"
    value={byHead ? 'head' : 'share'}
    options={[
      { id: 'share', name: 'Share of the diet' },
      { id: 'head', name: 'Dry matter a head' },
    ]}
    onchange={(v) =>
      onchange({
        ...portion,
        share: v === 'share' ? FIRST_SHARE : null,
        kgPerHeadDay: v === 'head' ? FIRST_KG : null,
      })}
  />
  <span class="amount">
    {#if byHead}
      <NumberField
        name="portion.kgPerHeadDay"
        optional={false}
        value={portion.kgPerHeadDay}
        onchange={(v) => v !== null && onchange({ ...portion, kgPerHeadDay: v })}
      />
    {:else}
      <NumberField
        name="portion.share"
        optional={false}
        value={portion.share}
        onchange={(v) => v !== null && onchange({ ...portion, share: v })}
      />
    {/if}
  </span>
{/if}

<style>
  .amount {
    width: 9rem;
  }
</style>
