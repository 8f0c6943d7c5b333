<script lang="ts">
  import { onMount } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { type Circle, type Role } from '../api/client';
  import Choice from '../form/Choice.svelte';
  import TextField from '../form/TextField.svelte';
  import { thePlan } from '../plan/context';
  import { signed } from './signed.svelte';
  import { ROLES } from '../words/roles';
  import Password from './Password.svelte';
  import Sessions from './Sessions.svelte';

  const open = thePlan();

  const farm = $derived(open.view!.farmId);
  const owner = $derived(open.view!.role === 'OWNER');
  const roles = (['OWNER', 'PLANNER', 'HELPER', 'READER'] as const).map((id) => ({
    id,
    name: ROLES[id].one.replace(/^an? /, ''),
  }));
  let circle = $state<Circle | null>(null);
  let name = $state('');
  let role = $state<Role>('PLANNER');
  let link = $state('');
  let sure = $state(0);

  onMount(() => void load());

  async function load() {
    await attempt(async () => {
      circle = await open.api.people(farm);
    });
  }
  async function attempt(what: () => Promise<void>) {
    if (!(await signed.attempt(what))) open.error = signed.error;
  }
  const invite = () =>
    attempt(async () => {
      const { token } = await open.api.invite(farm, name, role);
      link = `${location.origin}/#/invited/${token}`;
      name = '';
      await load();
    });
  const setRole = (id: number, to: Role) =>
    attempt(async () => {
      await open.api.setRole(farm, id, to);
      await signed.refresh();
      await open.open(open.view!.id);
      await load();
    }).then(load);
  const withdraw = (id: number) =>
    attempt(async () => {
      await open.api.withdraw(farm, id);
      link = '';
      await load();
    });
  const remove = (id: number) =>
    attempt(async () => {
      await open.api.removeMember(farm, id);
      sure = 0;
      if (id === signed.who?.id) {
        await push('/');
        await signed.refresh();
      } else await load();
    });
</script>

<div class="page">
  <section aria-labelledby="people-title">
    <h1 id="people-title">People</h1>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="panel wrap" tabindex="0" role="region" aria-label="People, table">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Signs in as</th>
            <th scope="col">Role</th>
            <th scope="col"><span class="visually-hidden">What to do</span></th>
          </tr>
        </thead>
        <tbody data-testid="people">
          {#each circle?.people ?? [] as p (p.id)}
            <tr>
              <td>{p.name}{p.id === signed.who?.id ? ' (you)' : ''}</td>
              <td>{p.email}</td>
              <td>
                {#if owner}
                  <select
                    class="select"
                    aria-label={`Role of ${p.name}`}
                    value={p.role}
                    onchange={(e) => setRole(p.id, e.currentTarget.value as Role)}
                  >
                    {#each roles as r (r.id)}<option value={r.id}>{r.name}</option>{/each}
                  </select>
                {:else}{ROLES[p.role].one.replace(/^an? /, '')}{/if}
              </td>
              <td>
                {#if !open.view!.demo && (owner || p.id === signed.who?.id)}
                  {#if sure === p.id}
                    <button class="btn plain remove" onclick={() => remove(p.id)}
                      >{p.id === signed.who?.id ? 'Leave this farm' : `Remove ${p.name}`}</button
                    >
                    <button class="btn plain" onclick={() => (sure = 0)}>Stay</button>
                  {:else}
                    <button class="btn plain" onclick={() => (sure = p.id)}
                      >{p.id === signed.who?.id ? 'Leave' : 'Remove'}<span class="visually-hidden"
                        >: {p.name}</span
                      ></button
                    >
                  {/if}
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <dl class="roles">
      {#each roles as r (r.id)}
        <dt>{r.name}</dt>
        <dd class="quiet">{ROLES[r.id].may}</dd>
      {/each}
    </dl>
  </section>
  <div>
    {#if owner}
      <section class="panel form" aria-labelledby="invite-title">
        <h2 id="invite-title">Invite somebody</h2>
        <form
          onsubmit={(e) => {
            e.preventDefault();
            void invite();
          }}
        >
          <TextField label="Who" value={name} oninput={(v) => (name = v)} />
          <Choice
            label="As"
            value={role}
            options={roles}
            hint={ROLES[role].may}
            onchange={(v) => (role = v as Role)}
          />
          <button class="btn preset-filled-primary-500" disabled={name.trim() === ''}
            >Make a link</button
          >
        </form>
        {#if link}
          <p>
            Hand this link over yourself; it is shown once, works once and ends after two weeks:
          </p>
          <input
            class="input figure"
            readonly
            aria-label="Invitation link"
            value={link}
            onfocus={(e) => e.currentTarget.select()}
          />
        {/if}
        {#if circle?.invitations.length}
          <h3>Open invitations</h3>
          <ul>
            {#each circle.invitations as i (i.id)}
              <li>
                {i.name}, {ROLES[i.role].one}, until {new Date(i.expiresAt).toLocaleDateString()}
                <button class="btn plain" onclick={() => withdraw(i.id)}
                  >Withdraw<span class="visually-hidden"> the invitation of {i.name}</span></button
                >
              </li>
            {/each}
          </ul>
        {/if}
      </section>
    {/if}
    {#if signed.who && !signed.who.visitor}<Password /><Sessions />{/if}
  </div>
</div>

<style>
  .page {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
    gap: 1.5rem;
    padding: 1rem 20px 2rem;
    align-items: start;
  }
  .wrap {
    position: relative;
    overflow-x: auto;
    margin: 0.5rem 0;
  }
  table {
    width: 100%;
  }
  td .select {
    min-width: 7rem;
  }
  .roles {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0.2rem 1rem;
    font-size: 14px;
  }
  dt {
    font-weight: 600;
  }
  form {
    display: grid;
    gap: 0.6rem;
    justify-items: start;
    margin-bottom: 0.75rem;
  }
  form :global(.field) {
    width: 100%;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
    min-height: 44px;
  }
  .remove {
    color: var(--bare-dark);
  }
</style>
