<script lang="ts">
  import type { BaleField, BaleWinter } from '../api/client';
  import { thePlan } from '../plan/context';
  import { isoOf, longDate } from '../units/dates';
  import { unitOf } from '../units/units';
  import { plural } from '../words/year';

  /** What is done before stock reach the first bale. */
  let { bales, winter }: { bales: BaleField; winter: BaleWinter } = $props();

  const open = thePlan();

  /** Bales go out some weeks before they are opened, while the ground still carries. */
  const OUT_DAYS = 21;
  const before = (days: number) => (winter.from ? longDate(isoOf(winter.from, -days)) : '');
</script>

<section class="panel" aria-labelledby="before-title">
  <h2 id="before-title">Before the first bale</h2>
  <ul class="steps">
    <li>
      {#if bales.asMade}
        Leave {winter.laid} {plural('bale', winter.laid)} where the baler dropped them.
      {:else}
        Set {winter.laid}
        {plural('bale', winter.laid)} out{winter.from
          ? ` about ${before(OUT_DAYS)}, while the ground carries a tractor`
          : ''}.
      {/if}
    </li>
    <li>
      {bales.stringsOnDay
        ? 'Net, twine and film come off each bale on its day, before stock reach it,'
        : 'Net, twine and film come off all of them before the ground freezes, film that keeps feed from spoiling on the day;'}
      and are counted back in, one for each bale: eaten, they kill.
    </li>
    <li>
      {bales.onEnd
        ? 'On their flat end they shed strings easily and take up rain: not for weeks in the wet.'
        : 'On their round side rain runs off: across the slope, chocked, or they roll.'}
    </li>
    <li>Water, shelter and a dry place to lie, on safe ground away from streams.</li>
  </ul>
  <p class="quiet fine">
    Strips along water are the product’s defaults in {unitOf('distance', open.system)}; local rules,
    and for stock the veterinarian, stand above all of this.
  </p>
</section>
