import type { components } from './schema';

type Schemas = components['schemas'];
export type PlanView = Schemas['PlanView'];
export type YearView = Schemas['YearView'];
export type FieldYear = Schemas['FieldYear'];
export type LotYear = Schemas['LotYear'];
export type Field = Schemas['Field'];
export type Stand = Schemas['Stand'];
export type AnimalGroup = Schemas['AnimalGroup'];
export type Lot = Schemas['Lot'];
export type FeedStep = Schemas['FeedStep'];
export type Closing = Schemas['Closing'];
export type HayCut = Schemas['HayCut'];
export type Purchase = Schemas['Purchase'];
export type Settings = Schemas['Settings'];
export type Edit = Schemas['Edit'];
export type Gap = Schemas['Gap'];
export type Lever = Schemas['LeverView'];
export type Catalogue = Schemas['CatalogueView'];
export type PlanRow = Schemas['Row'];

/** A refusal as the server gives it; amounts in SI, the unit at the end of `field`. */
export interface Problem {
  status: number;
  code: string;
  detail: string;
  field?: string;
  value?: unknown;
  min?: number | null;
  max?: number | null;
  since?: string[];
}

export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

function csrfToken(): string {
  const found = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='));
  return found ? decodeURIComponent(found.slice('XSRF-TOKEN='.length)) : '';
}

async function call<T>(path: string, body?: unknown): Promise<T> {
  let answer: Response;
  try {
    answer = await fetch(`/api${path}`, {
      method: body === undefined ? 'GET' : 'POST',
      headers:
        body === undefined
          ? {}
          : { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': csrfToken() },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    throw new Refusal({ status: 0, code: 'offline', detail: 'The server does not answer.' });
  }
  const json = await answer.json().catch(() => ({}));
  if (!answer.ok) {
    throw new Refusal({
      code: 'unknown',
      detail: answer.statusText,
      ...json,
      status: answer.status,
    });
  }
  return json as T;
}

export const api = {
  plans: () => call<PlanRow[]>('/plans'),
  plan: (id: string) => call<PlanView>(`/plans/${id}`),
  catalogue: () => call<Catalogue>('/catalogue'),
  edit: (id: string, revision: number, edits: Edit[]) =>
    call<PlanView>(`/plans/${id}/edits`, { revision, edits }),
  trial: (id: string, edits: Edit[]) => call<YearView>(`/plans/${id}/trial`, { edits }),
  levers: (id: string, gap: number, buyDate: string, patternLotId: string | null) =>
    call<Lever[]>(
      `/plans/${id}/levers?` +
        new URLSearchParams({
          gap: String(gap),
          buyDate,
          ...(patternLotId ? { patternLotId } : {}),
        }),
    ),
};
