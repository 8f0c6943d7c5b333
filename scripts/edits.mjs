// Edits a plan so many times a second and says how it went: node edits.mjs URL PLAN A_SECOND SECONDS [COOKIES]
const [url, plan, aSecond, seconds, cookies] = process.argv.slice(2);
const token = /XSRF-TOKEN=([^;]*)/.exec(cookies)[1];
const headers = { Cookie: cookies, 'X-XSRF-TOKEN': token, 'Content-Type': 'application/json', 'Accept-Encoding': 'gzip' };
let { revision } = await (await fetch(`${url}/api/plans/${plan}`, { headers })).json();
const took = [];
let refused = 0;
const until = Date.now() + seconds * 1000;
for (let next = Date.now(); Date.now() < until; next += 1000 / aSecond) {
  await new Promise((go) => setTimeout(go, Math.max(0, next - Date.now())));
  const began = performance.now();
  const edit = { revision, onTopOf: null, edits: [{ namePlan: `Plan ${revision}` }] };
  const answer = await fetch(`${url}/api/plans/${plan}/edits`, { method: 'POST', headers, body: JSON.stringify(edit) });
  await answer.arrayBuffer();
  took.push(performance.now() - began);
  if (answer.status === 200) revision++;
  else refused++;
}
took.sort((a, b) => a - b);
const at = (share) => took[Math.min(took.length - 1, Math.floor(share * took.length))].toFixed(0);
console.log(`edits: ${took.length} in ${seconds} s, refused ${refused}, median ${at(0.5)} ms, p95 ${at(0.95)} ms`);
