<script lang="ts">
  let {
    wrong = '',
    doubt = '',
    hint = '',
  }: { wrong?: string; doubt?: string; hint?: string } = $props();
</script>

{#if wrong}<span class="wrong" role="alert">{wrong}</span>
{:else if doubt}<span class="doubt" data-testid="doubt">{doubt}</span>{/if}
{#if hint}<span class="quiet">{hint}</span>{/if}

<style>
  span {
    display: block;
    font-size: 13px;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
  }
  .doubt {
    border-left: 4px solid var(--standing);
    padding-left: 0.4rem;
  }
</style>
