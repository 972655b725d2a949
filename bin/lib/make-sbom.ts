import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';

// What the program is built of, as a CycloneDX list. With --check it says whether the list that is kept is true today.
const FILE = 'docs/sbom.json';

interface Component {
  readonly name: string;
  readonly version: string;
  readonly purl: string;
  readonly licenses?: readonly unknown[];
  readonly hashes?: readonly unknown[];
}
const made = JSON.parse(
  execFileSync('npm', ['sbom', '--sbom-format=cyclonedx', '--package-lock-only', '--omit=dev'], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
    maxBuffer: 1e8,
  }),
) as { bomFormat: string; specVersion: string; components: readonly Component[] };
const pinned = JSON.parse(readFileSync('package.json', 'utf8')) as Record<string, Record<string, string>>;
for (const [name, version] of Object.entries({ ...pinned.dependencies, ...pinned.devDependencies }))
  if (!/^\d+\.\d+\.\d+$/.test(version)) throw new Error(`${name} is not pinned: ${version}`);

// Without its date and number, so that the same packages make the same list; without addresses.
const components = made.components
  .map(({ name, version, purl, licenses, hashes }) => ({ type: 'library', name, version, purl, licenses, hashes }))
  .toSorted((a, b) => (a.purl < b.purl ? -1 : 1));
const { bomFormat, specVersion } = made;
const head = JSON.stringify({ bomFormat, specVersion, version: 1 }).slice(0, -1);
const text = `${head},"components":[\n${components.map((c) => JSON.stringify(c)).join(',\n')}\n]}\n`;
if (process.argv[2] !== '--check') writeFileSync(FILE, text);
else if (readFileSync(FILE, 'utf8') !== text) {
  console.error(`${FILE} is out of date: node_modules/.bin/tsx bin/lib/make-sbom.ts`);
  process.exitCode = 1;
}
