<script lang="ts">
  import { thePlan } from '../plan/context';
  import { receivedText, wrongText } from './received';

  const open = thePlan();

  let {
    label,
    columns,
    send,
  }: {
    label: string;
    /** As the first row of the table names them. */
    columns: string;
    send: (text: string) => Promise<{ written: number }>;
  } = $props();

  let over = $state(false);
  let said = $state('');
  let wrong = $state.raw<string[]>([]);

  async function take(file: File | undefined) {
    if (!file) return;
    said = '';
    wrong = [];
    try {
      said = receivedText((await send(await file.text())).written);
      open.took(await open.api.plan(open.view!.id));
    } catch (e) {
      wrong = wrongText(e, (o) => open.explain(o), open.system);
    }
  }
</script>

<div class="drop">
  <label
    class="btn plain"
    class:over
    ondragover={(e) => {
      e.preventDefault();
      over = true;
    }}
    ondragleave={() => (over = false)}
    ondrop={(e) => {
      e.preventDefault();
      over = false;
      void take(e.dataTransfer?.files[0]);
    }}
    ><input
      class="visually-hidden"
      type="file"
      accept=".csv,text/csv"
      aria-label={label}
      onchange={(e) => {
        void take(e.currentTarget.files?.[0]);
        e.currentTarget.value = '';
      }}
    />Drop its table here, or choose it</label
  >
  <span class="quiet fine">{columns}</span>
  {#if said}<p role="status">{said}</p>{/if}
  {#if wrong.length}
    <ul class="wrong" role="alert">
      {#each wrong as w, i (i)}<li>{w}</li>{/each}
    </ul>
  {/if}
</div>

<style>
  .drop {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: center;
  }
  label {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
    border-style: dashed;
    cursor: pointer;
  }
  label:focus-within {
    outline: 3px solid var(--cobalt);
    outline-offset: 2px;
  }
  .over {
    background: var(--frost);
  }
  .wrong {
    flex-basis: 100%;
    color: var(--bare-dark);
    font-weight: 600;
  }
</style>
