<script lang="ts">
  import NumberField from '../form/NumberField.svelte';
  import Give from './Give.svelte';
  import MiniYear from './MiniYear.svelte';
  import type { PlanSession } from './session.svelte';

  let { left, right }: { left: PlanSession; right: PlanSession } = $props();
</script>

{#each [left, right] as plan, i (i)}
  <div data-testid={i === 0 ? 'left' : 'right'}>
    <Give {plan}>
      <MiniYear />
      <NumberField name="field.areaHa" value={4.046_856} onchange={() => {}} />
    </Give>
  </div>
{/each}
