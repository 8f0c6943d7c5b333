/** What a plan takes as usual because nobody has said it, the weightiest first, and where to say it. */

export interface Missing {
  text: string;
  /** Where it is said, below the plan's address. */
  to: string;
}

type Said = {
  farm: {
    groups: { id: string; name: string }[];
    fields: {
      id: string;
      name: string;
      soil: unknown;
      stand: { forageId: string; openingCoverKgPerHa: number | null };
    }[];
  };
  plan: { steps: { groupId: string }[]; cuts: unknown[]; purchases: unknown[] };
  year: {
    lots: {
      id: string;
      name: string;
      unitName: string;
      worthFrom: string;
      weighedErrorKg: number | null;
    }[];
  };
};

/** "Field 1", "Field 1 and Field 2", "5 fields". */
function named(things: { name: string }[], what: string): string {
  return things.length > 2 ? `${things.length} ${what}` : things.map((t) => t.name).join(' and ');
}

/**
 * Empty of a plan without animals: nothing can be answered before they are said.
 *
 * @param bare forages of which nothing stands on the first day, as residue and fallow
 */
export function missing(view: Said, bare: string[] = []): Missing[] {
  const { farm, plan, year } = view;
  if (farm.groups.length === 0) return [];
  const found: Missing[] = [];
  const unfed = farm.groups.filter((g) => !plan.steps.some((s) => s.groupId === g.id));
  if (unfed.length)
    found.push({
      text: `what ${named(unfed, 'groups')} may eat`,
      to: `herd?group=${unfed[0].id}&side=feeds`,
    });
  if (farm.fields.length === 0) found.push({ text: 'the ground: nothing grows here', to: 'land' });
  if (year.lots.length + plan.cuts.length + plan.purchases.length === 0)
    found.push({ text: 'hay: none is put by', to: 'store' });
  const unseen = farm.fields.filter(
    (f) => f.stand.openingCoverKgPerHa === null && !bare.includes(f.stand.forageId),
  );
  if (unseen.length)
    found.push({
      text: `what stands on ${named(unseen, 'fields')} on the first day (half grown)`,
      to: `land?field=${unseen[0].id}&side=seen`,
    });
  const unweighed = year.lots.filter((l) => l.weighedErrorKg === null && l.worthFrom !== 'CUT');
  if (unweighed.length)
    found.push({
      text:
        unweighed.length === 1
          ? `what a ${unweighed[0].unitName} of ${unweighed[0].name} weighs`
          : `what a unit of ${named(unweighed, 'lots')} weighs`,
      to: `store?lot=${unweighed[0].id}&side=records`,
    });
  const unknown = year.lots.filter((l) => l.worthFrom === 'ASSUMED');
  if (unknown.length)
    found.push({
      text: `what kind of feed ${named(unknown, 'lots')} is`,
      to: `store?lot=${unknown[0].id}&side=lot`,
    });
  const soilless = farm.fields.filter((f) => f.soil === null && !bare.includes(f.stand.forageId));
  if (soilless.length)
    found.push({
      text: `the soil of ${named(soilless, 'fields')}`,
      to: `land?field=${soilless[0].id}&side=place`,
    });
  return found;
}
