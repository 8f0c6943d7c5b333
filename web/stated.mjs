// Takes what is said of every stated number and text from the API's description into a small file,
// so that the page does not carry the whole description.
import { readFileSync, writeFileSync } from 'node:fs';

const { Stated } = JSON.parse(readFileSync('openapi.json', 'utf8')).components.schemas;
const lines = Object.entries(Stated.properties).map(([name, s]) => {
  const types = [s.type].flat();
  const said = types.includes('string')
    ? { least: s.minLength, most: s.maxLength }
    : {
        min: s.minimum,
        max: s.maximum,
        whole: types.includes('integer'),
        optional: types.includes('null'),
      };
  return `  ${JSON.stringify(name)}: ${JSON.stringify(said)},`;
});
writeFileSync(
  'src/api/stated.ts',
  `/** Made from openapi.json: what is accepted of each stated number and text, in SI. */
export const STATED = {
${lines.join('\n')}
} as const;
`,
);
