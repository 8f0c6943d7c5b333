// Edits plans, each by a hand of its own, so many times a second in all, and says how it went:
//   node edits.mjs URL COOKIES A_SECOND SECONDS PLAN...     A_SECOND 0: as fast as they are answered
const [url, cookies, aSecond, seconds, ...plans] = process.argv.slice(2);
const token = /XSRF-TOKEN=([^;]*)/.exec(cookies)[1];
const headers = { Cookie: cookies, 'X-XSRF-TOKEN': token, 'Content-Type': 'application/json', 'Accept-Encoding': 'gzip' };
const took = [];
let refused = 0;
const until = Date.now() + seconds * 1000;
const each = Number(aSecond) ? (1000 * plans.length) / aSecond : 0;
async function hand(plan, first) {
  let { revision } = await (await fetch(`${url}/api/plans/${plan}`, { headers })).json();
  for (let next = Date.now() + first; Date.now() < until; next += each) {
    await new Promise((go) => setTimeout(go, Math.max(0, next - Date.now())));
    const began = performance.now();
    const edit = { revision, onTopOf: null, edits: [{ namePlan: `Plan ${revision}` }] };
    const answer = await fetch(`${url}/api/plans/${plan}/edits`, { method: 'POST', headers, body: JSON.stringify(edit) });
    await answer.arrayBuffer();
    took.push(performance.now() - began);
    if (answer.status === 200) revision++;
    else refused++;
  }
}
await Promise.all(plans.map((plan, i) => hand(plan, (each * i) / plans.length)));
took.sort((a, b) => a - b);
const at = (share) => took[Math.min(took.length - 1, Math.floor(share * took.length))].toFixed(0);
console.log(
  `edits: ${took.length} in ${seconds} s (${(took.length / seconds).toFixed(1)} a second), refused ${refused}, ` +
    `median ${at(0.5)} ms, 95% ${at(0.95)} ms`,
);
