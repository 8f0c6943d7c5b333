<script lang="ts">
  let {
    label,
    value,
    options,
    onchange,
    hint = '',
  }: {
    label: string;
    value: string;
    options: { id: string; name: string }[];
    onchange: (id: string) => void;
    hint?: string;
  } = $props();
</script>

<label class="field">
  <span>{label}</span>
  <select class="select" {value} onchange={(e) => onchange(e.currentTarget.value)}>
    {#each options as option (option.id)}<option value={option.id}>{option.name}</option>{/each}
  </select>
  {#if hint}<span class="quiet">{hint}</span>{/if}
</label>
