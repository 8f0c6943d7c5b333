<script lang="ts">
  import type { BaleSite } from '../api/client';
  import { thePlan } from '../plan/context';
  import { amount } from '../units/units';
  import { sitePointText } from '../words/winter';
  import { USUAL } from './layout';

  const open = thePlan();

  let { onchoose }: { onchoose: (fieldId: string) => void } = $props();

  let sites = $state.raw<BaleSite[] | null>(null);
  const name = (id: string) => open.view!.farm.fields.find((f) => f.id === id)?.name ?? id;

  $effect(() => {
    void open.view;
    open.api
      .baleSites(open.view!.id, USUAL[open.system])
      .then((found) => (sites = found))
      .catch((e) => (open.error = open.explain(e)));
  });
</script>

{#if sites}
  <section class="panel" aria-labelledby="sites-title" data-testid="bale-sites">
    <h2 id="sites-title">Where</h2>
    <p class="quiet fine">
      The poorest ground gains most. Fields with a soil test come first, the lowest in phosphorus
      before the others; then what speaks against a field, then the way to it.
    </p>
    <ul>
      {#each sites as s (s.fieldId)}
        <li class:unfit={!s.fit}>
          <div>
            <strong>{name(s.fieldId)}</strong>
            <span class="quiet">room for {s.fits} on {amount(s.netHa, 'area', open.system)}</span>
            <p>
              {#each s.points as p, i (p.what)}<span class:against={!p.good}
                  >{sitePointText(p, open.system)}</span
                >{i + 1 < s.points.length ? '; ' : ''}{/each}
            </p>
          </div>
          {#if s.fits > 0}
            <button
              class="btn plain"
              aria-label={`Here, on ${name(s.fieldId)}`}
              onclick={() => onchoose(s.fieldId)}>Here</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  section {
    grid-column: 1 / -1;
    padding: 0.7rem 1rem;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.3rem 1rem;
    align-items: center;
    padding: 0.45rem 0;
  }
  li + li {
    border-top: 1px solid var(--line);
  }
  .unfit strong,
  .against {
    color: var(--quiet);
  }
  button {
    min-height: 44px;
  }
</style>
