<script lang="ts">
  import type { GroupKind } from '../api/client';
  import { wantedText } from '../words/condition';

  let {
    guide,
    score,
    onchoose,
  }: {
    guide: NonNullable<GroupKind['guide']>;
    score: number | null;
    onchoose: (score: number) => void;
  } = $props();

  const lowest = $derived(guide.steps[0].score);
  const highest = $derived(guide.steps.at(-1)!.score);
  const shown = $derived(guide.steps.find((s) => s.score === score));
  const share = $derived((s: number) => (s - lowest) / (highest - lowest));

  /** The back cut across: spine in the middle, hooks to both sides, hollow or filled between. */
  function back(fat: number): string {
    const [spine, hook, sag] = [10 - 2 * fat, 14 - 3 * fat, 15 * (1 - fat) - 7 * fat];
    const between = (spine + hook) / 2 + sag;
    const side = 40 + 6 * fat;
    return `M${32 - side / 2} 46Q${30 - side / 2} ${hook + 12} ${14 - 3 * fat} ${hook}Q23 ${between} 32 ${spine}Q41 ${between} ${50 + 3 * fat} ${hook}Q${34 + side / 2} ${hook + 12} ${32 + side / 2} 46Z`;
  }
</script>

<div class="steps" role="group" aria-label="By eye and hand">
  {#each guide.steps as s (s.score)}
    <button
      aria-pressed={score === s.score}
      class:low={s.score <= guide.floor}
      onclick={() => onchoose(s.score)}
    >
      <svg viewBox="0 0 64 48" aria-hidden="true"><path d={back(share(s.score))} /></svg>
      {s.score}
    </button>
  {/each}
</div>
{#if shown}
  <p class="fine">
    <strong>{shown.score}.</strong> Seen: {shown.see}. Felt: {shown.feel}. {shown.note}
  </p>
{/if}
<p class="quiet fine">{wantedText(guide)}</p>

<style>
  .steps {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(4rem, 1fr));
    gap: 4px;
  }
  button {
    display: grid;
    justify-items: center;
    min-height: 56px;
    padding: 4px;
    background: var(--panel);
    border: 1px solid #93a3bb;
    font-weight: 700;
  }
  svg {
    width: 52px;
  }
  path {
    fill: var(--frost);
    stroke: var(--ink);
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .low path {
    fill: #f7d9d1;
    stroke: var(--bare-dark);
  }
  [aria-pressed='true'] {
    background: var(--frost);
    box-shadow: inset 0 -3px 0 var(--cobalt);
  }
</style>
