// Mixed faults on an installation that scripts/faults.sh has started: editors and recorders whose every acknowledged
// change is written down here, floods and slow clients beside them, and at random moments a process is killed, the
// database is stopped as by a power cut, or its disk is full. At the end everything that was acknowledged must be
// there.   node faults.mjs MINUTES SEED     (the rest comes by the environment)
import { execFile, execFileSync, spawn } from 'node:child_process';
import { connect } from 'node:net';
import { existsSync, readFileSync, rmSync } from 'node:fs';

const { PROXY, APPS, DATA, PG, FILL, DISK, PSQL, EMAIL, PASSWORD } = process.env;
const [minutes, seed] = process.argv.slice(2).map(Number);
const apps = APPS.split(' ');
const until = Date.now() + minutes * 60_000;
const over = () => Date.now() > until;
const pause = (ms) => new Promise((go) => setTimeout(go, ms));
let state = seed;
const chance = () => ((state = (state * 1103515245 + 12345) % 2147483648), state / 2147483648);

const told = {}; // answers by status, of editors and recorders
const faults = {};
const guessed = {};
const count = (of, what) => (of[what] = (of[what] ?? 0) + 1);

/** Somebody who is signed in at the proxy. */
class Person {
  cookies = {};
  async ask(method, path, body) {
    const answer = await fetch(PROXY + path, {
      method,
      headers: {
        Cookie: Object.entries(this.cookies).map(([k, v]) => `${k}=${v}`).join('; '),
        'X-XSRF-TOKEN': this.cookies['XSRF-TOKEN'] ?? '',
        ...(body ? { 'Content-Type': 'application/json' } : {}),
      },
      body: body && JSON.stringify(body),
      signal: AbortSignal.timeout(60_000),
    });
    for (const c of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(c);
      this.cookies[name] = value;
    }
    const text = await answer.text();
    return { status: answer.status, json: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : null };
  }
  async signIn() {
    await this.ask('GET', '/api/session');
    const { status } = await this.ask('POST', '/api/session', { email: EMAIL, password: PASSWORD });
    if (status !== 200) throw new Error(`sign-in: ${status}`);
  }
}

const edits = []; // acknowledged: plan, revision, name
const records = []; // acknowledged: farm's plan, command

/** Names a plan anew, again and again; after a refusal or a break it looks how it stands. */
async function editor(plan) {
  const me = new Person();
  let revision = 0;
  for (let n = 0; !over(); n++) {
    try {
      if (!me.cookies.larder) await me.signIn();
      if (!revision) {
        const seen = await me.ask('GET', `/api/plans/${plan}`);
        if (seen.status !== 200) throw Object.assign(new Error(), { status: seen.status });
        revision = seen.json.revision;
      }
      const name = `${plan} ${n}`;
      const body = { revision, onTopOf: null, edits: [{ namePlan: name }] };
      const { status, json } = await me.ask('POST', `/api/plans/${plan}/edits`, body);
      count(told, status);
      if (status === 200) {
        edits.push({ plan, revision: json.revision, name });
        revision = json.revision;
      } else {
        revision = 0;
        if (status === 401) delete me.cookies.larder;
        await pause(200);
      }
    } catch (e) {
      count(told, e.status ?? (e.name === 'TimeoutError' ? 'gave up after 60 s' : 'connection broke'));
      revision = 0;
      await pause(300);
    }
    await pause(30);
  }
}

/** Writes down what was seen; a command that broke is sent again under its own name, as an outbox does. */
async function recorder(plan) {
  const me = new Person();
  for (let n = 0; !over(); n++) {
    const command = `seen-${plan}-${n}`;
    const body = { commandId: command, device: 'faults', records: [{ on: '2027-10-01', fact: seen(n) }] };
    for (let taken = false; !taken && !over(); ) {
      try {
        if (!me.cookies.larder) await me.signIn();
        const { status } = await me.ask('POST', `/api/plans/${plan}/records`, body);
        count(told, status);
        if (status === 200) records.push({ plan, command });
        if (status === 401) delete me.cookies.larder;
        taken = status === 200;
        if (!taken) await pause(200);
      } catch {
        count(told, 'connection broke');
        await pause(300);
      }
    }
    await pause(100);
  }
}
const seen = (n) => ({ kind: 'CONDITION_SEEN', groupId: 'ewes', score: 2 + (n % 5) / 4, weightKg: null });

/** A stranger who sends a body by the byte, and one who guesses. */
async function slow() {
  while (!over()) {
    const socket = connect(Number(new URL(PROXY).port), '127.0.0.1');
    socket.on('error', () => {});
    socket.write('POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n');
    for (let i = 0; i < 40 && !over() && !socket.destroyed; i++) {
      socket.write('x');
      await pause(500);
    }
    socket.destroy();
  }
}
async function flood() {
  const guesser = new Person();
  while (!over()) {
    await guesser.ask('GET', '/api/session').catch(() => {});
    const guesses = Array.from({ length: 20 }, () =>
      guesser
        .ask('POST', '/api/session', { email: EMAIL, password: `wrong ${chance()}` })
        .then(({ status }) => count(guessed, status), () => count(guessed, 'connection broke')),
    );
    await Promise.all(guesses);
    await pause(500);
  }
}

/** What happens at random moments. */
const run = (command) => new Promise((go) => execFile('bash', ['-c', command], (e, out) => go(out)));
const FAULTS = {
  'a process killed': () => run(`pkill -9 -P ${apps[Math.floor(chance() * apps.length)]} java`),
  'the database killed': () => run(`kill -9 $(head -1 ${DATA}/postmaster.pid); sleep 2; ${PG} start`),
  'the database restarted': () => run(`${PG} stop; sleep 3; ${PG} start`),
  'the disk full': async () => {
    if (!DISK) return;
    await run(`dd if=/dev/zero of=${FILL} bs=1M 2>/dev/null`);
    await pause(6000);
    rmSync(FILL, { force: true });
    await pause(1000);
    await run(`${PG} start`);
  },
};
async function misfortune() {
  while (!over()) {
    await pause(4000 + chance() * 14_000);
    if (over()) return;
    const names = Object.keys(FAULTS).filter((f) => DISK || f !== 'the disk full');
    const name = names[Math.floor(chance() * names.length)];
    count(faults, name);
    await FAULTS[name]();
  }
}

const plans = process.env.PLANS.split(' ');
await Promise.all([...plans.map(editor), ...plans.map(recorder), slow(), slow(), slow(), flood(), misfortune()]);

// everything that was acknowledged is there
if (existsSync(FILL)) rmSync(FILL);
await run(`${PG} start`);
const sql = (q) => execFileSync('bash', ['-c', `${PSQL} -c "$0"`, q], { maxBuffer: 1 << 28 }).toString().trim().split('\n');
const rows = new Set(sql("select p.slug || '|' || r.number || '|' || (r.edits -> 0 ->> 'namePlan') from plan_revision r join plan p on p.id = r.plan_id"));
const known = new Set(sql('select command from farm_record'));
const lostEdits = edits.filter((e) => !rows.has(`${e.plan}|${e.revision}|${e.name}`));
const lostRecords = records.filter((r) => !known.has(r.command));
const twice = sql("select count(*) from (select 1 from farm_record where command like 'seen-%' group by farm_id, command having count(*) > 1) as d")[0];
console.log(`faults: ${Object.entries(faults).map(([k, v]) => `${v} x ${k}`).join(', ')}`);
console.log(`answers: ${Object.entries(told).map(([k, v]) => `${k}: ${v}`).join(', ')}`);
console.log(`guesses: ${Object.entries(guessed).map(([k, v]) => `${k}: ${v}`).join(', ')}`);
console.log(`acknowledged: ${edits.length} edits, ${records.length} records; lost: ${lostEdits.length} edits, ${lostRecords.length} records; written twice: ${twice}`);
if (lostEdits.length || lostRecords.length) console.log(JSON.stringify([...lostEdits, ...lostRecords].slice(0, 10)));
process.exit(lostEdits.length + lostRecords.length + Number(twice) ? 1 : 0);
