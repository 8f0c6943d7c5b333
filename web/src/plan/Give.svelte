<script lang="ts">
  import type { Snippet } from 'svelte';
  import { givePlan } from './context';
  import type { PlanSession } from './session.svelte';

  let { plan, children }: { plan: PlanSession; children: Snippet } = $props();

  // svelte-ignore state_referenced_locally
  givePlan(plan);
</script>

{@render children()}
