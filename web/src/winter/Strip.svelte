<script lang="ts">
  import { dayOf, isoOf, MONTH_NAMES, shortDate } from '../units/dates';
  import { daysOf } from '../words/winter';

  let {
    sections,
    one = 'Section',
    colour = '#b5673c',
    chosen,
    onchoose,
  }: {
    sections: { from: string | null; toExclusive: string | null }[];
    /** What one of them is called. */
    one?: string;
    colour?: string;
    chosen: number;
    onchoose: (place: number) => void;
  } = $props();

  const fed = $derived(
    sections.map((s, place) => ({ ...s, place })).filter((s) => s.from !== null && daysOf(s) > 0),
  );
  const first = $derived(fed.at(0)?.from ?? '');
  const days = $derived(fed.length ? dayOf(first, fed.at(-1)!.toExclusive!) : 0);
  const months = $derived(
    Array.from({ length: days }, (_, d) => ({ d, iso: isoOf(first, d) })).filter(
      ({ d, iso }) => d === 0 || iso.endsWith('-01'),
    ),
  );
  const place = (d: number) => `${(100 * d) / days}%`;
</script>

{#if days > 0}
  <div class="strip no-print" style:--colour={colour} data-testid="sections">
    <div class="months" aria-hidden="true">
      {#each months as m, i (m.iso)}
        {#if i > 0 || (months[1]?.d ?? days) > days / 12}
          <span style:left={place(m.d)}
            >{MONTH_NAMES[Number(m.iso.slice(5, 7)) - 1].slice(0, 3)}</span
          >
        {/if}
      {/each}
    </div>
    <div class="row" role="group" aria-label={`${one}s by date`}>
      {#each fed as s (s.place)}
        <button
          class="one"
          style:left={place(dayOf(first, s.from!))}
          style:width={place(daysOf(s))}
          aria-pressed={s.place === chosen}
          aria-label={`${one} ${s.place + 1}, ${shortDate(s.from!)}`}
          onclick={() => onchoose(s.place)}
        ></button>
      {/each}
    </div>
  </div>
{/if}

<style>
  .strip {
    position: relative;
    min-width: 0;
  }
  .months {
    position: relative;
    height: 1.2rem;
    font-size: 12px;
    font-weight: 600;
  }
  .months span {
    position: absolute;
    padding-left: 3px;
    border-left: 1.5px solid var(--ink);
  }
  .row {
    position: relative;
    height: 26px;
  }
  .one {
    position: absolute;
    top: 0;
    bottom: 0;
    min-height: 0;
    padding: 0;
    background: var(--colour);
    border: 1px solid var(--panel);
  }
  .one[aria-pressed='true'] {
    background: var(--cobalt);
  }
</style>
