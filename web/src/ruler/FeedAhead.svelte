<script lang="ts">
  import { dayOf } from '../units/dates';

  /** How far feed reaches: a bar from a day to the plan's end, with a mark where it falls short. */
  let {
    start,
    days,
    from,
    until,
    bareOn,
    bareInTenOn,
  }: {
    /** First day of the scale, and how many it has. */
    start: string;
    days: number;
    from: string;
    until: string;
    /** In a normal year, and in one of ten; null where it lasts. */
    bareOn: string | null;
    bareInTenOn: string | null;
  } = $props();

  const at = (iso: string) => (100 * dayOf(start, iso)) / days;
  const lasts = $derived(bareInTenOn && (!bareOn || bareInTenOn < bareOn) ? bareInTenOn : bareOn);
</script>

<!-- What it shows stands in words beside it. -->
<div aria-hidden="true">
  <i class="plan" style:left={`${at(from)}%`} style:width={`${at(until) - at(from)}%`}></i>
  <i class="fed" style:left={`${at(from)}%`} style:width={`${at(lasts ?? until) - at(from)}%`}></i>
  {#if bareInTenOn}<b class="ten" style:left={`${at(bareInTenOn)}%`}>▽</b>{/if}
  {#if bareOn}<b class="bare" style:left={`${at(bareOn)}%`}>▲</b>{/if}
</div>

<style>
  div {
    position: relative;
    height: 2.6rem;
  }
  i {
    position: absolute;
    top: 1.15rem;
    height: 5px;
  }
  .plan {
    background: var(--line);
    border-right: 2px solid var(--quiet);
  }
  .fed {
    background: var(--growing);
  }
  b {
    position: absolute;
    translate: -50%;
    font-size: 13px;
    line-height: 1;
    color: var(--bare-dark);
  }
  .ten {
    top: 0.35rem;
  }
  .bare {
    top: 1.45rem;
  }
</style>
