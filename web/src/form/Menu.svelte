<script lang="ts" module>
  /** One thing that a menu offers. */
  export interface Offer {
    id: string;
    name: string;
    /** Address of a screen, where it leads to one. */
    href?: string;
    /** A line below it; where it cannot be chosen, why. */
    note?: string;
    disabled?: boolean;
    current?: boolean;
    /** Stands below a rule. */
    apart?: boolean;
  }
</script>

<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { HTMLAnchorAttributes, HTMLAttributes } from 'svelte/elements';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { Menu, Portal } from '@skeletonlabs/skeleton-svelte';

  /** What a context menu puts on its trigger, less what would make a button of it. */
  function aroundOnly(attributes: Record<string, unknown>): HTMLAttributes<HTMLDivElement> {
    const button = ['type', 'style'];
    return Object.fromEntries(Object.entries(attributes).filter(([k]) => !button.includes(k)));
  }

  let {
    label,
    said = undefined,
    offers,
    onchoose = () => {},
    look = 'plain',
    trigger = undefined,
    current = false,
    context = false,
  }: {
    label: string;
    /** What is read aloud where the label alone would not do. */
    said?: string;
    offers: Offer[];
    onchoose?: (id: string) => void;
    look?: 'plain' | 'preset-filled-primary-500' | 'bare';
    /** Instead of the label with its arrow. */
    trigger?: Snippet;
    current?: boolean;
    /** Opens on a right click or a long press on what it stands around, at that place. */
    context?: boolean;
  } = $props();
  let shown = $state(false);
</script>

<!-- a link that is chosen by keyboard leads on and leaves the menu open -->
<svelte:window onhashchange={() => (shown = false)} />

<Menu
  open={shown}
  onOpenChange={(e) => (shown = e.open)}
  onSelect={(e) => {
    const offer = offers.find((o) => o.id === e.value);
    if (!offer?.href) onchoose(e.value);
  }}
  positioning={{ placement: 'bottom-start', gutter: 4 }}
>
  {#if context}
    <Menu.ContextTrigger>
      {#snippet element(attributes)}
        <!-- what it stands around has controls of its own: it must be no button -->
        <div {...aroundOnly(attributes)}>{@render trigger?.()}</div>
      {/snippet}
    </Menu.ContextTrigger>
  {:else}
    <Menu.Trigger
      class={look === 'bare' ? 'menu-bare' : `btn ${look}`}
      aria-label={said}
      aria-current={current ? 'page' : undefined}
      >{#if trigger}{@render trigger()}{:else}{label}<ChevronDown
          size={16}
          aria-hidden="true"
        />{/if}</Menu.Trigger
    >
  {/if}
  {#if shown}
    <Portal>
      <Menu.Positioner class="menu-positioner">
        <Menu.Content class="menu">
          {#each offers as o (o.id)}
            {#if o.apart}<Menu.Separator class="menu-rule" />{/if}
            <Menu.Item value={o.id} disabled={o.disabled} class="menu-item">
              {#snippet element(attributes)}
                {#if o.href}
                  <a
                    {...attributes as HTMLAnchorAttributes}
                    href={o.href}
                    aria-current={o.current ? 'page' : undefined}
                    >{o.name}{#if o.note}<small>{o.note}</small>{/if}</a
                  >
                {:else}
                  <div {...attributes}>
                    {o.name}{#if o.note}<small>{o.note}</small>{/if}
                  </div>
                {/if}
              {/snippet}
            </Menu.Item>
          {/each}
        </Menu.Content>
      </Menu.Positioner>
    </Portal>
  {/if}
</Menu>
