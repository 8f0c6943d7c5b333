import type { components } from './schema';
import { withDays, type Read } from './series';

type Schemas = components['schemas'];
export type PlanView = Read<Schemas['PlanView']>;
/** What of a year only some screens show. */
export type Part = 'FIELDS' | 'GROUPS' | 'NEEDS';
export type YearView = Read<Schemas['YearView']>;
export type FieldYear = Read<Schemas['FieldYear']>;
export type LotYear = Read<Schemas['LotYear']>;
export type GroupCurve = Read<Schemas['GroupCurve']>;
export type FieldWater = Schemas['FieldWater'];
export type HeadChange = Schemas['HeadChange'];
export type Keeping = Schemas['Keeping'];
export type Origin = Schemas['Origin'];
export type UnitSize = Schemas['UnitSize'];
export type FeedTest = Schemas['FeedTest'];
export type Fact = Schemas['Fact'];
export type Seen = Schemas['NewRecord'];
export type RecordLine = Schemas['RecordLine'];
export type WriteRequest = Schemas['WriteRequest'];
export type HaySheet = Schemas['HaySheet'];
export type Supplement = Schemas['Supplement'];
export type SellingOrder = Schemas['SellingOrder'];
export type Anchor = Schemas['Anchor'];
export type Conflict = Schemas['Conflict'];
export type ShelvesAsked = Schemas['Shelves'];
export type ShelvesView = Read<Schemas['ShelvesView']>;
export type MarkDates = Schemas['MarkView'];
export type OpenSession = Schemas['OpenSession'];
export type Outlook = Read<Schemas['OutlookView']>;
export type LandInUse = Outlook['land'];
export type Greening = Outlook['greening'][number];
export type Weaning = Schemas['WeaningView'];
export type Sample = Schemas['Sent'];
export type QuickRequest = Schemas['QuickRequest'];
export type QuickView = Schemas['QuickView'];
export type Field = Schemas['Field'];
export type Stand = Schemas['Stand'];
export type AnimalGroup = Schemas['AnimalGroup'];
export type Lot = Schemas['Lot'];
export type FeedStep = Schemas['FeedStep'];
export type Closing = Schemas['Closing'];
export type HayCut = Schemas['HayCut'];
export type Purchase = Schemas['Purchase'];
export type Sowing = Schemas['Sowing'];
export type YearsAhead = Schemas['YearsAhead'];
export type AheadStretch = Schemas['AheadStretch'];
export type Dressing = Schemas['Dressing'];
export type Irrigation = Schemas['Irrigation'];
export type Scenario = Schemas['Scenario'];
export type Overlay = Schemas['Overlay'];
export type SowingOutcome = Read<Schemas['SowingOutcome']>;
export type WeatherRecord = Schemas['RecordView'];
export type WeatherRead = Schemas['WeatherRead'];
export type Lie = Schemas['Lie'];
export type Outline = Schemas['Outline'];
export type Point = Schemas['Point'];
export type Off = Schemas['Off'];
export type Measured = Schemas['MeasuredView'];
export type MapPreview = Schemas['MapPreview'];
export type LetGrow = Schemas['LetGrowView'];
export type Fitting = Schemas['FittingView'];
export type Instrument = Schemas['InstrumentView'];
export type Leavings = Schemas['Leavings'];
export type Readings = Schemas['Readings'];
export type Walk = Schemas['Round'];
/** All that a walk is reckoned from, for where there is no signal. */
export type Pack = Schemas['Pack'];
export type FarmRecord = Schemas['FarmRecord'];
export type FieldToWalk = Schemas['FieldToWalk'];
export type WalkAnswer = Schemas['Answer'];
export type FeedAhead = Schemas['FeedAhead'];
export type SwardSign = Schemas['SignView'];
export type YoungRule = Schemas['YoungView'];
export type ReadingLine = Schemas['ReadingLine'];
export type CoverSeen = Extract<Fact, { kind: 'COVER_SEEN' }>;
export type StemsSeen = Extract<Fact, { kind: 'STEMS_SEEN' }>;
export type Noticed = Extract<Fact, { kind: 'NOTICED' }>;
export type StemAnswer = Schemas['StemAnswer'];
export type GroupKind = Schemas['KindView'];
export type Grain = Schemas['Grain'];
export type GrainStage = Schemas['StageView'];
export type HerdPlace = Schemas['HerdPlace'];
export type HeldByHand = Schemas['Held'];
export type StakeLine = Schemas['StakeLine'];
export type PlateLine = Schemas['Line'];
export type Clipped = Schemas['Clipped'];
export type Cover = Schemas['CoverMeasure'];
export type LightPass = Schemas['LightPass'];
export type OwnForage = Schemas['OwnForage'];
export type Figures = Schemas['Figures'];
export type CompareRequest = Schemas['CompareRequest'];
export type StandReturn = Schemas['ReturnView'];
export type EditRequest = Schemas['EditRequest'];
/** Another plan that is changed in the same step. */
export type Also = NonNullable<EditRequest['alsoIn']>[number];
export type Settings = Schemas['SetFarm'];
export type Edit = Schemas['PlanEdit'];
export type Told = Schemas['Told'];
export type Gap = Schemas['Gap'];
export type Lever = Read<Schemas['LeverView']>;
export type InFull = Read<Schemas['InFullView']>;
export type Crop = Read<Schemas['CropView']>;
export type CropSownOn = Read<Schemas['CropSownOn']>;
export type Mix = Read<Schemas['MixView']>;
export type HayOffer = Read<Schemas['OfferView']>;
export type Advice = Read<Schemas['AdviceView']>;
export type Thousand = Read<Schemas['ThousandView']>;
export type DateThatTells = Read<Schemas['DateView']>;
export type Decides = Schemas['Decides'];
export type PickedYear = Read<Schemas['PickedYear']>;
export type GaugeYear = Schemas['GaugeYears'];
export type Rung = Schemas['Rung'];
export type BaleField = Schemas['BaleField'];
export type Plan = Schemas['Plan'];
export type BreakField = Schemas['BreakField'];
export type BreakWinter = Schemas['BreakWinter'];
export type DietWeek = Schemas['DietWeek'];
export type Break = Schemas['Break'];
export type BaleWinter = Schemas['BaleWinter'];
export type BaleSite = Schemas['BaleSite'];
export type BaleSection = Schemas['BaleSection'];
export type GrownTogether = Schemas['GrownTogether'];
export type FirstDay = Schemas['FirstDay'];
export type PlanCopy = Schemas['Copy'];
export type OwnJob = Schemas['OwnJob'];
export type Job = Schemas['JobView'];
export type JobMoved = Schemas['JobMoved'];
export type CalendarPreview = Schemas['CalendarPreview'];
export type Letters = Schemas['Letters'];
export type ThousandResult = NonNullable<Thousand['result']>;
export type Fan = Read<Schemas['FanView']>;
export type Hold = Read<Schemas['HoldView']>;
export type PolicyEffect = Read<Schemas['PolicyView']>;
export type Sureness = Read<Schemas['SurenessView']>;
export type Price = Read<Schemas['PriceView']>;
export type Catalogue = Schemas['CatalogueView'];
export type PlanRow = Schemas['Row'];
export type Session = Schemas['Session'];
export type FarmRow = Schemas['Known'];
export type FoundFarms = Schemas['Found'];
export type FarmMorning = Schemas['FarmMorning'];
export type Verdict = NonNullable<FarmMorning['verdict']>;
export type MorningPage = Schemas['MorningPage'];
export type MorningProgress = Schemas['Progress'];
export type Role = Schemas['Known']['role'];
export type Revision = Schemas['Revision'];
export type Circle = Schemas['Circle'];
export type Offer = Schemas['Offer'];
export type NewFarm = Schemas['NewFarm'];
export type FilePreview = Schemas['FilePreview'];
export type ChangePreview = Schemas['ChangePreview'];
export type Change = Schemas['Change'];
export type Doubt = Schemas['Doubt'];
export type ListKind = 'FIELDS' | 'GROUPS' | 'LOTS' | 'TESTS';

/** What both of two people changed. */
export interface Clash {
  name: string;
  member: string;
  mine: unknown;
  theirs: unknown;
}

/** What stands against a change in another plan of the farm. */
export interface Against {
  plan: string;
  name: string;
  revision: number;
  clashes: Clash[];
  refused: Problem | null;
}

/** The values that come with each code of the server. */
type Refusals = Schemas['Refusals'];
/** Why something is refused; the last two are the client's own. */
export type RefusalCode = keyof Refusals | 'offline' | 'unknown';
export type RefusalValues = {
  [C in RefusalCode]: C extends keyof Refusals ? NonNullable<Refusals[C]> : object;
};
export type RowProblem = Schemas['RowProblem'];

/** A refusal as the server gives it; amounts in SI, the unit at the end of their names. */
export interface Problem {
  status?: number;
  code: string;
  field?: string;
  values?: object;
  /** Where in a file or request. */
  place?: string;
  revision?: number;
  since?: Revision[];
  clashes?: Clash[];
  against?: Against[];
  problems?: RowProblem[];
}

export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** True where the server was not reached. */
export function isOffline(e: unknown): boolean {
  return e instanceof Refusal && e.problem.code === 'offline';
}

function csrfToken(): string {
  const found = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='));
  return found ? decodeURIComponent(found.slice('XSRF-TOKEN='.length)) : '';
}

/** Told when the server no longer knows who asks. */
export const signedOut = { tell: () => {} };

/** Told whether the server was reached. */
export const connection = { lost: () => {}, there: () => {} };

/** Characters of a request that a browser sends on after its page is gone: it takes 64 KiB in all. */
const MOST_THAT_OUTLIVES = 20_000;

/** What the server answers where it does not refuse. */
async function ask(
  method: string,
  path: string,
  type?: string,
  body?: string | Blob,
  { under = '/api', outlives = false } = {},
): Promise<Response> {
  let answer: Response;
  try {
    answer = await fetch(`${under}${path}`, {
      method,
      headers: {
        ...(method === 'GET' ? {} : { 'X-XSRF-TOKEN': csrfToken() }),
        ...(type ? { 'Content-Type': type } : {}),
      },
      body,
      // sent on by the browser also where the page is left meanwhile
      keepalive: outlives && typeof body === 'string' && body.length < MOST_THAT_OUTLIVES,
    });
  } catch {
    connection.lost();
    throw new Refusal({ status: 0, code: 'offline' });
  }
  connection.there();
  if (!answer.ok) {
    const json = await answer.json().catch(() => ({}));
    if (json.code === 'sign_in') signedOut.tell();
    throw new Refusal({
      code: 'unknown',
      ...json,
      status: answer.status,
    });
  }
  return answer;
}

async function send<T>(
  method: string,
  path: string,
  type?: string,
  body?: string | Blob,
  how: { outlives?: boolean } = {},
): Promise<T> {
  const answer = await ask(method, path, type, body, how);
  return withDays(answer.status === 204 ? {} : await answer.json().catch(() => ({}))) as T;
}

const get = <T>(path: string) => send<T>('GET', path);
const post = <T>(path: string, body: unknown = {}) =>
  send<T>('POST', path, 'application/json', JSON.stringify(body));
/** Stores what somebody has said to store: closing the page right after does not lose it. */
const store = <T>(path: string, body: unknown) =>
  send<T>('POST', path, 'application/json', JSON.stringify(body), { outlives: true });
const put = <T>(path: string, body: unknown) =>
  send<T>('PUT', path, 'application/json', JSON.stringify(body));
const remove = <T>(path: string) => send<T>('DELETE', path);
const file = <T>(path: string, text: string) => send<T>('POST', path, 'application/json', text);
const csv = <T>(path: string, text: string) => send<T>('POST', path, 'text/csv', text);
/** Sends as an instrument does: under its address, with nothing else that says who it is. */
export async function sendAsInstrument(path: string, text: string): Promise<{ written: number }> {
  const answer = await ask('POST', path, 'text/csv', text, { under: '' });
  return (await answer.json()) as { written: number };
}
const query = (of: Record<string, string>) => new URLSearchParams(of).toString();

/** Where a gap stands in the list of the year, and the plan days of a part of it. */
export interface GapPlace {
  gap: number;
  from?: number;
  to?: number;
}

/** Every call, years in the season that is looked at. */
export function apiIn(looking: { season: string }) {
  /** Adds the season to an address; the normal one needs no naming. */
  const inSeason = (path: string) =>
    looking.season === 'normal'
      ? path
      : `${path}${path.includes('?') ? '&' : '?'}${query({ season: looking.season })}`;
  /** The same for a gap, or a part of one. */
  const ofGap = (path: string, { from, to }: GapPlace) =>
    inSeason(
      from === undefined || to === undefined
        ? path
        : `${path}${path.includes('?') ? '&' : '?'}${query({ from: String(from), to: String(to) })}`,
    );
  return {
    inSeason,
    session: () => get<Session>('/session'),
    signIn: (email: string, password: string) => post<Session>('/session', { email, password }),
    signOut: () => remove<Session>('/session'),
    demo: () => post<Session>('/session/demo'),
    first: (name: string, email: string, password: string) =>
      post<Session>('/people/first', { name, email, password }),
    changePassword: (old: string, password: string) =>
      post<Session>('/people/password', { old, password }),
    sessions: () => get<OpenSession[]>('/sessions'),
    endSession: (id: string) => remove(`/sessions/${id}`),
    endSessions: () => remove('/sessions'),
    offer: (token: string) => get<Offer>(`/invitations/${token}`),
    accept: (token: string, name: string, email: string, password: string) =>
      post<Session>(`/invitations/${token}`, { name, email, password }),
    acceptAsMe: (token: string) => post<Session>(`/invitations/${token}/mine`),

    farms: (find = '') => get<FoundFarms>(`/farms?${query({ find })}`),
    plansOf: (farm: string) => get<PlanRow[]>(`/farms/${farm}/plans`),
    mornings: (asked: Record<string, string>) => get<MorningPage>(`/mornings?${query(asked)}`),
    bringMorningsUpToDate: () => post<MorningProgress>('/mornings'),
    makeFarm: (farm: NewFarm) => post<{ farm: string; plan: string }>('/farms', farm),
    removeFarm: (farm: string) => remove(`/farms/${farm}`),
    people: (farm: string) => get<Circle>(`/farms/${farm}/people`),
    invite: (farm: string, name: string, role: Role) =>
      post<{ token: string }>(`/farms/${farm}/invitations`, { name, role }),
    withdraw: (farm: string, id: number) => remove(`/farms/${farm}/invitations/${id}`),
    setRole: (farm: string, id: number, role: Role) => put(`/farms/${farm}/people/${id}`, { role }),
    removeMember: (farm: string, id: number) => remove(`/farms/${farm}/people/${id}`),

    plan: (id: string) => get<PlanView>(inSeason(`/plans/${id}`)),
    catalogue: () => get<Catalogue>('/catalogue'),
    edit: (id: string, request: EditRequest) =>
      store<PlanView>(inSeason(`/plans/${id}/edits`), request),
    trial: (
      id: string,
      edits: Edit[],
      parts: Part[] | null,
      about: string | null,
      shelves: ShelvesAsked | null = null,
    ) => post<YearView>(inSeason(`/plans/${id}/trial`), { edits, parts, about, shelves }),
    undo: (id: string, revision: number) =>
      post<PlanView>(inSeason(`/plans/${id}/undo`), { revision }),
    redo: (id: string, revision: number) =>
      post<PlanView>(inSeason(`/plans/${id}/redo`), { revision }),
    back: (id: string, revision: number, to: number) =>
      post<PlanView>(inSeason(`/plans/${id}/back`), { revision, to }),
    history: (id: string, before: number | null) =>
      get<Revision[]>(`/plans/${id}/history` + (before ? `?before=${before}` : '')),
    at: (id: string, revision: number) =>
      get<YearView>(inSeason(`/plans/${id}/history/${revision}`)),
    copy: (id: string, name: string, begins: Partial<PlanCopy> = {}) =>
      post<{ id: string }>(`/plans/${id}/copy`, { name, ...begins }),
    together: (id: string, sowing: Sowing) =>
      post<GrownTogether[]>(`/plans/${id}/together`, sowing),
    mixture: (id: string, of: string[]) =>
      get<GrownTogether[]>(`/plans/${id}/mixture?${query({ of: of.join() })}`),
    next: (id: string, yearsOn: number, same: string[]) =>
      get<FirstDay>(`/plans/${id}/next?${query({ yearsOn: String(yearsOn), same: same.join() })}`),
    ahead: (id: string, years: number, same: string[]) =>
      get<YearsAhead>(
        inSeason(`/plans/${id}/ahead?${query({ years: String(years), same: same.join() })}`),
      ),
    before: (id: string) => get<Schemas['PlanBefore'][]>(`/plans/${id}/before`),
    begin: (id: string, from: string, same: string[]) =>
      get<FirstDay>(`/plans/${id}/begin?${query({ from, same: same.join() })}`),
    beginNow: (id: string, begin: Schemas['Begin']) =>
      post<PlanView>(inSeason(`/plans/${id}/begin`), begin),
    removePlan: (id: string) => remove(`/plans/${id}`),
    levers: (id: string, at: GapPlace, buyDate: string, kind: Lever['kind']) =>
      get<Lever[]>(
        ofGap(`/plans/${id}/levers?${query({ gap: String(at.gap), buyDate, kind })}`, at),
      ),

    ways: (id: string, at: GapPlace, ways: Edit[][]) =>
      post<InFull>(ofGap(`/plans/${id}/ways`, at), { gap: at.gap, ways }),
    mix: (
      id: string,
      at: GapPlace,
      ways: Edit[][],
      must: number[],
      never: number[],
      buyHay: boolean,
      sure: number | null,
      hoursMost: number | null,
    ) =>
      post<Mix>(ofGap(`/plans/${id}/mix`, at), {
        gap: at.gap,
        ways,
        must,
        never,
        buyHay,
        sure,
        hoursMost,
      }),
    market: (id: string, month: string) =>
      get<HayOffer[]>(inSeason(`/plans/${id}/market?${query({ month })}`)),
    advice: (id: string) => get<Advice>(inSeason(`/plans/${id}/advice`)),
    beginThousand: (id: string) => post<Thousand>(`/plans/${id}/thousand`, {}),
    thousand: (id: string) => get<Thousand>(`/plans/${id}/thousand`),
    stopThousand: (id: string) => remove(`/plans/${id}/thousand`),
    hold: (id: string, share: number) =>
      get<Hold[]>(`/plans/${id}/thousand/hold?${query({ share: String(share) })}`),
    near: (id: string, sign: DateThatTells['sign'], day: number, value: number) =>
      get<PickedYear[]>(
        `/plans/${id}/thousand/near?${query({ sign, day: String(day), value: String(value) })}`,
      ),
    yearByRank: (id: string, rank: number) =>
      get<PickedYear[]>(`/plans/${id}/thousand/year?${query({ rank: String(rank) })}`),
    gauge: (id: string) => get<GaugeYear[]>(`/plans/${id}/thousand/gauge`),
    jobs: (id: string, units: 'IMPERIAL' | 'METRIC') =>
      get<Job[]>(inSeason(`/plans/${id}/jobs?${query({ units })}`)),
    jobsWaiting: (id: string) =>
      get<{ costsKg: Record<string, number> }>(inSeason(`/plans/${id}/jobs/waiting`)),
    jobMoved: (id: string, key: string, to: string) =>
      get<JobMoved>(inSeason(`/plans/${id}/jobs/moved?${query({ key, to })}`)),
    previewCalendar: (id: string, text: string) =>
      send<CalendarPreview>('POST', `/plans/${id}/jobs/file/preview`, 'text/calendar', text),
    feed: (id: string) => get<{ on: boolean; path: string | null }>(`/plans/${id}/jobs/feed`),
    makeFeed: (id: string) =>
      post<{ on: boolean; path: string | null }>(`/plans/${id}/jobs/feed`, {}),
    endFeed: (id: string) => remove(`/plans/${id}/jobs/feed`),
    letters: (id: string, today: string) =>
      get<Letters>(`/plans/${id}/jobs/letters?${query({ today })}`),
    setLetters: (id: string, today: string, daysAhead: number | null) =>
      put<Letters>(`/plans/${id}/jobs/letters?${query({ today })}`, { daysAhead }),
    policies: (id: string) => get<PolicyEffect[]>(inSeason(`/plans/${id}/policies`)),
    waiting: (id: string, at: GapPlace, edits: Edit[], days: number[]) =>
      post<(number | null)[]>(ofGap(`/plans/${id}/waiting`, at), { gap: at.gap, edits, days }),
    sureness: (id: string, at: GapPlace, edits: Edit[]) =>
      post<Sureness>(ofGap(`/plans/${id}/sureness`, at), { gap: at.gap, edits }),
    cropDates: (id: string, at: GapPlace, fieldId: string, forageId: string, purpose: string) =>
      get<CropSownOn[]>(
        ofGap(
          `/plans/${id}/crops/dates?${query({ gap: String(at.gap), fieldId, forageId, purpose })}`,
          at,
        ),
      ),
    crops: (id: string, at: GapPlace, fieldId: string, use: string) =>
      get<Crop[]>(ofGap(`/plans/${id}/crops?${query({ gap: String(at.gap), fieldId, use })}`, at)),
    prices: (id: string) => get<Price[]>(`/plans/${id}/prices`),

    weather: (id: string) => get<WeatherRecord[]>(`/plans/${id}/weather`),
    previewWeather: (id: string, name: string, text: string) =>
      csv<WeatherRead>(`/plans/${id}/weather/preview?${query({ name })}`, text),
    addWeather: (id: string, name: string, text: string) =>
      csv<WeatherRead>(`/plans/${id}/weather?${query({ name })}`, text),
    removeWeather: (id: string, record: string) => remove(`/plans/${id}/weather/${record}`),

    measure: (id: string, outline: Outline) => post<Measured>(`/plans/${id}/measure`, outline),
    letGrow: (id: string, fieldId: string, from: string, harvestMethodId: string) =>
      get<LetGrow>(inSeason(`/plans/${id}/let-grow?${query({ fieldId, from, harvestMethodId })}`)),
    fitting: (id: string, sowOn: string, irrigated: boolean, forHay: boolean) =>
      get<Fitting[]>(
        `/plans/${id}/fitting?` +
          query({ sowOn, irrigated: String(irrigated), forHay: String(forHay) }),
      ),
    cover: (id: string, readings: Readings) => post<Cover>(`/plans/${id}/cover`, readings),
    haySum: (id: string, asked: Record<string, string>) =>
      get<HaySheet>(inSeason(`/plans/${id}/hay-sum?${query(asked)}`)),
    /** Bales set out on fields, through the season; with others in their place where given. */
    winter: (id: string) => get<BaleWinter[]>(inSeason(`/plans/${id}/winter`)),
    baleSites: (id: string, asked: { alongM: number; acrossM: number; edgeM: number }) =>
      get<BaleSite[]>(
        `/plans/${id}/winter/sites?${query(Object.fromEntries(Object.entries(asked).map(([k, v]) => [k, String(v)])))}`,
      ),
    normalWinter: (id: string) => get<BaleWinter[]>(`/plans/${id}/winter`),
    /** Fields fed off behind a wire, through the season; with another in its place where given. */
    breaks: (id: string) => get<BreakWinter[]>(inSeason(`/plans/${id}/winter/breaks`)),
    breaksWith: (id: string, breaks: BreakField) =>
      post<BreakWinter[]>(inSeason(`/plans/${id}/winter/breaks`), breaks),
    winterWith: (id: string, bales: BaleField) =>
      post<BaleWinter[]>(inSeason(`/plans/${id}/winter`), bales),
    marks: (id: string) => get<MarkDates[]>(`/plans/${id}/marks`),
    shelves: (id: string, { measure, groupId, block }: ShelvesAsked) =>
      get<ShelvesView>(
        inSeason(
          `/plans/${id}/shelves?${query({ measure, ...(groupId ? { groupId } : {}), ...(block ? { block } : {}) })}`,
        ),
      ),
    /** A round over the fields on a day, what a reading there would mean, and those so far. */
    walk: (id: string, on: string) => get<Walk>(`/plans/${id}/walk?${query({ on })}`),
    walkAnswer: (id: string, on: string, reading: CoverSeen) =>
      post<WalkAnswer>(`/plans/${id}/walk/answer`, { on, reading }),
    stems: (id: string, on: string, stems: StemsSeen) =>
      post<StemAnswer>(`/plans/${id}/walk/stems`, { on, stems }),
    readings: (id: string) => get<ReadingLine[]>(`/plans/${id}/walk/readings`),
    /** A picture, kept before the record that names it by the hash of its bytes. */
    putPhoto: (id: string, photo: string, jpeg: Blob) =>
      send<void>('PUT', `/plans/${id}/photos/${photo}`, 'image/jpeg', jpeg),
    instruments: (id: string) => get<Instrument[]>(`/plans/${id}/instruments`),
    addInstrument: (id: string, kind: Instrument['kind'], name: string, simulated: boolean) =>
      post<Instrument[]>(`/plans/${id}/instruments`, { kind, name, simulated }),
    /** What an instrument wrote, as a table. */
    instrumentFile: (id: string, instrument: number, text: string) =>
      csv<{ written: number }>(`/plans/${id}/instruments/${instrument}/file`, text),
    removeInstrument: (id: string, instrument: number) =>
      remove<Instrument[]>(`/plans/${id}/instruments/${instrument}`),
    pack: (id: string) => get<Pack>(`/plans/${id}/walk/pack`),
    outlook: (id: string) => get<Outlook>(inSeason(`/plans/${id}/outlook`)),
    supplement: (id: string) => get<Supplement[]>(inSeason(`/plans/${id}/supplement`)),
    selling: (id: string, on: string) =>
      get<SellingOrder[]>(inSeason(`/plans/${id}/selling?${query({ on })}`)),
    weaning: (id: string, groupId: string) =>
      get<Weaning[]>(inSeason(`/plans/${id}/weaning?${query({ groupId })}`)),
    samples: (id: string) => get<Sample[]>(`/plans/${id}/samples`),
    sendSample: (id: string, commandId: string, device: string, lotId: string, sampledOn: string) =>
      post<Sample>(`/plans/${id}/samples`, { commandId, device, lotId, sampledOn }),
    takeReport: (id: string, sample: string, device: string) =>
      post<PlanView>(inSeason(`/plans/${id}/samples/${sample}/take`), { device }),
    /** About one lot or group, or about everything. */
    records: (id: string, about: string | null) =>
      get<RecordLine[]>(`/plans/${id}/records${about === null ? '' : `?${query({ about })}`}`),
    write: (id: string, request: WriteRequest) =>
      post<PlanView>(inSeason(`/plans/${id}/records`), request),
    /** What waited on the device, in its order; each is taken or refused for itself. */
    queued: (id: string, waited: WriteRequest[]) =>
      post<Schemas['Taken'][]>(`/plans/${id}/records/queued`, waited),
    quickHay: (request: QuickRequest) => post<QuickView>('/hay-sum', request),
    keepQuick: (request: QuickRequest) =>
      post<{ farm: string; plan: string }>('/farms/quick', request),
    compare: (id: string, request: CompareRequest) =>
      post<StandReturn[]>(`/plans/${id}/compare`, request),
    previewMap: (id: string, forageId: string, text: string) =>
      file<MapPreview>(`/plans/${id}/map/preview?${query({ forageId })}`, text),
    takeMap: (id: string, revision: number, forageId: string, text: string) =>
      file<PlanView>(
        inSeason(`/plans/${id}/map?${query({ revision: String(revision), forageId })}`),
        text,
      ),

    previewFarm: (text: string) => file<FilePreview>('/farms/file/preview', text),
    makeFarmOf: (text: string) => file<{ farm: string; plan: string }>('/farms/file', text),
    addPlans: (farm: string, text: string) =>
      file<{ plans: string[] }>(`/farms/${farm}/file`, text),
    previewReplace: (id: string, text: string) =>
      file<ChangePreview>(`/plans/${id}/file/preview`, text),
    replace: (id: string, revision: number, text: string) =>
      file<PlanView>(inSeason(`/plans/${id}/file?${query({ revision: String(revision) })}`), text),
    list: async (id: string, kind: ListKind) =>
      (await ask('GET', `/plans/${id}/lists/${kind}`)).text(),
    previewList: (id: string, kind: ListKind, text: string) =>
      csv<ChangePreview>(`/plans/${id}/lists/${kind}/preview`, text),
    takeList: (id: string, kind: ListKind, revision: number, text: string) =>
      csv<PlanView>(
        inSeason(`/plans/${id}/lists/${kind}?${query({ revision: String(revision) })}`),
        text,
      ),
  };
}

export type Api = ReturnType<typeof apiIn>;

/** What asks for no year. */
export const api = apiIn({ season: 'normal' });
