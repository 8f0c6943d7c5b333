/** Simulated years that have a name of their own since a thousand were run, by their key. */
export const yearNames = $state<Record<string, string>>({});

/** Puts names in place of those of another plan or state of it. */
export function nameYears(names: Record<string, string>) {
  for (const key of Object.keys(yearNames)) delete yearNames[key];
  Object.assign(yearNames, names);
}
