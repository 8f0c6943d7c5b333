<script lang="ts">
  import { thePlan } from '../plan/context';
  import DateField from '../form/DateField.svelte';
  import TextField from '../form/TextField.svelte';

  /** A job that nobody but the keeper knows. */
  const open = thePlan();
  let what = $state('');
  let on = $state<string | null>(null);
  let by = $state<string | null>(null);
  let forWhom = $state('');
  let note = $state('');

  async function put() {
    const id = `own-${Date.now().toString(36)}`;
    if (await open.edit([{ putJob: { id, what, on: on!, by, forWhom, note } }])) {
      what = forWhom = note = '';
      on = by = null;
    }
  }
</script>

<details class="panel form" data-testid="own-job">
  <summary>Write down a job of your own</summary>
  <div class="input-grid">
    <TextField name="job.what" value={what} oninput={(v) => (what = v)} />
    <DateField label="On" name="job.on" value={on} onchange={(v) => (on = v)} />
    <DateField
      label="Last day"
      name="job.dates"
      value={by}
      onchange={(v) => (by = v)}
      hint="Only where it has several days."
    />
    <TextField name="job.forWhom" value={forWhom} oninput={(v) => (forWhom = v)} />
    <TextField name="job.note" value={note} oninput={(v) => (note = v)} />
  </div>
  <button class="btn preset-filled-primary-500" disabled={!what.trim() || !on} onclick={put}
    >Write it down</button
  >
</details>

<style>
  button {
    margin-top: 0.6rem;
  }
</style>
