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
  line.addEventListener('changed', (e) => told(JSON.parse(e.data) as Heard));
  return () => line.close();
}
