<script lang="ts">
  import type { Clash } from '../api/client';
  import { thePlan } from '../plan/context';
  import { memberName, memberValue } from '../words/members';

  const open = thePlan();

  let {
    clashes,
    theirs,
    whole,
    changed,
  }: { clashes: Clash[]; theirs: string; whole: string; changed: string } = $props();

  function figures(c: Clash): string {
    const value = (of: unknown) => memberValue(c.member, of, open.system);
    const what = `${c.name ? `${c.name}, ` : ''}${memberName(c.member, open.system)}`;
    return `${what}: yours ${value(c.mine)}, ${theirs} ${value(c.theirs)}`;
  }
</script>

<ul data-testid="clashes">
  {#each clashes as c, i (i)}
    <li>
      {#if c.member === ''}
        {c.name}: {whole}; yours holds
      {:else if c.member === 'item.removed'}
        {c.name}: {changed}; yours removes it
      {:else if c.member === 'field.parted'}
        {c.name}: {changed}; yours parts it
      {:else if c.member === 'plan.steps'}
        {c.name}: the order of feeds; yours holds whole
      {:else}
        {figures(c)}
      {/if}
    </li>
  {/each}
</ul>

<style>
  li {
    padding: 0.25rem 0;
    border-bottom: 1px solid var(--line);
  }
</style>
