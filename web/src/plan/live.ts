/** What the server tells of a plan: its new revision, or neither where records were written. */
export interface Heard {
  plan: string | null;
  revision: number | null;
}

/** Hears of each change of a plan or of its farm's records, until what it returns is called. */
export function hear(plan: string, told: (what: Heard) => void): () => void {
  // there is none where the product runs without a browser
  if (typeof EventSource === 'undefined') return () => {};
  const line = new EventSource(`/api/plans/${encodeURIComponent(plan)}/live`);
  // how it stands is told first: something may have been stored since the plan was read
  for (const name of ['stands', 'changed'])
    line.addEventListener(name, (e) => told(JSON.parse((e as MessageEvent<string>).data) as Heard));
  return () => line.close();
}
