<script lang="ts">
  import type { LandInUse } from '../api/client';
  import { thePlan } from '../plan/context';
  import { stepBand, type RulerScale } from '../ruler/scale';
  import { amount, figure, unitOf } from '../units/units';
  import { landSentence, USES, type LandUse } from '../words/outlook';

  const open = thePlan();

  let {
    land,
    start,
    scale,
    at,
  }: { land: LandInUse; start: string; scale: RulerScale; at: number } = $props();

  const HEIGHT = 150;
  const TOP = 6;
  const FILLS: Record<LandUse, string> = {
    GRAZED: 'url(#t-growing)',
    CROP: '#a8cf8e',
    FOR_A_CUT: 'url(#t-beyond)',
    SHUT: 'url(#t-standing)',
    HELD: 'url(#t-held)',
    BEING_SOWN: '#d9b48f',
    BARE: '#e3e7ed',
  };
  const narrow = $derived(scale.left < 120);
  const y = $derived((ha: number) => TOP + (1 - ha / (land.wholeHa || 1)) * (HEIGHT - TOP - 2));
  /** Each on top of those before it. */
  const bands = $derived.by(() => {
    let lower = new Array<number>(land.uses[0]?.ha.length ?? 0).fill(0);
    return land.uses.map((u) => {
      const upper = lower.map((v, d) => v + u.ha[d]);
      const band = { use: u.use, lower, upper };
      lower = upper;
      return band;
    });
  });
  const said = $derived(landSentence(land, start, open.system));
  const ha = (value: number) => figure(value, 'area', open.system);
  const share = (value: number) => `${Math.round((100 * value) / (land.wholeHa || 1))}%`;
</script>

<svg
  width={scale.width}
  height={HEIGHT}
  role="img"
  aria-label={`What the land is for. ${said}`}
  class="block"
>
  {#if !narrow}
    <text x="20" y="20" class="title">What the land is for</text>
    <text x="20" y="36" class="note">{ha(land.wholeHa)} {unitOf('area', open.system)} in all</text>
  {/if}
  <g clip-path={scale.clip}>
    {#each bands as b (b.use)}
      <path
        d={stepBand(scale, b.lower, b.upper, y)}
        fill={FILLS[b.use]}
        stroke="#51617a"
        stroke-width="0.6"
      />
    {/each}
    {#if at >= 0}
      <path
        d={`M${scale.x(at + 0.5)} 0V${HEIGHT}`}
        stroke="#1b3a93"
        stroke-dasharray="2 3"
        stroke-width="1.5"
      />
    {/if}
  </g>
</svg>
<p data-testid="land-in-use">{said}</p>
<ul class="uses" aria-label="Uses of the land">
  {#each land.uses as u (u.use)}
    <li>
      <svg width="16" height="12" aria-hidden="true"
        ><rect width="16" height="12" fill={FILLS[u.use]} stroke="#51617a" /></svg
      >
      {USES[u.use]}: up to {amount(u.mostHa, 'area', open.system)}, {share(u.mostHa)}{at >= 0
        ? `; ${ha(u.ha[at])} on the day read`
        : ''}
    </li>
  {/each}
</ul>

<style>
  .title {
    font-size: 14px;
    font-weight: 700;
    fill: #16233a;
  }
  .note {
    font-size: 12px;
    fill: #3d4b63;
  }
  p {
    padding: 0.4rem 20px 0;
    max-width: 70rem;
  }
  .uses {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.4rem;
    padding: 0.3rem 20px 0.8rem;
    font-size: 13px;
  }
  .uses svg {
    display: inline-block;
    vertical-align: -1px;
  }
</style>
