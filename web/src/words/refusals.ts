/** What cannot be taken, in a sentence with what would be. One for every code the server can send. */
import type { Problem, RefusalCode, RefusalValues, Role, RowProblem } from '../api/client';
import { longDate } from '../units/dates';
import { figure, quantityOf, shown, unitOf, type Quantity, type System } from '../units/units';
import { FIELD_NAMES } from './members';
import { ROLES } from './roles';

/** Where a sentence is said. */
interface At {
  /** Name of the refused input, or empty where it has none that a user knows. */
  name: string;
  field: string;
  system: System;
}

const date = (iso: string) => `${longDate(iso)} ${iso.slice(0, 4)}`;
/** "--03-15" as "15 March" */
const dayOfYear = (text: string) => longDate(`2025${text.slice(1)}`);
const months = (first: string, last: string) => `${date(first)} to ${date(last)}`;
const list = (text: string) => text.split(', ').join(', ');

/** A range in the user's units. */
function range(min: number, max: number, quantity: Quantity, system: System): string {
  const unit = unitOf(quantity, system);
  return `${bound(min, quantity, system)} to ${bound(max, quantity, system)}${unit ? ' ' + unit : ''}`;
}

/** "Area: 0.1 to 12,000.0 ac is accepted." */
export function rangeText(
  name: string,
  min: number,
  max: number,
  quantity: Quantity,
  system: System,
): string {
  return `${name}: ${range(min, max, quantity, system)} is accepted.`;
}

/** A small bound is not printed as nothing: what is accepted begins above nothing. */
function bound(si: number, quantity: Quantity, system: System): string {
  const value = shown(si, quantity, system);
  const printed = figure(si, quantity, system);
  return value !== 0 && Number(printed.replace(/,/g, '')) === 0
    ? value.toLocaleString('en-US', { maximumSignificantDigits: 2 })
    : printed;
}

/** "Area: " or nothing */
const of = (at: At) => (at.name ? `${at.name}: ` : '');

const WAYS: Record<string, string> = { HARVEST: 'making', STORAGE: 'storing', FEEDING: 'feeding' };
const WANTED: Record<string, string> = {
  number: 'a number',
  whole_number: 'a whole number',
  yes_no: 'true or false',
  day: 'a date like 2027-09-01',
  day_of_year: 'a day of the year like --03-01',
  list: 'a list',
};

const STANDING: Record<string, string> = {
  TROUGH: 'A trough',
  FEEDER: 'A feeder',
  LYING: 'A place to lie',
};

/** A code without its sentence is an error when the client is built. */
const NO_MARK: Record<string, string> = {
  GREEN_UP: 'This field does not sleep in a normal year: it has no green-up.',
  FIRST_BIRTH: 'This group has no births.',
  WEANING: 'This group has no births, so nothing is weaned.',
  ...Object.fromEntries(
    ['10', '50', '90'].flatMap((n) => [
      [`FIRST_FROST_${n}`, 'There is no frost to speak of in this climate.'],
      [`LAST_FROST_${n}`, 'There is no frost to speak of in this climate.'],
    ]),
  ),
};

const SENTENCES: { [C in RefusalCode]: (v: RefusalValues[C], at: At) => string } = {
  missing: (_, at) => (at.name ? `${at.name} is needed.` : 'A value is needed.'),
  out_of_range: (v, at) =>
    rangeText(at.name || at.field, v.min, v.max, quantityOf(at.field), at.system),
  too_long: (v, at) =>
    `${of(at)}up to ${v.most.toLocaleString('en-US')} characters on one line are accepted.`,
  note_too_long: (v, at) =>
    `${of(at)}up to ${v.most.toLocaleString('en-US')} characters of plain text are accepted.`,
  dates_reversed: (_, at) => `${at.name || 'Dates'}: the first day must come before the last.`,
  date_outside_plan: (v) =>
    `${date(v.on)} lies outside the plan: ${months(v.first, v.last)} is accepted.`,

  no_such_mark: (v) => `${NO_MARK[v.mark] ?? 'There is no such mark here.'} Keep a plain date.`,

  unknown_id: (v, at) => `${of(at)}there is no "${v.id}" here. It may have been removed meanwhile.`,
  unknown_kind: (v) => `The product knows no animals of the kind "${v.kind}".`,
  unknown_season: (v) =>
    `There is no season "${v.key}": choose one of the list, or a simulated year from 0 to 999,999.`,
  scenario_on_scenario: () =>
    'A scenario lies over a normal, simulated or recorded year, not over another scenario.',
  does_not_reach: (v) =>
    `${v.plan} comes to the mornings of ${date(v.from)} to ${date(v.to)}; a plan that begins on ${date(v.start)} cannot begin from it.`,
  duplicate_id: (v, at) => `${of(at)}"${v.id}" is there twice.`,
  one_amount: () => 'Say either a share of the diet or an amount a head, not both.',
  round_of_store: () => 'Only grazing goes in rounds; a step from the store has none.',
  step_of_another_group: (v) =>
    `A step of the order of feeds belongs to another group, ${v.groupId}.`,

  not_a_photo: (v) =>
    `This is no photo that can be kept: a JPEG of up to ${v.mostPixels} pixels a side, with nothing in it but the picture, is accepted.`,
  too_many_photos: (v) =>
    `A farm keeps up to ${v.most.toLocaleString('en-US')} photos: strike some out first.`,
  too_many_instruments: (v) => `A plan has up to ${v.most} instruments: remove one first.`,
  no_plate_line: (v) =>
    `No plate on this sward now${v.why ? `: ${v.why}` : ', as no line turns its readings into mass'}.`,
  beyond_plate_line: (v) =>
    `${v.field}: ${v.clicks} clicks on the mean, where the line of this sward holds up to ${v.most}. Stems carry the plate there: clip frames or use a stick.`,

  no_curve: () =>
    'The tables hold no growth for this stand in this climate. Type the twelve monthly rates.',
  twelve_months: (v) => `Twelve monthly rates are needed, January first; ${v.given} are there.`,
  no_outline: (v) => `${v.field} is not drawn on the map yet: draw it, then part it.`,
  mixed_with_itself: () => 'Bales of another lot than the first are accepted among them.',
  stands_at_water: (v, at) =>
    `${STANDING[v.what] ?? 'This'} ${distance(v.distanceM, at)} from water: ${distance(v.leastM, at)} and more are accepted, where no dung runs in.`,
  not_in_two: (v) =>
    v.pieces === 0
      ? 'The line has no length: draw one across the field.'
      : `The line parts the field into ${v.pieces}: draw one that parts it into two.`,
  crossed_edge: (v) =>
    v.part
      ? `${v.part}: its edge crosses itself. Draw the corners in order around it.`
      : 'The edge crosses itself or encloses nothing. Draw the corners in order around the field.',

  own_forage_id: () => 'The id of an own forage begins with own-.',
  own_forage_used: () =>
    'This forage of yours is grown here: take it off the fields and sowings first.',
  part_twice: () => 'Each part of a mixture is another forage of the product.',
  no_mixture: () => 'Residue and fallow ground cannot be part of a mixture.',
  enter_below_leave: (v, at) =>
    `Stock come in at ${height(v.heightCm, at)}, which is not above the ${height(v.leaveCm, at)} at which they leave.`,
  entry_below_leave: (v, at) =>
    `First use at ${height(v.entryHeightCm, at)} is not above the ${height(v.exitHeightCm, at)} to leave.`,

  more_than_there: (v) =>
    `Head that come or go: ${v.group} has ${v.there} on ${date(v.on)}; ${v.leaving} cannot leave.`,
  not_for_a_time: () =>
    'Only animals away or taken in come back: for the others no end is accepted.',
  weaned_before_birth: (v) =>
    `Weaning: ${dayOfYear(v.first)} to ${dayOfYear(v.last)} is accepted, after the last birth and within ${v.longestDays} days of the first.`,
  leave_before_weaning: () => 'The young leave on the day of weaning or later.',
  no_weaning: (v) =>
    `${v.group} gives no birth, or weans outside the plan: there is no weaning to move.`,

  not_a_way: (v) => `"${v.id}" is not a way of ${WAYS[v.stage] ?? v.stage}.`,
  size_missing: () =>
    'Density and rind need the size: diameter and width of a round bale, or length, width and height.',

  already_shut: (v) => `${v.field} is already shut from ${months(v.from, v.last)}.`,
  shut_and_sown: (v) =>
    `${v.field} is shut from ${months(v.from, v.last)} and to be sown on ${date(v.sowOn)} (prepared from ${date(v.preparedFrom)}). Choose another date or field.`,
  shut_and_grazed: (v) =>
    `${v.fields}: shut and to be grazed from ${months(v.from, v.last)}. Take the step out of the order of feeds, or shut at another time.`,

  no_days: () => 'No day of weather could be read in this file.',
  not_csv: () => 'This cannot be read as CSV.',
  missing_column: (v) => `The column ${v.column} is missing.`,
  row_length: () => 'As many cells as the header has are accepted.',
  no_date: (v) => `A date like 2027-09-01 is accepted, not "${v.cell}".`,
  date_twice: (v) => `${date(v.on)} is there twice.`,
  low_above_high: (v) => `The low of the day, ${v.cell}, lies above the high.`,
  cell_out_of_range: (v) => `${plain(v.min)} to ${plain(v.max)} is accepted, not "${v.cell}".`,

  sign_in: () => 'Sign in first.',
  forbidden: () => 'This page is out of date, or this is not yours to see. Load it again.',
  rejected: () => 'This request is not answered.',
  wrong_sign_in: () => 'E-mail address and password do not fit together.',
  role_too_low: (v) =>
    `This is for ${ROLES[v.needed as Role].plural}; you are ${ROLES[v.has as Role].one} here.`,
  visitor: () => 'Sign in to make a farm of your own.',
  no_demo: () => 'The demo opens on this machine only.',
  too_many: (v) => `Too many attempts. Wait ${v.waitSeconds} seconds.`,
  not_found: () => 'There is nothing at this address that you may see.',

  not_first: () => 'There is an owner already: ask for an invitation.',
  email_taken: (v) => `Somebody signs in with ${v.address} already.`,
  not_an_address: () => 'An e-mail address like ann@farm.example is accepted.',
  wrong_password: () => 'This is not your password of now.',
  password_length: (v) => `A password of ${v.least} to ${v.most} characters is accepted.`,
  password_weak: () => 'This password is guessed at once: a few plain words in a row are accepted.',
  last_owner: () => 'A farm keeps an owner: make somebody else one first.',

  stale_revision: () => 'Somebody changed the plan meanwhile. It is shown afresh.',
  clashes_elsewhere: () => 'Something stands against this change in other plans. Nothing is saved.',
  no_such_revision: (v) => `There is no change ${v.revision}: 1 to ${v.newest} are there.`,
  nothing_to_undo: () => 'There is nothing to take back.',
  nothing_to_redo: () => 'There is nothing to bring back.',
  last_plan: () => "This is the farm's only plan: remove the farm instead.",
  no_such_gap: (v) =>
    v.gaps === 0 ? 'This plan has no gap any more.' : `This plan has only ${v.gaps} gaps now.`,
  not_in_plan: () => 'This lies outside of the days of the plan.',

  command_reused: () => 'This was sent before with something else in it. Write it down once more.',
  too_many_samples: (v) =>
    `Up to ${v.most} samples may be out at once: take reports that have come first.`,
  report_not_there: (v) => `The report on ${v.lot} has not come yet.`,
  too_many_weathers: (v) => `A farm keeps up to ${v.most} weather records: remove one first.`,

  not_calendar: () =>
    'This is no calendar file (.ics) with events in it, or it holds more than 2,000.',
  not_text: () => 'This is no text in UTF-8.',
  not_json: (v) =>
    v.line > 0 ? `This is no JSON at line ${v.line}, column ${v.column}.` : 'This is no JSON.',
  unreadable: (v) =>
    WANTED[v.wanted] ? `This cannot be read as ${WANTED[v.wanted]}.` : 'This cannot be read.',
  unknown_name: (v) => `The name "${v.name}" is not known here. Known are ${list(v.known)}.`,
  one_edit: () => 'An edit has exactly one member.',
  file_too_large: (v) => `The file is larger than ${v.mostMillionCharacters} million characters.`,
  body_too_large: (v) =>
    v.mostKilobytes >= 1000
      ? `Up to ${v.mostKilobytes / 1000} million characters are accepted at once.`
      : 'This is more than is accepted here.',
  body_too_slow: () => 'The connection is too slow: it was given up. Nothing is saved; try again.',
  busy: () => 'Much is asked at once: try again in some seconds.',
  took_too_long: (v) =>
    `This sum takes longer than ${v.mostSeconds} seconds: it was ended. Ask for less at once.`,
  database_down: () => 'The database does not answer just now. Nothing is lost; try again soon.',
  disk_full: () => 'The disk is full: nothing can be saved until there is room on it.',
  foreign_file: (v) => `This is no farm file: its "format" should be "${v.format}".`,
  file_version: (v) =>
    v.version > v.newest
      ? `The file is of version ${v.version}, from a newer product; this one reads up to ${v.newest}.`
      : `The file's version should be a number from 1 to ${v.newest}.`,
  no_such_plan_in_file: (v) => `There is no plan ${v.plan}. There are: ${v.there}.`,

  not_geojson: () => 'This is no GeoJSON: a FeatureCollection is accepted.',
  too_many_features: (v) => `Up to ${v.most.toLocaleString('en-US')} shapes are accepted.`,
  in_pieces: (v) =>
    `${v.name} lies in ${v.pieces} pieces: each piece has to be a field of its own.`,
  no_shape: () => 'Polygons for fields and lines for water are accepted.',
  no_corners: () => 'The polygon has no corners.',
  no_field_in_file: () => 'The file holds no field that can be taken.',
  no_place: (v) => `${v.position} is no longitude and latitude in degrees (WGS 84).`,

  bad_rows: () => 'Some rows cannot be taken; nothing was changed.',
  too_many_rows: (v) => `Up to ${v.most.toLocaleString('en-US')} rows are accepted.`,
  no_rows: () => 'There are no rows below the header.',
  unknown_column: (v) => `This column is not known. Known are ${list(v.known)}.`,
  twice: (v) => `${v.name} is there twice.`,
  no_number: (v) => `A number is accepted, not "${v.cell}".`,
  no_whole_number: (v) => `A whole number is accepted, not "${v.cell}".`,
  no_yes_or_no: (v) => `Yes or no is accepted, not "${v.cell}".`,
  no_day_of_year: (v) => `A day like 03-15 for 15 March is accepted, not "${v.cell}".`,
  not_one_of: (v) => `One of ${list(v.choices)} is accepted, not "${v.cell}".`,
  not_known: (v) => `The product knows no "${v.cell}": write a name as the product shows it.`,

  offline: () => 'The server does not answer.',
  unknown: () => 'The server refused this and did not say why. Load the page again.',
};

function height(cm: number, at: At): string {
  return `${figure(cm, 'depth', at.system)} ${unitOf('depth', at.system)}`;
}

function distance(m: number, at: At): string {
  return `${figure(m, 'distance', at.system)} ${unitOf('distance', at.system)}`;
}

function plain(value: number): string {
  return value.toLocaleString('en-US', { maximumFractionDigits: 4 });
}

function isKnown(code: string): code is RefusalCode {
  return Object.hasOwn(SENTENCES, code);
}

function sentence(problem: Problem, system: System): string {
  const code = isKnown(problem.code) ? problem.code : 'unknown';
  const field = problem.field ?? '';
  const say = SENTENCES[code] as (v: Problem['values'], at: At) => string;
  return say(problem.values ?? {}, { name: FIELD_NAMES[field] ?? '', field, system });
}

/** A refusal in the user's units, with what would be accepted. */
export function problemText(problem: Problem, system: System): string {
  if (problem.code === 'stale_revision' && problem.since?.length) {
    const who = [...new Set(problem.since.map((r) => r.who || 'somebody'))].join(', ');
    return `Somebody changed the plan meanwhile (by ${who}). It is shown afresh.`;
  }
  // where a request of the client's own went wrong is not the user's business; in a file it is
  const inFile = /^(plans|records)\[/.test(problem.place ?? '');
  return (inFile ? `In the file at ${problem.place}: ` : '') + sentence(problem, system);
}

/** What is wrong in a row of a file. */
export function rowText(row: RowProblem, system: System): string {
  return (row.problem.place ? `${row.problem.place}: ` : '') + sentence(row.problem, system);
}

/** Every code that has a sentence. */
export const CODES = Object.keys(SENTENCES) as RefusalCode[];
