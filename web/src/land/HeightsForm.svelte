<script lang="ts">
  import type { Field } from '../api/client';
  import type { PlanSession } from '../plan/session.svelte';
  import { thePlan } from '../plan/context';
  import NumberField from '../form/NumberField.svelte';
  import { rounded } from '../units/units';

  const open = thePlan();

  let {
    heights,
    forage,
    onchange,
  }: {
    heights: Field['heights'];
    forage: PlanSession['forages'][number];
    onchange: (heights: Field['heights']) => void;
  } = $props();

  type Heights = NonNullable<Field['heights']>;
  const NONE: Heights = { enterCm: null, leaveCm: null, againCm: null, winterCm: null };
  const MEMBERS: { member: keyof Heights; own: number | null }[] = $derived([
    { member: 'enterCm', own: forage.rules.entryHeightCm },
    { member: 'leaveCm', own: forage.rules.exitHeightCm },
    { member: 'againCm', own: forage.rules.regrazeHeightCm },
    { member: 'winterCm', own: forage.rules.winterLeaveHeightCm },
  ]);

  function set(member: keyof Heights, cm: number | null) {
    const next = { ...NONE, ...heights, [member]: cm };
    onchange(Object.values(next).every((v) => v === null) ? null : next);
  }
  const own = (cm: number | null) =>
    cm === null ? '' : `usual ${rounded(cm, 'depth', open.system)}`;
</script>

<section aria-labelledby="by-heights">
  <h3 id="by-heights">Graze by heights</h3>
  <div class="input-grid">
    {#each MEMBERS as m (m.member)}
      <NumberField
        name={`heights.${m.member}` as const}
        value={heights?.[m.member] ?? null}
        placeholder={own(m.own)}
        onchange={(v) => set(m.member, v)}
      />
    {/each}
  </div>
  <p class="quiet fine">
    Of the leaf canopy where nothing has trodden it. What stands at a height comes from the stand's
    own curve, of an ordinary thickness; covers typed above win over heights.
  </p>
</section>

<style>
</style>
