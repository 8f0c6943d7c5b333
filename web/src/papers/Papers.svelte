<script lang="ts">
  import { untrack } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { type Api, type ChangePreview, type FilePreview, type ListKind } from '../api/client';
  import { asked } from '../plan/address';
  import { thePlan } from '../plan/context';
  import { signed } from '../people/signed.svelte';
  import { changeText } from '../words/changes';
  import { memberChange, memberName } from '../words/members';
  import Grid from './Grid.svelte';
  import { rowText } from '../words/refusals';

  const open = thePlan();

  const id = $derived(open.view!.id);
  const path = $derived(`/api/plans/${id}`);
  const units = $derived(open.system);

  interface Paper {
    name: string;
    text: string;
    list: ListKind | null;
    holds: FilePreview | null;
    preview: ChangePreview;
  }
  let paper = $state<Paper | null>(null);
  let wrong = $state('');
  let told = $state('');

  /** Which list a CSV file is, by a column that only that list has. */
  function listOf(text: string): ListKind {
    const head = text.slice(0, text.indexOf('\n') < 0 ? undefined : text.indexOf('\n'));
    if (/\bsampled_on\b/.test(head)) return 'TESTS';
    if (/\bhead\b|\bkind\b|first_birth/.test(head)) return 'GROUPS';
    if (/\bunits?\b|as_fed|\bstored\b/.test(head)) return 'LOTS';
    return 'FIELDS';
  }
  async function read(input: HTMLInputElement) {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    paper = null;
    told = '';
    const text = await file.text();
    const csv = /\.csv$/i.test(file.name);
    const done = await signed.attempt(async () => {
      const list = csv ? listOf(text) : null;
      const holds = list ? null : await open.api.previewFarm(text);
      const preview = list
        ? await open.api.previewList(id, list, text)
        : await open.api.previewReplace(id, text);
      paper = { name: file.name, text, list, holds, preview };
    });
    wrong = done ? '' : `${file.name}: ${signed.error} Nothing was changed.`;
  }
  const LISTS: { id: ListKind; name: string }[] = [
    { id: 'FIELDS', name: 'Fields' },
    { id: 'GROUPS', name: 'Groups' },
    { id: 'LOTS', name: 'Lots' },
    { id: 'TESTS', name: 'Tests of lots' },
  ];
  let table = $state<ListKind | ''>(
    untrack(() => LISTS.find((l) => l.id === asked('table'))?.id ?? ''),
  );
  /** Lists that were taken in: the table then shows the plan as it is now. */
  let taken = $state(0);
  /** Who came for the table sees it. */
  function comeTo(node: HTMLElement) {
    if (asked('table')) node.scrollIntoView({ block: 'start' });
  }
  /** What the table holds, looked at as a file is. */
  async function lookAt(text: string) {
    const list = table as ListKind;
    const done = await signed.attempt(async () => {
      paper = {
        name: `${LISTS.find((l) => l.id === list)!.name}, as in the table`,
        text,
        list,
        holds: null,
        preview: await open.api.previewList(id, list, text),
      };
      told = '';
    });
    wrong = done ? '' : `${signed.error} Nothing was changed.`;
    if (done) document.getElementById('in-title')?.scrollIntoView({ block: 'nearest' });
  }
  async function take(what: (p: Paper) => Promise<string>) {
    const done = await signed.attempt(async () => {
      told = await what($state.snapshot(paper) as Paper);
      paper = null;
      await signed.refresh();
    });
    wrong = done ? '' : signed.error;
  }
  async function stepped(answer: Promise<unknown>): Promise<string> {
    if (!(await open.step(answer as ReturnType<Api['replace']>))) throw new Error(open.error);
    return 'Taken as one change; Undo takes it back.';
  }
  const takeList = () =>
    take(async (p) => {
      const done = await stepped(open.api.takeList(id, p.list!, open.view!.revision, p.text));
      taken++;
      return done;
    });
  const replace = () => take((p) => stepped(open.api.replace(id, open.view!.revision, p.text)));
  const add = () =>
    take(async (p) => {
      const { plans } = await open.api.addPlans(open.view!.farmId, p.text);
      return plans.length === 1 ? 'One plan was added.' : `${plans.length} plans were added.`;
    });
  const makeFarm = () =>
    take(async (p) => {
      const { plan } = await open.api.makeFarmOf(p.text);
      await signed.refresh();
      await push(`/plan/${plan}`);
      return '';
    });
</script>

<div class="page">
  <section class="panel form" aria-labelledby="out-title">
    <h1 id="out-title">Papers out</h1>
    <dl>
      <dt>
        <a href={`/api/farms/${open.view!.farmId}/file`} download>The whole farm</a>
      </dt>
      <dd class="quiet">All its plans in one file (JSON), to keep or to take in elsewhere</dd>
      <dt>
        <a href={open.api.inSeason(`${path}/ledger?format=XLSX&units=${units}`)} download
          >Ledger, spreadsheet</a
        >
      </dt>
      <dd class="quiet">
        Month by month, in {units === 'METRIC' ? 'kg' : 'lb'} of dry matter, in the season looked at
      </dd>
      <dt>
        <a href={open.api.inSeason(`${path}/ledger?format=CSV&units=${units}`)} download
          >Ledger, CSV</a
        >
      </dt>
      <dd class="quiet">The same figures as plain text</dd>
      <dt><a href={`${path}/lists/FIELDS`} download>Fields, CSV</a></dt>
      <dd class="quiet">Change them in a spreadsheet and take them in again</dd>
      <dt><a href={`${path}/lists/GROUPS`} download>Groups, CSV</a></dt>
      <dd class="quiet">Without their orders of feeds</dd>
      <dt><a href={`${path}/lists/LOTS`} download>Lots, CSV</a></dt>
      <dd class="quiet">What is put by</dd>
      <dt><a href={`${path}/lists/TESTS`} download>Tests of lots, CSV</a></dt>
      <dd class="quiet">Reports of the laboratory, one a row</dd>
    </dl>
  </section>
  <section class="panel form" aria-labelledby="in-title">
    <h1 id="in-title">Papers in</h1>
    <p class="quiet">
      A farm file (JSON), or fields, groups, lots or tests as CSV. You see what would change before
      anything does.
    </p>
    <input
      type="file"
      aria-label="File to take in"
      accept=".json,.csv,application/json,text/csv"
      onchange={(e) => read(e.currentTarget)}
    />
    {#if told}<p role="status" class="told">{told}</p>{/if}
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    {#if paper}
      <div data-testid="preview">
        <h2>
          {paper.name}{paper.holds
            ? `: ${paper.holds.name}, ${paper.holds.plans.length === 1 ? 'one plan' : `${paper.holds.plans.length} plans`}`
            : ''}
        </h2>
        {#if paper.preview.problems.length}
          <p class="wrong">These rows cannot be taken, so nothing is:</p>
          <table class="ledger">
            <thead>
              <tr>
                <th scope="col" class="number">Row</th><th scope="col">Column</th>
                <th scope="col">What is wrong</th>
              </tr>
            </thead>
            <tbody>
              {#each paper.preview.problems as p, i (i)}
                <tr>
                  <td class="number">{p.row}</td><td>{p.column}</td><td
                    >{rowText(p, open.system)}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        {/if}
        <p>
          {#if paper.preview.changes.length === 0}It changes nothing in {open.view!.plan.name}.
          {:else}In {open.view!.plan.name} it would change:{/if}
        </p>
        <ul>
          {#each paper.preview.changes as change, i (i)}
            <li>
              {changeText(change)}
              {#each change.kind === 'CHANGED' ? change.members : [] as m (m.member)}
                <span class="quiet member"
                  >{memberName(m.member, units)}: {memberChange(
                    m.member,
                    m.before,
                    m.after,
                    units,
                  )}</span
                >
              {/each}
            </li>
          {/each}
        </ul>
        <div class="acts">
          {#if paper.list}
            <button
              class="btn preset-filled-primary-500"
              disabled={!open.mayPlan ||
                paper.preview.problems.length > 0 ||
                paper.preview.changes.length === 0}
              onclick={takeList}>Take it in</button
            >
          {:else}
            <button
              class="btn preset-filled-primary-500"
              disabled={!open.mayPlan || paper.preview.changes.length === 0}
              onclick={replace}>Replace this plan by its first</button
            >
            <button class="btn plain" disabled={!open.mayPlan} onclick={add}
              >Add its plans beside this one</button
            >
            {#if !signed.who?.visitor}
              <button class="btn plain" onclick={makeFarm}>Make a new farm of it</button>
            {/if}
          {/if}
          <button class="btn plain" onclick={() => (paper = null)}>Leave it</button>
        </div>
      </div>
    {/if}
  </section>
  <section class="panel form wide" aria-labelledby="table-title" {@attach comeTo}>
    <h1 id="table-title">A list as a table</h1>
    <label class="pick"
      >Show
      <select class="select" bind:value={table}>
        <option value="">choose a list</option>
        {#each LISTS as l (l.id)}<option value={l.id}>{l.name}</option>{/each}
      </select></label
    >
    {#key taken}
      {#if table}<Grid list={table} onlook={lookAt} />{/if}
    {/key}
  </section>
</div>

<style>
  .wide {
    grid-column: 1 / -1;
    min-width: 0;
  }
  .pick {
    display: flex;
    gap: 0.5rem;
    align-items: center;
  }
  .pick .select {
    width: auto;
  }
  .page {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
    gap: 1rem;
    padding: 1rem 20px 2rem;
    align-items: start;
  }
  h1 {
    font-size: 1.3rem;
    margin-bottom: 0.5rem;
  }
  dt a {
    font-weight: 600;
    color: var(--cobalt);
    display: inline-block;
    padding-top: 0.55rem;
  }
  li {
    border-top: 1px solid var(--line);
    padding: 0.3rem 0;
  }
  .member {
    display: block;
    font-size: 13px;
    overflow-wrap: anywhere;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    margin-top: 0.75rem;
  }
  .wrong {
    color: var(--bare-dark);
    font-weight: 600;
    overflow-wrap: anywhere;
  }
  .told {
    font-weight: 600;
    color: var(--growing-dark);
  }
</style>
