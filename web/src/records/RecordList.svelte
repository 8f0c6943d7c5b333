<script lang="ts">
  import { shortDate, today } from '../units/dates';
  import { thePlan } from '../plan/context';

  const open = thePlan();

  interface Line {
    id: string;
    on: string;
    text: string;
    who: string;
    /** As the device calls itself: of instruments it is shown. */
    device: string;
    struckBy: string | null;
  }
  let { lines, what }: { lines: Line[]; what: string } = $props();

  const by = (l: Line) =>
    l.id.startsWith('instrument-') ? `${l.device}, of ${l.who || 'somebody'}` : l.who;
  const strike = (record: string) =>
    open.write([{ on: today(), fact: { kind: 'STRUCK', record, why: '' } }]);
</script>

<ul>
  {#each lines as l (l.id)}
    <li>
      <span>
        <span class:struck={l.struckBy !== null}>{l.text}</span>
        <span class="quiet fine"
          >{by(l)}{#if l.struckBy !== null}{l.who ? '; ' : ''}struck out by {l.struckBy ||
              'somebody'}{/if}</span
        >
      </span>
      {#if open.mayWrite && l.struckBy === null}
        <button class="btn plain" onclick={() => strike(l.id)}
          >Strike out<span class="visually-hidden"> the {what} of {shortDate(l.on)}</span></button
        >
      {/if}
    </li>
  {/each}
</ul>

<style>
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 1rem;
    border-bottom: 1px solid var(--line);
    padding: 0.3rem 0;
  }
  .struck {
    text-decoration: line-through;
  }
</style>
