<script lang="ts">
  import { group } from 'd3-array';
  import type { Job } from '../api/client';
  import { dayOf, shortDate } from '../units/dates';
  import { due, isLate, isOpen } from '../words/jobs';
  import type { RulerScale } from './scale';

  /** Jobs as marks under the ruler; a mark leads to its job. */
  let {
    jobs,
    start,
    scale,
    base,
    today,
  }: { jobs: Job[]; start: string; scale: RulerScale; base: string; today: string } = $props();

  const HEIGHT = 18;
  /** Of a day all jobs stand at one mark. */
  const days = $derived([
    ...group(
      jobs
        .filter(isOpen)
        .filter((j) => dayOf(start, due(j)) >= scale.from && dayOf(start, due(j)) < scale.to),
      (j) => dayOf(start, due(j)),
    ),
  ]);
</script>

{#if days.length}
  <svg
    width={scale.width}
    height={HEIGHT}
    class="block"
    role="group"
    aria-label={`Jobs on ${days.length} days of the plan`}
    data-testid="job-marks"
  >
    {#if scale.left > 120}<text x="20" y="13">Jobs</text>{/if}
    {#each days as [day, list] (day)}
      {@const x = scale.x(day)}
      {@const late = list.some((j) => isLate(j, today))}
      <a
        href={`#${base}/jobs?job=${encodeURIComponent(list[0].key)}`}
        aria-label={`${shortDate(due(list[0]))}: ${list.map((j) => j.title).join('; ')}`}
      >
        <title>{shortDate(due(list[0]))}: {list.map((j) => j.title).join('; ')}</title>
        <path
          d={`M${x} 3v12M${x} 3h${list.length > 1 ? 8 : 6}l-2 3l2 3h-${list.length > 1 ? 8 : 6}Z`}
          fill={late ? '#d6401f' : list.length > 1 ? '#1b3a93' : '#8ba1d4'}
          stroke={late ? '#d6401f' : '#1b3a93'}
          stroke-width="1"
        />
      </a>
    {/each}
  </svg>
{/if}

<style>
  text {
    font-size: 12px;
    fill: #3d4b63;
  }
</style>
