/** Members of the API in plain words and in the user's units. */
import { STATED } from '../api/stated';
import { figure, quantityOf, shown, unitOf, type System } from '../units/units';

/** Numbers and texts that a plan or a record states. */
export type StatedName = keyof typeof STATED;

/** What stands on the form; a stated number or text without a name is an error when it is built. */
const STATED_NAMES: Record<StatedName, string> = {
  'farm.audKg': 'An animal unit eats in a day',
  'farm.name': 'Name of the farm',
  'farm.note': 'Note on the farm',
  'farm.currency': 'Currency',
  'price.amount': 'Price',
  'field.utilization': 'Utilization',
  'field.residualKgPerHa': 'Leave at (residual)',
  'field.turnInKgPerHa': 'Turn in at',
  'field.paddocks': 'Paddocks inside',
  'field.block': 'Block',
  'heights.enterCm': 'Come in at',
  'heights.leaveCm': 'Leave at',
  'heights.againCm': 'Back again at',
  'heights.winterCm': 'Leave for winter',
  'field.areaHa': 'Area',
  'field.deductedHa': 'Off: water, buffers, hollows',
  'field.name': 'Name',
  'field.note': 'Note',
  'stand.yieldKgPerHa': 'Growth in a normal year',
  'stand.openingCoverKgPerHa': 'Cover on the first day',
  'stand.openingDeadShare': 'Of it standing dead',
  'soil.depthCm': 'Depth to rock or pan',
  'lie.slopeDeg': 'Slope, degrees',
  'lie.distanceM': 'From the yard',
  'lie.waterLPerDay': 'It gives at most, a day',
  'lie.waterCostPerM3': 'Cost of bringing water',
  'lie.formerly': 'What grew there before',
  'soilTest.ph': 'pH by the soil test',
  'soilTest.phosphorusMgPerKg': 'Phosphorus, mg/kg',
  'soilTest.potassiumMgPerKg': 'Potassium, mg/kg',
  'point.eastM': 'East of the corner',
  'point.northM': 'North of the corner',
  'seed.kg': 'That would be sown',
  'seed.note': 'Note',
  'bales.bales': 'Bales set out',
  'bales.atOnce': 'Opened at once',
  'bales.edgeM': 'Free along the edge',
  'bales.waterM': 'Free along water, at least',
  'bales.mostHeadDaysPerHa': 'At most',
  'bales.padWinters': 'Old pads left alone, years',
  'mixed.every': 'One of them in every',
  'keeping.conditionAtStart': 'Condition on the first day',
  'worth.proteinPct': 'Protein',
  'worth.tdnPct': 'TDN',
  'worth.fibrePct': 'Fibre',
  'worth.calciumPct': 'Calcium',
  'worth.phosphorusPct': 'Phosphorus',
  'standing.coverKgPerHa': 'Standing on the first day',
  'standing.deadShare': 'Of that dead',
  'standing.heatDegreeDays': 'Heat so far, degree-days',
  'ground.soilWaterShare': 'Soil water on the first day',
  'ground.nitrogenKgPerHa': 'Nitrogen free in the soil',
  'ground.nitrogenToComeKgPerHa': 'Nitrogen still to come free',
  'state.vigour': 'Vigour',
  'state.youngShare': 'Young part of the green',
  'state.youngRipeness': 'Ripeness of the young',
  'state.oldRipeness': 'Ripeness of the old',
  'state.ageDegreeDays': 'Heat since it was taken down',
  'state.stemsTaken': 'Stems taken',
  'breaks.towardsDeg': 'Moved on towards, degrees from north',
  'breaks.downhillDeg': 'Water runs off towards, degrees',
  'breaks.daysEach': 'Days on each break',
  'breaks.blocks': 'Breaks side by side',
  'breaks.waterM': 'Free along water, at least',
  'written.who': 'Who moves the wire and looks at them each day, and who stands in',
  'written.shelter': 'Where they lie dry and out of the wind',
  'written.wet': 'What is done when it rains for a week, or snow lies deep',
  'written.rules': 'What local rules ask for; it stands above all else here',
  'spacing.alongM': 'Along the row',
  'spacing.acrossM': 'From row to row',
  'spacing.rowsDeg': 'Rows run, degrees from north',
  'spacing.shiftAlongM': 'Bales moved along by',
  'spacing.shiftAcrossM': 'Rows moved across by',
  'rung.below': 'Less than',
  'rung.doThis': 'Then do this',
  'job.what': 'What is to be done',
  'job.forWhom': 'For whom',
  'job.note': 'About the job',
  'marked.job': 'Job',
  'marked.why': 'Why',
  'lifted.why': 'Why it is lifted',
  'split.newName': 'Name of the new field',
  'split.share': 'Share that becomes a field of its own',
  'off.bufferM': 'Strip kept to each side',
  'off.name': 'Name',
  'group.flatIntakeKgPerHeadDay': 'Flat intake',
  'group.head': 'Head',
  'group.weightKg': 'Weight of one',
  'group.gainKgPerDay': 'Daily gain',
  'group.birthSpreadDays': 'Births spread over days',
  'group.youngPerDam': 'Young for each dam',
  'group.name': 'Name',
  'headChange.moneyPerHead': 'Price of one',
  'headChange.head': 'Head that come or go',
  'headChange.note': 'Note',
  'keeping.conditionFloor': 'Lowest condition',
  'keeping.windKmPerHour': 'Mean wind in winter',
  'keeping.walkKmPerDay': 'Extra walk',
  'keeping.deathsPerYearShare': 'Deaths in a year',
  'keeping.besidesKgPerDay': 'Fed besides the plan',
  'lot.pricePerTonneAsFed': 'Price',
  'lot.units': 'Units',
  'lot.kgPerUnitAsFed': 'Weight of one, as fed',
  'lot.dmShare': 'Dry matter',
  'lot.name': 'Name',
  'lot.unitName': 'One unit is a',
  'lot.note': 'Note',
  'origin.makingPerUnit': 'Cost of making one',
  'origin.haulingPerUnit': 'Cost of hauling one',
  'origin.place': 'Place',
  'size.diameterM': 'Diameter',
  'size.widthM': 'Width',
  'size.lengthM': 'Length',
  'size.heightM': 'Height',
  'size.densityKgPerM3': 'Density as fed',
  'size.rindCm': 'Rind found',
  'size.weighedKg': 'Units weighed',
  'reserve.units': 'Units kept back',
  'ownForage.name': 'Name',
  'ownForage.note': 'Where the figures come from',
  'part.share': 'Share',
  'figures.minResidualKgPerHa': 'Stubble to leave',
  'figures.ceilingKgPerHa': 'Ceiling',
  'figures.dmPerCmKgPerHa': 'Dry matter in a centimetre',
  'figures.entryHeightCm': 'First use at',
  'figures.exitHeightCm': 'Leave at',
  'figures.regrazeHeightCm': 'Again at',
  'figures.winterLeaveHeightCm': 'Leave for winter',
  'figures.cutHeightCm': 'Cut at',
  'figures.utilizationSetStocked': 'Eaten set stocked',
  'figures.utilizationRotational': 'Eaten in rotation',
  'figures.utilizationStrip': 'Eaten in strips',
  'figures.senescencePerDay': 'Dies in a day',
  'figures.standingLossPerMonth': 'Lost standing, a month',
  'figures.rootDepthCm': 'Roots reach',
  'figures.droughtHold': 'Growth kept in drought',
  'figures.winterHardyC': 'Stands cold to',
  'figures.annualTypicalKgPerHa': 'Yield of a crop',
  'figures.proteinPoints': 'Protein, points more or less',
  'figures.tdnPoints': 'TDN, points more or less',
  'grid.longitudeDeg': 'Longitude of the map',
  'grid.latitudeDeg': 'Latitude of the map',
  'plan.name': 'Plan',
  'year.months': 'Months',
  'step.roundDays': 'Hold the round at, days',
  'portion.share': 'Of the diet',
  'portion.kgPerHeadDay': 'Dry matter',
  'terms.leastSoilWaterShare': 'Sown only where the soil holds, of its water',
  'terms.spreadYears': 'Cost spread over, years',
  'terms.paidShare': 'Of the cost, paid by others',
  'sowing.yieldKgPerHa': 'Yield when sown on time',
  'sowing.seedShare': 'Seed, of the full rate',
  'dressing.pricePerKg': 'Price of the nitrogen',
  'dressing.nitrogenKgPerHa': 'Nitrogen',
  'irrigation.waterMm': 'Water that reaches the soil',
  'scenario.name': 'Called',
  'overlay.amount': 'Change',
  'anchor.daysAfter': 'Days after its mark',
  'pass.whenKgPerHa': 'Whenever it stands at',
  'pass.leaveKgPerHa': 'Take it down to',
  'fed.units': 'Units fed',
  'record.note': 'Note',
  'counted.units': 'Units counted',
  'test.dmShare': 'Dry matter',
  'test.proteinPct': 'Protein',
  'test.tdnPct': 'TDN',
  'test.fibrePct': 'Fibre (NDF)',
  'test.calciumPct': 'Calcium',
  'test.phosphorusPct': 'Phosphorus',
  'test.nitratePct': 'Nitrate (NO3)',
  'test.laboratory': 'Laboratory',
  'condition.weightKg': 'Weight of one',
  'condition.score': 'Condition score',
  'stand.monthlyKgPerHaDay': 'Monthly growth',
  'measured.heightCm': 'Height',
  'seen.coverKgPerHa': 'Cover',
  'seen.deadShare': 'Dead share',
  'stem.pointCm': 'Growing point or foot of the head at',
  'held.why': 'Why it is shut or open',
  'fed.leftShare': 'Left of the last time, %',
  'births.dams': 'Gave birth',
  'births.young': 'Young that live',
  'counted.head': 'Head counted, grown ones',
  'stake.name': 'Place or stake',
  'stake.heightCm': 'Height there',
  'noticed.rainMm': 'Rain in the gauge since the last time',
  'noticed.frostC': 'Lowest of the night',
  'noticed.snowCm': 'Snow lying',
  'noticed.soilShare': 'Water in the soil',
  'plate.reading': 'Reading of the plate',
  'plate.perUnitKg': "The plate's line: for each unit",
  'plate.baseKg': 'and on top',
  'clip.freshG': 'Cut and weighed fresh, g',
  'clip.dmShare': 'Dry matter of it',
  'clip.frameM2': 'Frame, square metres',
  'setOut.units': 'Set out at once',
  'setOut.heldShare': 'Days held for each of feed',
  'stand.nitrogenKgPerHa': 'Nitrogen in the year',
  'stand.costPerHa': 'Other cost a year',
  'terms.weightKg': 'Weight of the cattle',
  'terms.nitrogenPricePerKg': 'Price of nitrogen',
  'terms.valuePerKgGain': 'Worth of gain',
  'terms.costShare': 'Of the cost others bear',
};

/** Dates, choices and whole things, which are refused too. */
const OTHER_NAMES: Record<string, string> = {
  'alsoIn.plan': 'Also in',
  'walk.on': 'Walked on',
  'seen.heightsCm': 'Heights',
  'seen.plate': 'Readings of the plate',
  'seen.clips': 'Frames',
  'record.stems': 'Stems',
  'stem.stageId': 'Stage of a stem',
  'noticed.what': 'What was seen',
  'farm.plans': 'Plans of a farm',
  'farm.members': 'People of a farm',
  'farm.invitations': 'Open invitations',
  'person.farms': 'Farms of your own',
  'weather.rows': 'Rows of the weather file',
  'sowing.sowOn': 'Sown on',
  'terms.preparedOn': 'Ground prepared from',
  'sowing.endsOn': 'Ended on',
  'overlay.dates': 'Dates',
  'field.outline': 'Shape on the map',
  'outline.edge': 'Corners',
  'outline.off': 'Water, hollows and pads in it',
  'lie.onlyGroups': 'Who may graze',
  'pass.dates': 'Dates of the passes',
  'cut.harvestMethodId': 'Made as',
  'stand.dates': 'Dates of the stand',
  'headChange.dates': 'Dates of a coming or going',
  'test.dates': 'Dates of the test',
  'haySum.dates': 'Days of the hay sum',
  'quick.days': 'Days of hay',
  'quick.intoThemKgPerUnit': 'What one bale puts into them',
  'quick.dates': 'Days of hay',
  'group.dates': 'Dates of the group',
  'closing.dates': 'Dates',
  'step.dates': 'Dates',
};

/** A member of the API as it stands on its form; nothing where it has no name of its own. */
export const FIELD_NAMES: Record<string, string> = { ...OTHER_NAMES, ...STATED_NAMES };

/** What is accepted of that member, if it is a number with a description. */
export function statedNumber(name: string | undefined) {
  const said = name && Object.hasOwn(STATED, name) ? STATED[name as StatedName] : undefined;
  return said && 'min' in said ? said : undefined;
}

/** What is accepted of that member, if it is a text with a description. */
export function statedText(name: string | undefined) {
  const said = name && Object.hasOwn(STATED, name) ? STATED[name as StatedName] : undefined;
  return said && 'most' in said ? said : undefined;
}

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
