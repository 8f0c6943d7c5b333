<script lang="ts">
  import type { GrownTogether } from '../api/client';
  import { thePlan } from '../plan/context';
  import { heightsIn } from '../units/units';

  const open = thePlan();

  let { pairs }: { pairs: GrownTogether[] } = $props();

  const SUITS = {
    NO: 'wants a field of its own',
    WITH_CARE: 'goes with care',
    YES: 'goes well',
  };
  const ORDER = ['NO', 'WITH_CARE', 'YES'];
  const sorted = $derived(
    [...pairs].sort((p, q) => ORDER.indexOf(p.rule.suits) - ORDER.indexOf(q.rule.suits)),
  );
  const nameOf = (id: string) => (open.forages.find((f) => f.id === id)?.name ?? id).toLowerCase();
  const first = (text: string) => text[0].toUpperCase() + text.slice(1);
  const said = (text: string) => heightsIn(text, open.system);
</script>

{#if sorted.length}
  <ul aria-label="What grows together" data-testid="companions">
    {#each sorted as p (p.a + p.b)}
      <li class={p.rule.suits}>
        <strong>{first(nameOf(p.a))} with {nameOf(p.b)}: {SUITS[p.rule.suits]}.</strong>
        {said(p.rule.why)}
        {said(p.rule.whatToDo)}
      </li>
    {/each}
  </ul>
{/if}

<style>
  ul {
    margin: 0.6rem 0;
    font-size: 13px;
  }
  li {
    border-left: 4px solid var(--line);
    padding: 0.15rem 0.6rem;
    margin-bottom: 0.3rem;
  }
  .NO {
    border-left-color: var(--bare);
  }
  .YES {
    border-left-color: #4c9a4f;
  }
</style>
