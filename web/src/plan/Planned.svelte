<script lang="ts">
  import { thePlan } from './context';
  import { plannedThings } from './planned';

  const open = thePlan();

  const name = (id: string) => open.forages.find((f) => f.id === id)?.name ?? id;
  const things = $derived(plannedThings(open.view!, open.year, name, open.system));
</script>

<section aria-labelledby="planned" data-testid="planned">
  <h2 id="planned">What the plan does</h2>
  <ul class="panel">
    {#each things as t (t.id)}
      <li>
        <span
          >{t.text}{#if t.outcome}<span class="quiet">{t.outcome}</span>{/if}</span
        >
        {#if open.mayPlan}
          <span class="acts">
            {#if t.fieldId}
              <a
                class="btn plain"
                href={`#/plan/${open.view!.id}/land?field=${t.fieldId}&change=${t.id}`}
                >Change<span class="visually-hidden"> {t.said}</span></a
              >
            {/if}
            <button class="btn plain" onclick={() => open.edit([t.back])}
              >Take back<span class="visually-hidden"> {t.said}</span></button
            >
          </span>
        {/if}
      </li>
    {:else}
      <li>Nothing yet: no field is shut or sown, no hay cut or bought.</li>
    {/each}
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
  .quiet {
    display: block;
    font-size: 13px;
  }
  .acts {
    display: flex;
    gap: 0.4rem;
  }
</style>
