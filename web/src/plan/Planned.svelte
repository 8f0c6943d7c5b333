<script lang="ts">
  import { lastDay, shortDate } from '../units/dates';
  import { passText } from '../words/land';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { plural, sowingText } from '../words/year';

  const open = thePlan();

  const plan = $derived(open.view!.plan);
  const farm = $derived(open.view!.farm);
  const crop = (id: string) => (open.forages.find((f) => f.id === id)?.name ?? id).toLowerCase();
  const field = (id: string) => farm.fields.find((f) => f.id === id)?.name ?? id;
</script>

<section aria-labelledby="planned" data-testid="planned">
  <h2 id="planned">What the plan does</h2>
  <ul class="panel">
    {#each plan.closings as c (c.id)}
      <li>
        <span
          >Shut {field(c.fieldId)} from {shortDate(c.fromInclusive)} to {shortDate(
            lastDay(c.toExclusive),
          )}</span
        >
        <button class="btn plain" onclick={() => open.edit([{ removeClosing: c.id }])}
          >Take back<span class="visually-hidden"> shutting {field(c.fieldId)}</span></button
        >
      </li>
    {/each}
    {#each plan.purchases as p (p.id)}
      <li>
        <span
          >Buy {p.lot.units.toLocaleString('en-US')}
          {plural(p.lot.unitName, p.lot.units)} of {amount(
            p.lot.kgPerUnitAsFed,
            'weight',
            open.system,
          )}, there on {shortDate(p.date)}</span
        >
        <button class="btn plain" onclick={() => open.edit([{ removePurchase: p.id }])}
          >Take back<span class="visually-hidden"> buying {p.lot.name}</span></button
        >
      </li>
    {/each}
    {#each plan.cuts as c (c.id)}
      <li>
        <span>Cut {field(c.fieldId)} on {shortDate(c.date)}, {c.lot.unitName}s</span>
        <button class="btn plain" onclick={() => open.edit([{ removeCut: c.id }])}
          >Take back<span class="visually-hidden"> cutting {field(c.fieldId)}</span></button
        >
      </li>
    {/each}
    {#each plan.sowings as s (s.id)}
      <li>
        <span>{sowingText(s, field(s.fieldId), crop(s.forageId))}</span>
        <button class="btn plain" onclick={() => open.edit([{ removeSowing: s.id }])}
          >Take back<span class="visually-hidden"> sowing {field(s.fieldId)}</span></button
        >
      </li>
    {/each}
    {#each plan.dressings as d (d.id)}
      <li>
        <span
          >{amount(d.nitrogenKgPerHa, 'nutrient', open.system)} of nitrogen on {field(d.fieldId)}, {shortDate(
            d.date,
          )}</span
        >
        <button class="btn plain" onclick={() => open.edit([{ removeDressing: d.id }])}
          >Take back<span class="visually-hidden"> nitrogen on {field(d.fieldId)}</span></button
        >
      </li>
    {/each}
    {#each plan.irrigations as i (i.id)}
      <li>
        <span
          >{amount(i.waterMm, 'water', open.system)} of water on {field(i.fieldId)}, {shortDate(
            i.date,
          )}</span
        >
        <button class="btn plain" onclick={() => open.edit([{ removeIrrigation: i.id }])}
          >Take back<span class="visually-hidden"> watering {field(i.fieldId)}</span></button
        >
      </li>
    {/each}
    {#each plan.passes as p (p.id)}
      {@const made = open.year.passes.find((x) => x.passId === p.id)}
      <li>
        <span
          >Light passes on {field(p.fieldId)} from {shortDate(p.fromInclusive)} to {shortDate(
            lastDay(p.toExclusive),
          )}{made ? `: ${passText(made, open.system)}` : ''}</span
        >
        <button class="btn plain" onclick={() => open.edit([{ removePass: p.id }])}
          >Take back<span class="visually-hidden"> passes on {field(p.fieldId)}</span></button
        >
      </li>
    {/each}
    {#if plan.closings.length + plan.purchases.length + plan.cuts.length + plan.sowings.length + plan.dressings.length + plan.irrigations.length + plan.passes.length === 0}
      <li>Nothing yet: no field is shut or sown, no hay cut or bought.</li>
    {/if}
  </ul>
</section>

<style>
  ul {
    margin-top: 0.6rem;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    padding: 0.4rem 1rem;
    border-bottom: 1px solid var(--line);
  }
  li:last-child {
    border-bottom: none;
  }
</style>
