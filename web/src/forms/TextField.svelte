<script lang="ts">
  let { label, value, oninput }: { label: string; value: string; oninput: (text: string) => void } =
    $props();
</script>

<label class="field">
  <span>{label}</span>
  <input class="input" {value} oninput={(e) => oninput(e.currentTarget.value)} />
</label>
