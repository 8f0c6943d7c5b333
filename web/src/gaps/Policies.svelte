<script lang="ts">
  import type { PolicyEffect } from '../api/client';
  import { thePlan } from '../plan/context';
  import { effectText, QUESTIONS } from '../words/policies';

  const open = thePlan();
  type Question = PolicyEffect['question'];

  const taken = $derived(open.view!.plan.policies);
  let effects = $state.raw<PolicyEffect[]>([]);
  let busy = $state(false);
  let shown = $state(false);
  let gone = false;
  $effect(() => () => (gone = true));
  /** Anew where the plan or its season changed while it is looked at. */
  $effect(() => {
    const asked = `${open.season} ${open.view!.revision}`;
    if (shown) void reckon(asked);
  });
  async function reckon(asked: string) {
    busy = true;
    try {
      const found = await open.api.policies(open.view!.id);
      if (!gone && asked === `${open.season} ${open.view!.revision}`) effects = found;
    } catch (e) {
      if (!gone) open.error = open.explain(e);
    }
    if (!gone) busy = false;
  }
  const of = (q: Question, side: PolicyEffect['side']) =>
    effects.find((e) => e.question === q && e.side === side);
  const sideOf = (q: Question) =>
    QUESTIONS[q].sides.find((s) => taken.some((t) => t.side === s.side))?.side ?? '';
  async function take(q: Question, side: string) {
    const found = QUESTIONS[q].sides.find((s) => s.side === side);
    await open.edit([found ? { putPolicy: { side: found.side } } : { removePolicy: q }]);
  }
</script>

<section aria-labelledby="policies" data-testid="policies">
  <details bind:open={shown}>
    <summary
      ><h2 id="policies">Where keepers differ</h2>
      <span class="quiet"
        >{taken.length === 0
          ? 'This plan takes no side yet.'
          : `This plan takes a side in ${taken.length} of ${Object.keys(QUESTIONS).length}.`}</span
      ></summary
    >
    <p>
      Good keepers do these one way or the other. A side that is taken holds for the whole plan: for
      its year, for the ways that are offered, and for the cheapest mix.
    </p>
    {#if busy}<p role="status">Running the year with each side.</p>{/if}
    {#each Object.entries(QUESTIONS) as [id, q] (id)}
      {@const question = id as Question}
      {@const neither = of(question, null)}
      <fieldset class="panel" disabled={!open.mayPlan}>
        <legend>{q.name}</legend>
        <label class="side"
          ><input
            type="radio"
            class="radio"
            name={id}
            value=""
            checked={sideOf(question) === ''}
            onchange={() => void take(question, '')}
          /><span>{q.neither}</span></label
        >
        {#each q.sides as s (s.side)}
          {@const effect = of(question, s.side)}
          <label class="side"
            ><input
              type="radio"
              class="radio"
              name={id}
              value={s.side}
              checked={sideOf(question) === s.side}
              onchange={() => void take(question, s.side)}
            /><span
              ><strong>{s.name}</strong><span class="quiet">{s.reason}</span
              >{#if effect && neither}<span
                  >{effectText(effect, neither, open.view!.farm.currency, open.system)}</span
                >{/if}</span
            ></label
          >
        {/each}
      </fieldset>
    {/each}
    <p class="quiet">
      Beside the plan with neither side; a sale counts with a tenth of the animals’ value as lost.
      Not settled here: a stockpile grazed once or several times is for the order of feeds; first
      grazing by stage or by a pull test is for your walk; trampling at high density is not
      reckoned, nor what legumes give in the years to come.
    </p>
  </details>
</section>

<style>
  summary {
    cursor: pointer;
    min-height: 44px;
  }
  summary h2 {
    display: inline;
    margin-right: 0.75rem;
  }
  fieldset {
    min-width: 0;
    margin: 0.6rem 0;
    padding: 0.5rem 1rem;
  }
  legend {
    font-weight: 700;
  }
  .side {
    display: flex;
    gap: 0.75rem;
    align-items: flex-start;
    padding: 0.35rem 0;
    min-height: 44px;
    font-weight: 400;
    white-space: normal;
  }
  .side input {
    flex: none;
    margin-top: 0.25rem;
  }
  .side > span {
    min-width: 0;
  }
  .side span span,
  .side strong {
    display: block;
  }
</style>
