<script lang="ts">
  import type { Edit, Field, FieldYear, PlanView, YearView } from '../api/client';
  import Menu from '../form/Menu.svelte';
  import { actOffers, type Act } from '../land/acts';
  import { thePlan } from '../plan/context';
  import Lane from '../ruler/Lane.svelte';
  import type { RulerScale } from '../ruler/scale';

  const open = thePlan();

  let {
    field,
    result,
    year,
    plan,
    scale,
    farmMostKgPerHa,
    at,
    onact,
    onshift,
    onsettle,
    onback,
  }: {
    field: Field;
    result: FieldYear;
    year: YearView;
    plan: PlanView['plan'];
    scale: RulerScale;
    farmMostKgPerHa: number;
    at: number;
    /** Something is to be done here, on the day that was pointed at or on the usual one. */
    onact: (act: Act, day: number | null) => void;
    onshift: (edit: Edit) => void;
    onsettle: (edit: Edit) => void;
    onback: () => void;
  } = $props();

  let pointed = $state<number | null>(null);
  let row: HTMLElement;
  let near = $state(true);
  let last: { result: FieldYear; year: YearView; plan: PlanView['plan']; scale: RulerScale };
  let lastAt = -1;
  /**
   * While something is tried out, a lane that nobody sees is not drawn anew; it stands as it was. So
   * it is with the day that is read off.
   */
  const drawn = $derived.by(() => {
    if (near || !open.trial) last = { result, year, plan, scale };
    return last;
  });
  const drawnAt = $derived.by(() => {
    if (near) lastAt = at;
    return lastAt;
  });
  const forage = $derived(open.forages.find((f) => f.id === field.stand.forageId));
  const stand = $derived((forage?.name ?? '').split(' (')[0].toLowerCase());
  const offers = $derived(actOffers(open, field));

  function point(e: MouseEvent) {
    const x = e.clientX - row.getBoundingClientRect().left;
    pointed = x > scale.left ? scale.day(x) : null;
  }
  function watch(node: HTMLElement) {
    const watcher = new IntersectionObserver(
      (entries) => (near = entries[entries.length - 1].isIntersecting),
      { rootMargin: '150px' },
    );
    watcher.observe(node);
    return () => watcher.disconnect();
  }
</script>

<!-- the menu at the field's name does the same for the keyboard -->
<div
  class="row"
  data-field={field.id}
  bind:this={row}
  {@attach watch}
  onpointerdowncapture={point}
  oncontextmenucapture={point}
>
  <div class="name" style:width={`${scale.left - 62}px`}>
    <Menu
      label={field.name}
      said={`${field.name}: do something here`}
      look="bare"
      {offers}
      onchoose={(act) => onact(act as Act, null)}
    >
      {#snippet trigger()}<span>{field.name}</span>{/snippet}
    </Menu>
  </div>
  <Menu label={field.name} {offers} onchoose={(act) => onact(act as Act, pointed)} context>
    {#snippet trigger()}
      <Lane
        {field}
        {stand}
        dead={forage?.cropResidue ?? false}
        result={drawn.result}
        year={drawn.year}
        plan={drawn.plan}
        scale={drawn.scale}
        {farmMostKgPerHa}
        at={drawnAt}
        system={open.system}
        may={open.mayPlan}
        {onshift}
        {onsettle}
        {onback}
      />
    {/snippet}
  </Menu>
</div>

<style>
  .row {
    position: relative;
  }
  .name {
    position: absolute;
    left: 20px;
    top: 1px;
    overflow: hidden;
    white-space: nowrap;
  }
  .name :global(.menu-bare) {
    min-height: 18px;
    font-size: 13px;
    font-weight: 700;
    text-align: left;
    max-width: 100%;
    overflow: hidden;
  }
  .name :global(.menu-bare:hover) {
    color: var(--cobalt);
    text-decoration: underline;
  }
  @media (max-width: 760px) {
    .name {
      left: 8px;
      top: 0;
      width: 84px !important;
    }
    .name :global(.menu-bare) {
      font-size: 12px;
      min-height: 34px;
      white-space: normal;
      line-height: 1.1;
    }
  }
</style>
