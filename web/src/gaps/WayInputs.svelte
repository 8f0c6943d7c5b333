<script lang="ts">
  import type { Lever, Sowing } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import DateField from '../form/DateField.svelte';
  import NumberField from '../form/NumberField.svelte';
  import { newest } from '../words/levers';
  import { plural } from '../words/year';

  /** What of a way can be changed before it is tried: when, and how many. */
  let {
    way,
    buyDate,
    ontry,
    onbuy,
  }: { way: Lever; buyDate: string; ontry: () => void; onbuy: (iso: string) => void } = $props();

  function setBought(edit: Lever['edits'][number], units: number) {
    if (edit.putPurchase) edit.putPurchase.lot.units = Math.max(1, Math.round(units));
    ontry();
  }
  function setUnits(units: number) {
    if (way.edits[0].putPurchase)
      way.edits[0].putPurchase.lot.units = Math.max(1, Math.round(units));
    ontry();
  }
  function setDate(which: 'fromInclusive' | 'toExclusive', iso: string) {
    const closing = way.edits[0].putClosing;
    if (!closing) return;
    closing[which] = iso;
    if (closing.grazeUntilExclusive && closing.grazeUntilExclusive <= closing.toExclusive) {
      closing.grazeUntilExclusive = null; // opened past its use-by day: it may be eaten to the end
    }
    ontry();
  }
  function setFewer(by: { head?: number; date?: string }) {
    const group = way.edits[0].putGroup;
    if (!group) return;
    Object.assign(newest(group.changes), by);
    ontry();
  }
  function setSowing(by: { sowOn?: string; preparation?: Sowing['preparation'] }) {
    const sowing = way.edits[0].putSowing;
    if (!sowing) return;
    Object.assign(sowing, by);
    ontry();
  }
  const PREPARED: { id: Sowing['preparation']; name: string }[] = [
    { id: 'GRAZE_DOWN', name: 'Grazed down, into the sod' },
    { id: 'LIGHT_DISKING', name: 'Light disking' },
    { id: 'BURN_DOWN', name: 'Burn-down' },
    { id: 'FULL_SEEDBED', name: 'Full seedbed; the old stand ends' },
  ];
  function setDay(of: 'putCut' | 'putDressing', iso: string) {
    const item = way.edits[0][of];
    if (!item) return;
    item.date = iso;
    ontry();
  }
</script>

<div class="inputs">
  {#if way.kind === 'STOCKPILE' && way.edits[0].putClosing}
    <DateField
      label="Shut from"
      value={way.edits[0].putClosing.fromInclusive}
      onchange={(v) => v && setDate('fromInclusive', v)}
    />
    <DateField
      label="Open on"
      value={way.edits[0].putClosing.toExclusive}
      onchange={(v) => v && setDate('toExclusive', v)}
    />
  {:else if way.kind === 'SUPPLEMENT'}
    {#each way.edits.filter((e) => e.putPurchase) as e (e.putPurchase!.id)}
      <NumberField
        label={`${plural(e.putPurchase!.lot.unitName, 2)}, ${e.putPurchase!.lot.name.toLowerCase()}`}
        quantity="count"
        value={e.putPurchase!.lot.units}
        onchange={(v) => v !== null && setBought(e, v)}
      />
    {/each}
  {:else if way.edits[0].putPurchase}
    <NumberField
      label={way.kind === 'BUY_HAY' ? 'Bales' : plural(way.edits[0].putPurchase.lot.unitName, 2)}
      quantity="count"
      value={way.edits[0].putPurchase.lot.units}
      onchange={(v) => v !== null && setUnits(v)}
    />
    {#if way.kind === 'BUY_HAY'}
      <DateField label="There on" value={buyDate} onchange={(v) => v && onbuy(v)} />
    {/if}
  {:else if way.edits[0].putCut}
    <DateField
      label="Cut on"
      value={way.edits[0].putCut.date}
      onchange={(v) => v && setDay('putCut', v)}
    />
  {:else if way.edits[0].putDressing}
    <DateField
      label="Spread on"
      value={way.edits[0].putDressing.date}
      onchange={(v) => v && setDay('putDressing', v)}
    />
  {:else if way.kind === 'SOW' && way.edits[0].putSowing}
    <DateField
      label="Sow on"
      value={way.edits[0].putSowing.sowOn}
      onchange={(v) => v && setSowing({ sowOn: v })}
    />
    <Choice
      label="Ground"
      value={way.edits[0].putSowing.preparation}
      options={PREPARED}
      onchange={(v) => setSowing({ preparation: v as Sowing['preparation'] })}
    />
  {:else if way.kind === 'SELL' || way.kind === 'SEND_AWAY'}
    <NumberField
      label="Head"
      quantity="count"
      value={newest(way.edits[0].putGroup!.changes).head}
      onchange={(v) => v !== null && setFewer({ head: Math.max(1, Math.round(v)) })}
    />
    <DateField
      label="On"
      value={newest(way.edits[0].putGroup!.changes).date}
      onchange={(v) => v && setFewer({ date: v })}
    />
  {/if}
</div>

<style>
  .inputs {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.75rem;
    margin: 0.4rem 0;
  }
</style>
