/** Ways out of a gap in words. */
import type { Edit, Gap, Lever, PlanView } from '../api/client';
import { lastDay, shortDate } from '../units/dates';
import { plural } from './year';

type Kind = Lever['kind'];
type Farm = PlanView['farm'];

/** What is known of a kind of way before any is tried. */
export interface LeverKind {
  name: string;
  /** What it asks and what it takes elsewhere. */
  note: string;
  /** Where no price is known, what would have to be paid; where it is free, that. */
  costs: string;
  /** Why none of it is offered. */
  none: string;
}

/** In the order in which they are offered: what costs nothing first. */
export const LEVER_KINDS: Record<Kind, LeverKind> = {
  OPEN_STANDING: {
    name: 'Open what stands',
    note: 'Those that go short graze it before anything else. Quality is that of old grass: look at energy and protein, and never turn out hungry stock onto lush feed.',
    costs: 'free',
    none: 'Nothing that is not eaten anyway stands when it begins.',
  },
  OPEN_STORE: {
    name: 'Open what is stored',
    note: 'It lies there, and no order of feeds opens it for them.',
    costs: 'free',
    none: 'All that is stored is opened already, or nothing is left.',
  },
  BETTER_FEED: {
    name: 'Better feed for those that need it',
    note: 'The best of what is stored goes to them first, every day; the rest eat what is left. What others lose by it is taken off.',
    costs: 'free',
    none: 'Nothing stored is richer than what they eat, or the others would lack as much.',
  },
  RICH_HOURS: {
    name: 'Some hours a day on rich feed',
    note: 'A field that is richer than what they eat, by the hour beside it, so that a little goes round. Never turn them out hungry; get them used to it over days; bloat, nitrate and too much brassica. Needs a gate and a routine.',
    costs: 'free',
    none: 'No green field is clearly richer than what they eat, or horses are among them.',
  },
  KEEP_OFF: {
    name: 'Graze it at another time',
    note: 'Shut while its water does not hold out; the other fields carry them meanwhile, and what grows on it stands.',
    costs: 'free',
    none: 'Keeping off brings nothing: the others are as dry, or feed runs short.',
  },
  OPEN_SOONER: {
    name: 'Open a shut field sooner',
    note: 'It was kept for later: what it gives now is gone then.',
    costs: 'free',
    none: 'No field is shut as it begins, or opening one brings nothing.',
  },
  LESS_WASTE: {
    name: 'Feed with less waste',
    note: 'Saves from the first bale on; of what feeders cost a year bears an eighth. Shy animals must still get to it.',
    costs: 'a feeder',
    none: 'What is fed is fed with little waste, or it would bring too little.',
  },
  LIMIT_HOURS: {
    name: 'Hay by the hour',
    note: 'Opened for some hours a day and shut again, so that less is pulled out and trodden. Room for all at once; watch the shy ones. Never where hay is poor, nor for thin, growing, nursing or in-milk stock.',
    costs: 'free',
    none: 'What is fed wastes little already, or some that eat it are growing, near birth, nursing, thin or short of energy or protein: poor hay must not be limited.',
  },
  SLOW_ROUND: {
    name: 'Lengthen the round',
    note: 'Each day gives less, every field rests longer, and more stands later. Slow early: once growth has stopped it does little. Watch condition meanwhile.',
    costs: 'free',
    none: 'Those that go short do not graze before it, or a slower round brings nothing.',
  },
  SMALL_BREAKS: {
    name: 'Smaller breaks',
    note: 'A day or two at a time behind a moved wire, with a back fence where they stay longer: more is eaten, less trodden. Daily work, and water at each break; on wet ground it pugs.',
    costs: 'fence',
    none: 'All that is grazed is grazed in strips already, or it would bring too little.',
  },
  STORE_FIRST: {
    name: 'Feed from the store first',
    note: 'Grass gets ahead while they stand at stored feed. Mud and dung gather there; keep off wet ground and away from water.',
    costs: 'free',
    none: 'Nothing is stored, or grass that is spared before it does not grow more.',
  },
  STOCKPILE: {
    name: 'Shut fields for later',
    note: 'Autumn growth is kept standing and eaten in strips. The other fields carry the stock meanwhile; that is counted.',
    costs: 'fence',
    none: 'No field that keeps standing can be shut long enough before it.',
  },
  WEAN_SOONER: {
    name: 'Wean sooner',
    note: 'Dams ask for less from then on. The young want better feed and care; ask your veterinarian.',
    costs: 'feed for the young',
    none: 'No young are with their dams before it, or weaning sooner brings nothing.',
  },
  CUT_SURPLUS: {
    name: 'Cut what is not eaten',
    note: 'Needs dry days and a machine. The field is out of the round until it has grown again, and nutrients leave it.',
    costs: 'machine work',
    none: 'No field that can be mown has enough to spare before it.',
  },
  CUT_WRAPPED: {
    name: 'Cut and wrap it',
    note: 'Two dry days instead of four, and better feed. Film costs, bales are heavy and ferment six weeks; torn film spoils them. Rotten wraps kill: throw them out.',
    costs: 'machine work',
    none: 'No field that can be mown has enough to spare two months before it.',
  },
  NITROGEN: {
    name: 'Grow more with nitrogen',
    note: 'Without rain it does little, clover suffers. How much, what and where not: soil test, label and local code.',
    costs: 'fertiliser',
    none: 'No grass that is eaten in it answers in time, or it would bring too little.',
  },
  IRRIGATE: {
    name: 'Water more',
    note: 'Only fields that the plan waters already: whether there is more water and a right to it, you know. In great heat cool-season grass answers little.',
    costs: 'pumping',
    none: 'No field is watered in this plan, or more water brings too little.',
  },
  SOW: {
    name: 'Sow a crop',
    note: 'Green feed from ground that lies idle or gives little then. The field is out of use until it is ready, and some sowings fail. Crops have cautions of their own: they show once one is planned.',
    costs: 'seed and drill',
    none: 'No crop that fits the place is ready in time, or what it costs is far dearer than hay.',
  },
  COMPANION: {
    name: 'Oats with a slower crop',
    note: 'Half a rate of oats in the same pass as a crop that the plan sows: first feed some weeks sooner, the partner fills the spring. Graze it in time, or it shades the partner; it freezes out where winter is cold.',
    costs: 'seed',
    none: 'The plan sows no slower winter crop at a time that suits oats, or they bring too little for their seed. Put the crop in the plan first.',
  },
  MORE_SEED: {
    name: 'More seed for earlier feed',
    note: 'Half as much seed again in a crop that the plan sows: the canopy closes sooner, the whole yield hardly changes, and seed is dear.',
    costs: 'seed',
    none: 'The plan sows nothing before it, or more seed brings too little for what it costs.',
  },
  MOVE_BIRTHS: {
    name: 'Move births',
    note: 'Milk asks for most, where the grass gives it. Decided when the males go in; the young are another age when they are sold, and some dams come late.',
    costs: 'free',
    none: 'No births of those that go short fall into the plan, or moving them brings too little.',
  },
  SELL: {
    name: 'Sell before it',
    note: 'Growing stock first, then males; of those that breed only what is open, old or unsound. Prices fall as the district runs short.',
    costs: 'a sale',
    none: 'Nobody that goes short could be sold before it.',
  },
  SEND_AWAY: {
    name: 'Send away for its time',
    note: 'To ground that is found early. Rent, haulage, and the risk of mixing herds; ask your veterinarian.',
    costs: 'rent',
    none: 'Sending them away would bring too little.',
  },
  STRAW: {
    name: 'Straw in the ration',
    note: 'Three tenths of what dry grown stock eat. It fills and feeds little: protein, energy and mineral must come beside it, and water. Look at their diet under Herd; ask your adviser.',
    costs: 'no price',
    none: 'None of those that go short is grown and dry over all of it, or no price is known.',
  },
  CONCENTRATE: {
    name: 'A byproduct in the trough',
    note: 'A fifth of what they eat, as fibre rather than starch, which takes the place of as much forage. Build it up over days, room at the trough for all; sheep and copper: read the label, ask your adviser.',
    costs: 'no price',
    none: 'No price is known, or it is far dearer than hay for what it brings.',
  },
  SUPPLEMENT: {
    name: 'The cheapest supplement',
    note: 'So much a head each day as brings them to their need at the least cost. An amount to plan and order by: the tag, your adviser and veterinarian say what they get. Build it up over days, room at the trough for all; no urea for hungry stock, copper and sheep: read the label.',
    costs: 'no price',
    none: 'No feed within its ceiling brings them to their need.',
  },
  BRING_WATER: {
    name: 'Bring more water',
    note: 'A larger line, tank or second trough, or a tanker. Never let stock that went short drink all at once; stale ponds in heat can kill.',
    costs: 'no price',
    none: 'More water there brings nothing.',
  },
  BUY_HAY: {
    name: 'Buy hay',
    note: 'Certain, and the yardstick that the others are held against. Look for mould, weeds and spray residues.',
    costs: 'no price',
    none: 'No amount that comes on that day closes it.',
  },
};

/** Kinds that bring stored feed: none where less of it is to be fed. */
const FROM_STORE: Kind[] = [
  'OPEN_STORE',
  'LESS_WASTE',
  'LIMIT_HOURS',
  'STORE_FIRST',
  'CUT_SURPLUS',
  'CUT_WRAPPED',
  'STRAW',
  'CONCENTRATE',
  'BUY_HAY',
];

/** Kinds that help where dry matter is not what lacks, and only there. */
const ONLY_NEEDS: Kind[] = ['BETTER_FEED', 'RICH_HOURS', 'KEEP_OFF', 'SUPPLEMENT', 'BRING_WATER'];

const FEEDS_BETTER: Kind[] = [
  'OPEN_STANDING',
  'OPEN_STORE',
  'BETTER_FEED',
  'RICH_HOURS',
  'OPEN_SOONER',
  'STOCKPILE',
  'WEAN_SOONER',
  'SOW',
  'MOVE_BIRTHS',
  'CONCENTRATE',
  'SUPPLEMENT',
];

const SERVES: Record<Gap['kind'], (kind: Kind) => boolean> = {
  STORE: (k) => !ONLY_NEEDS.includes(k),
  GRAZING: (k) => !ONLY_NEEDS.includes(k) && !FROM_STORE.includes(k),
  ENERGY: (k) => FEEDS_BETTER.includes(k),
  PROTEIN: (k) => FEEDS_BETTER.includes(k),
  CONDITION: (k) => [...FEEDS_BETTER, 'LESS_WASTE', 'SELL', 'SEND_AWAY'].includes(k),
  WATER: (k) => ['KEEP_OFF', 'BRING_WATER', 'SEND_AWAY'].includes(k),
};

/** Kinds of ways that can serve a kind of gap. */
export function kindsFor(gap: Gap['kind']): Kind[] {
  return (Object.keys(LEVER_KINDS) as Kind[]).filter(SERVES[gap]);
}

/** "a quarter of Mill Bottom". */
export function partName(share: number, name: string): string {
  const shares: Record<number, string> = { 0.25: 'a quarter', 0.5: 'half', 0.75: 'three quarters' };
  return `${shares[share] ?? `${Math.round(share * 100)}%`} of ${name}`;
}

/** "Mill Bottom", "Mill Bottom and Saddle", "Mill Bottom and 3 more". */
function some(names: string[]): string {
  return names.length > 2 ? `${names[0]} and ${names.length - 1} more` : names.join(' and ');
}

function has<K extends keyof Edit>(lever: Lever, key: K): NonNullable<Edit[K]> {
  return lever.edits.find((e) => e[key])![key]!;
}

/**
 * What a way does, in one sentence.
 *
 * @param wayName what a way of feeding is called
 * @param cropName what a crop is called, in a sentence
 */
export function leverTitle(
  lever: Lever,
  farm: Farm,
  wayName: (id: string) => string,
  cropName: (id: string) => string = (id) => id,
): string {
  // a part of a field has its name from the way itself
  const parted = lever.edits.find((e) => e.partField)?.partField;
  const field = (id: string) =>
    parted?.newId === id
      ? partName(parted.share, farm.fields.find((f) => f.id === parted.id)?.name ?? parted.newName)
      : (farm.fields.find((f) => f.id === id)?.name ?? id);
  const lot = (id: string) => farm.lots.find((l) => l.id === id)?.name ?? id;
  switch (lever.kind) {
    case 'OPEN_STANDING': {
      const step = has(lever, 'setFeeding').steps[0];
      return `Open ${some(step.sourceIds.map(field))} from ${shortDate(step.fromInclusive!)}`;
    }
    case 'OPEN_STORE':
      return `Feed ${some(has(lever, 'setFeeding').steps.at(-1)!.sourceIds.map(lot))}`;
    case 'BETTER_FEED': {
      const { portion, sourceIds } = has(lever, 'setFeeding').steps[0];
      const share = portion?.share ? `${Math.round(portion.share * 100)}% of what they eat` : 'all';
      return `${some(sourceIds.map(lot))} for them: ${share}`;
    }
    case 'RICH_HOURS': {
      const { portion, sourceIds } = has(lever, 'setFeeding').steps[0];
      const share = Math.round((portion?.share ?? 1) * 100);
      return `Some hours a day on ${some(sourceIds.map(field))}: ${share}% of what they eat`;
    }
    case 'LIMIT_HOURS':
      return `${some(lever.edits.map((e) => e.putLot!.name))} for some hours a day`;
    case 'MORE_SEED': {
      const sowing = has(lever, 'putSowing');
      return `Half as much seed again on ${field(sowing.fieldId)}`;
    }
    case 'COMPANION': {
      const oats = has(lever, 'putSowing');
      return `Oats with what is sown on ${field(oats.fieldId)}, ${shortDate(oats.sowOn)}`;
    }
    case 'KEEP_OFF': {
      const closing = has(lever, 'putClosing');
      return `Keep off ${field(closing.fieldId)}, ${shortDate(closing.fromInclusive)} to ${shortDate(lastDay(closing.toExclusive))}`;
    }
    case 'OPEN_SOONER': {
      const closing = has(lever, 'putClosing');
      return `Open ${field(closing.fieldId)} on ${shortDate(closing.toExclusive)} already`;
    }
    case 'LESS_WASTE': {
      const way = wayName(has(lever, 'putLot').feedingMethodId).split(' that ')[0];
      return `Feed ${some(lever.edits.map((e) => e.putLot!.name))} by ${way[0].toLowerCase()}${way.slice(1)}`;
    }
    case 'SLOW_ROUND': {
      const slow = slowed(lever);
      return `Rounds of ${slow.roundDays} days from ${shortDate(slow.fromInclusive!)}`;
    }
    case 'SMALL_BREAKS':
      return `Strips on ${some(lever.edits.map((e) => e.putField!.name))}`;
    case 'STORE_FIRST': {
      const step = has(lever, 'setFeeding').steps[0];
      return `Feed from the store ${shortDate(step.fromInclusive!)} to ${shortDate(lastDay(step.toExclusive!))}`;
    }
    case 'STOCKPILE':
      return `Shut ${field(has(lever, 'putClosing').fieldId)}`;
    case 'WEAN_SOONER': {
      const group = has(lever, 'putGroup');
      return `Wean ${group.name} on ${shortDate(`2001-${group.weaning!.slice(2)}`)}`;
    }
    case 'CUT_SURPLUS': {
      const cut = has(lever, 'putCut');
      return `Cut ${field(cut.fieldId)} on ${shortDate(cut.date)}`;
    }
    case 'CUT_WRAPPED': {
      const cut = has(lever, 'putCut');
      return `Cut and wrap ${field(cut.fieldId)} on ${shortDate(cut.date)}`;
    }
    case 'IRRIGATE': {
      const gifts = lever.edits.map((e) => e.putIrrigation!);
      return `Water ${field(gifts[0].fieldId)} ${gifts.length} times from ${shortDate(gifts[0].date)}`;
    }
    case 'NITROGEN': {
      const dressing = has(lever, 'putDressing');
      return `Nitrogen on ${field(dressing.fieldId)}, ${shortDate(dressing.date)}`;
    }
    case 'SOW': {
      const sowing = has(lever, 'putSowing');
      return `Sow ${cropName(sowing.forageId)} on ${field(sowing.fieldId)}, ${shortDate(sowing.sowOn)}`;
    }
    case 'MOVE_BIRTHS': {
      const group = has(lever, 'putGroup');
      return `Births of ${group.name} from ${shortDate(`2001-${group.birthStart!.slice(2)}`)}`;
    }
    case 'SELL': {
      const group = has(lever, 'putGroup');
      const sale = newest(group.changes);
      return `Sell ${sale.head} of ${group.name}, ${shortDate(sale.date)}`;
    }
    case 'SEND_AWAY': {
      const group = has(lever, 'putGroup');
      const away = newest(group.changes);
      return `Send ${away.head} of ${group.name} away, ${shortDate(away.date)} to ${shortDate(lastDay(away.untilExclusive!))}`;
    }
    case 'STRAW':
    case 'CONCENTRATE': {
      const bought = has(lever, 'putPurchase').lot;
      const name = bought.name.toLowerCase();
      return `Buy ${bought.units.toLocaleString('en-US')} ${plural(bought.unitName, bought.units)} of ${name}`;
    }
    case 'SUPPLEMENT': {
      const lots = lever.edits.flatMap((e) => e.putPurchase?.lot ?? []);
      const bought = lots.map(
        (l) =>
          `${l.units.toLocaleString('en-US')} ${plural(l.unitName, l.units)} of ${shortFeed(l.name)}`,
      );
      return `Buy ${bought.length > 2 ? `${bought.slice(0, -1).join(', ')} and ${bought.at(-1)}` : bought.join(' and ')}`;
    }
    case 'BRING_WATER': {
      const watered = has(lever, 'putField');
      return watered.lie.water === 'HAULED'
        ? `Bring water to ${watered.name}`
        : `More water at ${watered.name}`;
    }
    case 'BUY_HAY': {
      const { lot: bought, date } = has(lever, 'putPurchase');
      return `Buy ${bought.units.toLocaleString('en-US')} ${plural(bought.unitName, bought.units)}, there ${shortDate(date)}`;
    }
  }
}

/** "Maize (corn) grain, cracked" as "maize grain". */
export function shortFeed(name: string): string {
  return name
    .split(',')[0]
    .replace(/ *\([^)]*\)/g, '')
    .toLowerCase();
}

/** The first step that a longer round is put on. */
function slowed(lever: Lever) {
  const steps = lever.edits.flatMap((e) => e.setFeeding?.steps ?? []);
  const longest = Math.max(...steps.map((s) => s.roundDays ?? 0));
  return steps.find((s) => s.roundDays === longest && s.fromInclusive)!;
}

/** The day and the state in hand on which a way is to be done, as agreed with oneself. */
export function triggerText(iso: string, inStore: string, standing: string): string {
  return (
    `Agree with yourself: do it on ${shortDate(iso)} if the store then holds no more than ${inStore} ` +
    `and no more than ${standing} that could be eaten stands on the fields. That is what this plan ` +
    'expects; with more in hand look again first.'
  );
}

/** What waiting costs, in one sentence; nothing where it is not known. */
export function waitingText(
  now: number,
  week: number | null,
  month: number | null,
  say: (kg: number) => string,
): string {
  const told = (kg: number | null, when: string) =>
    kg === null
      ? `${when} it cannot be done`
      : `${when} it brings ${kg <= 0 ? 'nothing' : say(kg)}`;
  if (week === null && month === null) return '';
  const same = [week, month].every((kg) => kg !== null && kg >= 0.98 * now);
  return same
    ? 'Waiting a week or a month costs next to nothing.'
    : `Waiting: ${told(week, 'a week later')}, ${told(month, 'a month later')}.`;
}

type Group = NonNullable<Edit['putGroup']>;

/** The change that a way adds: it is the one without a price, among those of its day. */
export function newest(changes: Group['changes']): Group['changes'][number] {
  const plain = changes.filter((c) => c.moneyPerHead === null && c.note === '');
  return plain.at(-1) ?? changes.at(-1)!;
}

/** What a set of ways may be called when it is kept: "Sell 12 of Steers and buy 40 round bales". */
export function setName(titles: string[]): string {
  const low = (t: string) => t[0].toLowerCase() + t.slice(1);
  const short = titles.map((t) => t.split(',')[0]);
  return short.map((t, i) => (i ? low(t) : t)).join(' and ');
}
