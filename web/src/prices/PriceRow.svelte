<script lang="ts">
  import { weightsIn } from '../units/units';
  import type { Price } from '../api/client';
  import { thePlan } from '../plan/context';
  import { statedNumber } from '../words/members';
  import { money, priceUnit } from '../words/prices';

  const open = thePlan();

  let { price, usual, moves }: { price: Price; usual: string; moves: string } = $props();

  const unit = $derived(priceUnit(price.unit, open.system));
  const plain = (v: number) => String(Number((v * unit.of).toPrecision(4)));
  const stated = $derived(open.view!.farm.prices.find((p) => p.id === price.id) ?? null);
  const accepted = statedNumber('price.amount')!;
  let wrong = $state('');

  async function put(event: Event) {
    const typed = (event.currentTarget as HTMLInputElement).value.trim().replace(/,/g, '');
    wrong = '';
    if (typed === '') {
      if (stated) await open.edit([{ removePrice: price.id }]);
      return;
    }
    const amount = Number(typed) / unit.of;
    if (!Number.isFinite(amount) || amount < accepted.min || amount > accepted.max) {
      wrong = `A number from ${accepted.min} to ${accepted.max.toLocaleString('en-US')} is accepted.`;
      return;
    }
    if (stated && plain(stated.amount) === typed) return;
    await open.edit([{ putPrice: { id: price.id, amount, bySeason: stated?.bySeason ?? false } }]);
  }
  async function follow(bySeason: boolean) {
    if (stated) await open.edit([{ putPrice: { ...stated, bySeason } }]);
  }
</script>

<tr>
  <th scope="row"
    >{weightsIn(price.what, open.system)}{#if !price.bought}<span class="quiet"
        >, what you are paid</span
      >{/if}
    {#if price.note}<small class="quiet">{price.note}</small>{/if}</th
  >
  <td class="number">
    <input
      class="input figure"
      inputmode="decimal"
      aria-label={`${weightsIn(price.what, open.system)}, ${open.view!.farm.currency} ${unit.each}`}
      aria-invalid={wrong !== ''}
      value={stated ? plain(stated.amount) : ''}
      placeholder={price.likely === null || price.own ? '' : money(price.likely * unit.of)}
      disabled={!open.mayPlan}
      onchange={put}
    />
    {#if wrong}<small class="wrong" role="alert">{wrong}</small>{/if}
  </td>
  <td>{unit.each}</td>
  <td class="number">{usual}</td>
  <td>
    {#if stated}
      <label class="tick"
        ><input
          type="checkbox"
          class="checkbox"
          checked={stated.bySeason}
          disabled={!open.mayPlan}
          onchange={(e) => follow(e.currentTarget.checked)}
        /> moves with the season</label
      >
    {:else}<span class="quiet">{moves}</span>{/if}
  </td>
</tr>

<style>
  th {
    font-weight: 400;
    text-align: left;
  }
  small {
    display: block;
  }
  input.input {
    width: 100%;
    text-align: right;
  }
  .tick {
    display: flex;
    align-items: center;
    gap: 0.4rem;
    min-height: 32px;
  }
  .wrong {
    color: var(--bare-dark);
  }
</style>
