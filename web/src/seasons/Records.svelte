<script lang="ts">
  import { type WeatherRead } from '../api/client';
  import { lastDay, longDate } from '../units/dates';
  import { thePlan } from '../plan/context';
  import { rowText } from '../words/refusals';
  import { plural } from '../words/year';

  const open = thePlan();

  let name = $state('');
  let text = $state('');
  let read = $state<WeatherRead | null>(null);
  let wrong = $state('');

  const year = (iso: string) => `${longDate(iso)} ${iso.slice(0, 4)}`;

  async function choose(input: HTMLInputElement) {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    read = null;
    wrong = '';
    name = file.name.replace(/\.csv$/i, '').slice(0, 60);
    text = await file.text();
    try {
      read = await open.api.previewWeather(open.view!.id, name, text);
    } catch (e) {
      wrong = `${file.name}: ${open.explain(e)} Nothing was kept.`;
    }
  }
  async function keep() {
    try {
      await open.api.addWeather(open.view!.id, name, text);
      read = null;
      await open.needRecords();
    } catch (e) {
      wrong = open.explain(e);
    }
  }
  async function remove(id: string) {
    await open.api.removeWeather(open.view!.id, id);
    await open.needRecords();
    await open.look('normal');
  }
  function filled(f: WeatherRead['record']['years'][number]['filled']): string {
    const parts = [
      f.bridgedDays > 0 && `${f.bridgedDays} days bridged between neighbours`,
      f.normalTemperatureDays > 0 && `${f.normalTemperatureDays} days of normal temperature`,
      f.normalRainDays > 0 && `${f.normalRainDays} days of normal rain`,
      f.reckonedEt0Days > 0 &&
        `evapotranspiration reckoned from temperature on ${f.reckonedEt0Days}`,
    ].filter((p) => p);
    return parts.length > 0 ? parts.join(', ') : 'nothing had to be filled';
  }
</script>

<section class="panel form" aria-labelledby="records">
  <h2 id="records">Recorded weather</h2>
  <p class="quiet">
    A CSV file with the columns date, tmin_c, tmax_c, rain_mm, and solar_mj_m2 and et0_mm where you
    have them (or tmin_f, tmax_f, rain_in). Each year of it can then be laid on the plan.
  </p>
  {#each open.records as r (r.id)}
    <div class="record">
      <p class="row">
        <span><strong>{r.name}</strong>, {year(r.start)} to {year(lastDay(r.endExclusive))}</span>
        {#if open.mayPlan}
          <button class="btn plain" onclick={() => remove(r.id)}
            >Remove<span class="visually-hidden"> {r.name}</span></button
          >
        {/if}
      </p>
      {#each r.years as y (y.first)}
        <p class="row">
          <span class="quiet">Year from {year(y.first)}: {filled(y.filled)}</span>
          <button class="btn plain" onclick={() => open.look(`recorded:${r.id}:${y.first}`)}
            >Look at it</button
          >
        </p>
      {/each}
    </div>
  {/each}
  {#if open.mayPlan}
    <label class="field file">
      <span>Weather file</span>
      <input
        class="input"
        type="file"
        accept=".csv,text/csv"
        onchange={(e) => choose(e.currentTarget)}
      />
    </label>
    {#if wrong}<p class="wrong" role="alert">{wrong}</p>{/if}
    {#if read}
      <div role="status">
        <p>
          {read.rows}
          {plural('day', read.rows)} read, from {year(read.record.start)} to {year(
            lastDay(read.record.endExclusive),
          )}. {read.badRows === 0
            ? 'No row was left out.'
            : `${read.badRows} ${plural('row', read.badRows)} left out:`}
        </p>
        {#if read.badRows > 0}
          <ul class="bad">
            {#each read.bad as b (b.row)}
              <li>Row {b.row}{b.column ? `, ${b.column}` : ''}: {rowText(b, open.system)}</li>
            {/each}
          </ul>
        {/if}
        {#if read.record.years.length === 0}
          <p>No stretch of it covers half of the plan's days, so no year of it can be looked at.</p>
        {/if}
        <button class="btn preset-filled-primary-500" onclick={keep}>Keep this record</button>
      </div>
    {/if}
  {/if}
</section>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: center;
    margin-top: 0.3rem;
  }
  .row span:first-child {
    flex: 1 1 16rem;
  }
  .record {
    border-bottom: 1px solid var(--line);
    padding-bottom: 0.4rem;
  }
  .file {
    margin-top: 0.6rem;
  }
  .bad {
    max-height: 12rem;
    overflow: auto;
    font-size: 13px;
  }
  .wrong {
    color: var(--bare-dark);
    margin-top: 0.4rem;
  }
</style>
