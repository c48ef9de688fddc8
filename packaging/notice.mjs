// Adds what the browser is served to the bill of materials, and writes NOTICE: every library, font and script that ships, its
// version and its licence. notice.mjs <bill> <front end's folder> <bill to write> <NOTICE to write>
import { readFileSync, writeFileSync, existsSync } from 'node:fs';
import { join } from 'node:path';

const [bill, frontend, billOut, noticeOut] = process.argv.slice(2);
const sbom = JSON.parse(readFileSync(bill, 'utf8'));
const wanted = Object.keys(JSON.parse(readFileSync(join(frontend, 'package.json'), 'utf8')).dependencies);
const shipped = wanted.map((name) => {
  const dir = join(frontend, 'node_modules', name);
  const about = JSON.parse(readFileSync(join(dir, 'package.json'), 'utf8'));
  const files = ['LICENSE', 'LICENSE.md', 'LICENSE.txt', 'LICENSE_FONT', 'OFL.txt'].map((f) => join(dir, f)).filter((f) => existsSync(f));
  return { name, version: about.version, licence: about.license, text: files.map((f) => readFileSync(f, 'utf8').trim()).join('\n\n') };
});
sbom.components ??= [];
for (const s of shipped) {
  const purl = `pkg:npm/${s.name.replace('@', '%40')}@${s.version}`;
  if (sbom.components.some((c) => c.purl === purl)) continue;
  sbom.components.push({
    type: 'library',
    'bom-ref': purl,
    name: s.name,
    version: s.version,
    purl,
    licenses: [{ license: { name: s.licence } }],
  });
}
writeFileSync(billOut, JSON.stringify(sbom, null, 1));

const licences = (c) =>
  (c.licenses ?? []).map((l) => l.expression ?? l.license?.id ?? l.license?.name).filter(Boolean).join(' or ') || 'see its own files';
const lines = sbom.components
  .filter((c) => c.scope !== 'excluded')
  .map((c) => `${[c.group, c.name].filter(Boolean).join(':')} ${c.version}: ${licences(c)}`)
  .sort();
writeFileSync(
  noticeOut,
  [
    'Homalon',
    'Copyright 2026 the Homalon maintainers, under the Apache License, version 2.0.',
    '',
    'It ships the libraries, fonts and scripts below, each under its own licence. Licence texts of Java libraries lie in their',
    'own files under META-INF; those of fonts and scripts follow the list.',
    '',
    ...lines,
    ...shipped.flatMap((s) => ['', '='.repeat(100), `${s.name} ${s.version}`, '', s.text || `Licence: ${s.licence}`]),
    '',
  ].join('\n'),
);
