<script lang="ts" generics="T extends string | number">
  /** A few ways side by side, large enough for a thumb in a glove. */
  let {
    label,
    options,
    value,
    onchange,
    wrap = false,
  }: {
    label: string;
    options: { id: T; name: string; title?: string }[];
    value: T | null;
    onchange: (id: T) => void;
    /** Many, that stand in several rows where it is narrow. */
    wrap?: boolean;
  } = $props();
</script>

<div class="ways" class:wrap role="group" aria-label={label}>
  {#each options as o (o.id)}
    <button aria-pressed={value === o.id} title={o.title} onclick={() => onchange(o.id)}
      >{o.name}</button
    >
  {/each}
</div>

<style>
  .ways {
    display: flex;
    border: 1px solid #93a3bb;
    background: var(--panel);
  }
  .wrap {
    flex-wrap: wrap;
  }
  button {
    flex: 1 1 auto;
    min-height: 44px;
    min-width: 44px;
    padding: 0 0.6rem;
    font-weight: 600;
    border-right: 1px solid var(--line);
  }
  button:last-child {
    border-right: 0;
  }
  [aria-pressed='true'] {
    background: var(--frost);
    box-shadow: inset 0 -3px 0 var(--cobalt);
  }
</style>
