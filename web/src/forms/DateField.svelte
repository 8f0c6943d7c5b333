<script lang="ts">
  let {
    label,
    value,
    onchange,
    hint = '',
  }: {
    label: string;
    value: string | null;
    onchange: (iso: string | null) => void;
    hint?: string;
  } = $props();
</script>

<label class="field">
  <span>{label}</span>
  <input
    class="input figure"
    type="date"
    value={value ?? ''}
    onchange={(e) => onchange(e.currentTarget.value || null)}
  />
  {#if hint}<span class="quiet">{hint}</span>{/if}
</label>
