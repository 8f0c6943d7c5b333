// Writes docs/licences.md: what the product is made with, and under which licence, from Maven's list and the npm lock.
import { readFileSync } from 'node:fs';

const maven = readFileSync(process.argv[2], 'utf8')
  .split('\n')
  .map((line) => /^\s*((?:\([^()]*(?:\([^()]*\)[^()]*)*\)\s*)+)(.*) \(([^\s]+:[^\s]+:[^\s]+) - .*\)\s*$/.exec(line))
  .filter(Boolean)
  .map(([, licences, , coordinates]) => ({
    name: coordinates,
    licence: licences.trim().replace(/^\(|\)$/g, '').replace(/\)\s*\(/g, ' or '),
  }));

const lock = JSON.parse(readFileSync('web/package-lock.json', 'utf8'));
const npm = Object.entries(lock.packages)
  .filter(([path, p]) => path.includes('node_modules/') && !p.optional)
  .map(([path, p]) => ({
    name: `${path.slice(path.lastIndexOf('node_modules/') + 13)} ${p.version}`,
    licence: p.license ?? licenceOf(path),
    ships: !p.dev,
  }));

function licenceOf(path) {
  try {
    return JSON.parse(readFileSync(`web/${path}/package.json`, 'utf8')).license ?? 'not stated';
  } catch {
    return 'not stated';
  }
}

const table = (rows) =>
  ['| package | licence |', '|---|---|']
    .concat(
      [...new Map(rows.map((r) => [r.name, r])).values()]
        .sort((a, b) => a.name.localeCompare(b.name))
        .map((r) => `| ${r.name} | ${r.licence} |`),
    )
    .join('\n');

console.log(`# Licences

What the product is made with. Renewed by \`./larder licences\`.

## In the web client
${table(npm.filter((p) => p.ships))}

## In the server, its tests and its measures (Maven)
${table(maven)}

## To build and check the web client only
${table(npm.filter((p) => !p.ships))}
`);
