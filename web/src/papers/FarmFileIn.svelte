<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, type FilePreview } from '../api/client';
  import { signed } from '../people/signed.svelte';

  let text = $state('');
  let found = $state<FilePreview | null>(null);
  let wrong = $state('');

  async function read(input: HTMLInputElement) {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    found = null;
    text = await file.text();
    const done = await signed.attempt(async () => {
      found = await api.previewFarm(text);
    });
    wrong = done ? '' : `${file.name}: ${signed.error}`;
  }
  async function make() {
    const done = await signed.attempt(async () => {
      const { plan } = await api.makeFarmOf(text);
      await signed.refresh();
      found = null;
      await push(`/plan/${plan}`);
    });
    wrong = done ? '' : signed.error;
  }
</script>

<section class="panel form" aria-labelledby="file-title">
  <h2 id="file-title">Make a farm of a file</h2>
  <p class="quiet">A farm file of this product (JSON). You see what it holds first.</p>
  <input
    type="file"
    aria-label="Farm file"
    accept=".json,application/json"
    onchange={(e) => read(e.currentTarget)}
  />
  {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
  {#if found}
    <p data-testid="file-holds">
      {found.name}: {found.plans.length === 1 ? 'one plan' : `${found.plans.length} plans`}
    </p>
    <ul>
      {#each found.plans as plan, i (i)}
        <li>
          {plan.name}, year from {plan.start}: {plan.fields} fields, {plan.groups} groups, {plan.lots}
          lots
        </li>
      {/each}
    </ul>
    <button class="btn preset-filled-primary-500" onclick={make}>Make a farm of it</button>
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: 0.6rem;
    justify-items: start;
  }
  li {
    list-style: disc;
    margin-left: 1.2rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    overflow-wrap: anywhere;
  }
</style>
