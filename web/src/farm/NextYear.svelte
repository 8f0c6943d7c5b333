<script lang="ts">
  import { push } from 'svelte-spa-router';
  import type { FirstDay as First } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import TextField from '../form/TextField.svelte';
  import { signed } from '../people/signed.svelte';
  import { thePlan } from '../plan/context';
  import FirstDay from './FirstDay.svelte';
  import Growing from './Growing.svelte';

  const open = thePlan();

  let name = $state('');
  let kind = $state<'next' | 'again' | 'same'>('next');
  let same = $state<string[]>([]);
  let first = $state<First | null>(null);

  const WAYS = [
    { id: 'next', name: 'The next year, from what this plan leaves' },
    { id: 'again', name: 'The next year, begun as this plan began' },
    { id: 'same', name: 'The same year once more' },
  ];
  /** A plan of two years is followed by one that begins when it ends. */
  const yearsOn = $derived(Math.max(1, Math.floor(open.view!.plan.year.months / 12)));

  $effect(() => {
    const asked = [open.view!.id, yearsOn, same] as const;
    void open.view!.revision;
    if (kind !== 'next') return;
    let latest = true;
    open.api
      .next(...asked)
      .then((f) => latest && (first = f))
      .catch((e) => latest && (open.error = open.explain(e)));
    return () => {
      latest = false;
    };
  });

  async function make() {
    const done = await signed.attempt(async () => {
      const { id } = await open.api.copy(open.view!.id, name, {
        yearsOn: kind === 'same' ? 0 : yearsOn,
        carried: kind === 'next',
        sameAnimals: same,
      });
      await signed.refresh();
      name = '';
      await push(`/plan/${id}`);
    });
    if (!done) open.error = signed.error;
  }
</script>

<form
  onsubmit={(e) => {
    e.preventDefault();
    void make();
  }}
>
  <TextField label="Name of the new plan" value={name} oninput={(v) => (name = v)} />
  <Choice
    label="It is of"
    value={kind}
    options={WAYS}
    onchange={(v) => (kind = v as typeof kind)}
  />
  <button class="btn preset-filled-primary-500" disabled={name.trim() === ''}>Make the plan</button>
</form>
{#if kind === 'next'}
  <p class="quiet">
    All that is planned goes on by a year, and what goes by a frost, a green-up or a birth stands by
    that year’s. It begins from what stands, lies in store and is alive when this plan ends, in a
    normal year and by what was written down; change any of it under Land, Herd and Store.
  </p>
  {#if first}
    <Growing growing={first.growing} {same} onchange={(s) => (same = s)} />
    <FirstDay {first} />
  {/if}
{:else if kind === 'again'}
  <p class="quiet">
    All that is planned goes on by a year. What stands and what lies in store on its first day is
    what this plan began with.
  </p>
{:else}
  <p class="quiet">Alike in all: a trial year that harms nothing.</p>
{/if}

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: end;
    margin-top: 0.75rem;
  }
</style>
