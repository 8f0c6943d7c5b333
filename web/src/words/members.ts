/** Members of the API in plain words and in the user's units. */
import { figure, quantityOf, shown, unitOf, type System } from '../units';

export const FIELD_NAMES: Record<string, string> = {
  'field.name': 'Name',
  'group.name': 'Name',
  'lot.name': 'Name',
  'farm.name': 'Name',
  'lot.unitName': 'Unit',
  'field.areaHa': 'Area',
  'field.deductedHa': 'Off for water and buffers',
  'field.utilization': 'Utilization',
  'soil.depthCm': 'Soil depth',
  'sowing.sowOn': 'Sown on',
  'sowing.endsOn': 'Ended on',
  'sowing.seedShare': 'Seed',
  'sowing.yieldKgPerHa': 'Yield when sown on time',
  'dressing.nitrogenKgPerHa': 'Nitrogen',
  'irrigation.waterMm': 'Water',
  'overlay.amount': 'Change',
  'overlay.dates': 'Dates',
  'field.outline': 'Shape on the map',
  'outline.edge': 'Corners',
  'outline.off': 'Water, hollows and pads in it',
  'off.bufferM': 'Strip',
  'lie.slopeDeg': 'Slope',
  'lie.onlyGroups': 'Who may graze',
  'pass.whenKgPerHa': 'Cover at which a pass starts',
  'pass.leaveKgPerHa': 'Cover that a pass leaves',
  'pass.dates': 'Dates of the passes',
  'cut.harvestMethodId': 'Made as',
  'field.residualKgPerHa': 'Residual',
  'field.turnInKgPerHa': 'Turn in at',
  'stand.yieldKgPerHa': 'Yearly growth',
  'stand.openingCoverKgPerHa': 'Cover on the first day',
  'stand.openingDeadShare': 'Standing dead',
  'stand.monthlyKgPerHaDay': 'Monthly growth',
  'stand.dates': 'Dates of the stand',
  'group.head': 'Head',
  'group.weightKg': 'Weight',
  'group.gainKgPerDay': 'Daily gain',
  'group.flatIntakeKgPerHeadDay': 'Flat intake',
  'group.birthSpreadDays': 'Spread of births',
  'keeping.windKmPerHour': 'Wind',
  'keeping.walkKmPerDay': 'Extra walk',
  'keeping.deathsPerYearShare': 'Deaths in a year',
  'keeping.besidesKgPerDay': 'Fed besides the plan',
  'keeping.conditionFloor': 'Lowest condition accepted',
  'headChange.head': 'Head that come or go',
  'headChange.moneyPerHead': 'Price of one',
  'headChange.dates': 'Dates of a coming or going',
  'condition.score': 'Condition score',
  'condition.weightKg': 'Weight when scored',
  'origin.makingPerUnit': 'Cost of making one',
  'origin.haulingPerUnit': 'Cost of hauling one',
  'size.weighedKg': 'Units weighed',
  'size.diameterM': 'Diameter',
  'size.widthM': 'Width',
  'size.lengthM': 'Length',
  'size.heightM': 'Height',
  'size.densityKgPerM3': 'Density',
  'size.rindCm': 'Rind',
  'reserve.units': 'Kept back',
  'test.dmShare': 'Dry matter of the test',
  'test.proteinPct': 'Protein of the test',
  'test.tdnPct': 'TDN of the test',
  'test.fibrePct': 'Fibre of the test',
  'test.nitratePct': 'Nitrate of the test',
  'test.dates': 'Dates of the test',
  'record.units': 'Units written down',
  'haySum.dates': 'Days of the hay sum',
  'setOut.units': 'Units at once',
  'setOut.heldShare': 'Days held for each of feed',
  'quick.days': 'Days of hay',
  'quick.dates': 'Days of hay',
  'lie.waterLPerDay': 'Water there',
  'lie.waterCostPerM3': 'Cost of bringing water',
  'step.mostShare': 'Most of the diet',
  'group.youngPerDam': 'Young for each dam',
  'group.dates': 'Dates of the group',
  'lot.units': 'Units',
  'lot.kgPerUnitAsFed': 'Weight of a unit',
  'lot.dmShare': 'Dry matter',
  'lot.pricePerTonneAsFed': 'Price',
  'year.months': 'Length',
  'closing.dates': 'Dates',
  'step.dates': 'Dates',
};

/** A member of the API in plain words, as within a sentence: "area". */
export function memberWord(member: string): string {
  return (FIELD_NAMES[member] ?? bareName(member)).toLowerCase();
}

function bareName(member: string): string {
  return member
    .slice(member.lastIndexOf('.') + 1)
    .replace(/(Kg|Ha|Share|Inclusive|Exclusive|Id)(Per[A-Za-z]+)?$/, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();
}

/** A member of the API in plain words with its unit: "Area, ac". */
export function memberName(member: string, system: System): string {
  const bare = bareName(member);
  const name = FIELD_NAMES[member] ?? bare.charAt(0).toUpperCase() + bare.slice(1);
  const unit = unitOf(quantityOf(member), system);
  return unit ? `${name}, ${unit}` : name;
}

/** The value of a member in the user's units. */
export function memberValue(member: string, value: unknown, system: System): string {
  if (value === null || value === undefined || value === '') return 'not stated';
  if (typeof value === 'number') return figure(value, quantityOf(member), system);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value) && value.some((v) => typeof v === 'object')) {
    return String(value.length);
  }
  if (Array.isArray(value)) {
    return value
      .map((v) => (typeof v === 'number' ? figure(v, quantityOf(member), system) : String(v)))
      .join(', ');
  }
  return typeof value === 'object' ? 'stated' : String(value);
}

/** "14.0 to 20.0"; with more decimals where the usual ones show no difference. */
export function memberChange(member: string, before: unknown, after: unknown, system: System) {
  const was = memberValue(member, before, system);
  const is = memberValue(member, after, system);
  if (was !== is || typeof before !== 'number' || typeof after !== 'number')
    return `${was} to ${is}`;
  const q = quantityOf(member);
  const exact = (si: number) => String(Number(shown(si, q, system).toPrecision(10)));
  return `${exact(before)} to ${exact(after)}`;
}
