<script lang="ts">
  import { thePlan } from '../plan/context';
  import { seasonOptions } from './names';

  const open = thePlan();

  const options = $derived(seasonOptions(open.view!.plan, open.records, open.season));
</script>

<label class:other={open.season !== 'normal'}>
  <span class="visually-hidden">Season</span>
  <select
    class="select"
    value={open.season}
    onchange={(e) => open.look(e.currentTarget.value)}
    title="The weather that every screen of this plan is reckoned in"
  >
    {#each options as o (o.key)}<option value={o.key}>{o.name}</option>{/each}
  </select>
</label>

<style>
  .select {
    min-height: 2rem;
    max-width: 15rem;
    padding-block: 0.15rem;
  }
  .other .select {
    background: var(--frost);
    border: 2px solid var(--cobalt);
    font-weight: 700;
  }
  @media (max-width: 760px) {
    .select {
      min-height: 44px;
    }
  }
</style>
