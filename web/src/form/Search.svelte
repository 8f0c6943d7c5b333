<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { Combobox, Portal, useListCollection } from '@skeletonlabs/skeleton-svelte';

  /** A choice among many, found by any word of its name. */
  let {
    label,
    value,
    options,
    onchange,
    hint = '',
  }: {
    label: string;
    value: string;
    options: { id: string; name: string; note?: string }[];
    onchange: (id: string) => void;
    hint?: string;
  } = $props();

  let sought = $state('');
  let lit = $state<string | null>(null);
  /** Those that hold every word; first those that begin as it is typed. */
  const found = $derived.by(() => {
    const typed = sought.trim().toLowerCase();
    const names = (o: { name: string }) => o.name.toLowerCase();
    const all = options.filter((o) => typed.split(/\s+/).every((word) => names(o).includes(word)));
    const begins = all.filter((o) => typed !== '' && names(o).startsWith(typed));
    return [...begins, ...all.filter((o) => !begins.includes(o))];
  });
  /** A list that changes while somebody types, as an answer comes, keeps one of them chosen. */
  $effect(() => {
    if (sought && !found.some((o) => o.id === lit)) lit = found[0]?.id ?? null;
  });
  const collection = $derived(
    useListCollection({
      items: found.length ? found : options,
      itemToString: (o) => o.name,
      itemToValue: (o) => o.id,
    }),
  );
</script>

<Combobox
  class="field"
  {collection}
  value={[value]}
  openOnClick
  translations={{ triggerLabel: 'Show all' }}
  inputBehavior="autohighlight"
  selectionBehavior="replace"
  positioning={{ placement: 'bottom-start', gutter: 4, sameWidth: true }}
  highlightedValue={lit}
  onHighlightChange={(e) => (lit = e.highlightedValue)}
  onOpenChange={(e) => {
    if (!e.open) sought = '';
  }}
  onInputValueChange={(e) => {
    if (e.reason === 'input-change') sought = e.inputValue;
  }}
  onValueChange={(e) => {
    if (e.value[0] && e.value[0] !== value) onchange(e.value[0]);
  }}
>
  <Combobox.Label>{label}</Combobox.Label>
  <Combobox.Control class="found">
    <Combobox.Input class="input" />
    <Combobox.Trigger class="found-arrow"
      ><ChevronDown size={16} aria-hidden="true" /></Combobox.Trigger
    >
  </Combobox.Control>
  {#if hint}<span class="quiet">{hint}</span>{/if}
  <Portal>
    <Combobox.Positioner class="menu-positioner">
      <Combobox.Content class="menu">
        {#each collection.items as item (item.id)}
          <Combobox.Item {item} class="menu-item">
            <Combobox.ItemText>{item.name}</Combobox.ItemText>
            {#if item.note}<small>{item.note}</small>{/if}
          </Combobox.Item>
        {/each}
        {#if sought && !found.length}<li class="menu-item none">
            Nothing is called so; all are shown.
          </li>{/if}
      </Combobox.Content>
    </Combobox.Positioner>
  </Portal>
</Combobox>
