<script lang="ts">
  import { thePlan } from '../plan/context';
  import { Written } from '../records/written.svelte';
  import Photos from './Photos.svelte';

  const open = thePlan();

  let { fieldId }: { fieldId: string } = $props();

  const written = new Written(() => fieldId);
  const name = $derived(open.view!.farm.fields.find((f) => f.id === fieldId)!.name);
</script>

<Photos {written} name={() => name} />
