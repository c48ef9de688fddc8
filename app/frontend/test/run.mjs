// Runs the tests of the scripts with node's own runner. What they talk to (server, store of the browser) stands beside them as a stub.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const here = dirname(fileURLToPath(import.meta.url));
const out = mkdtempSync(join(tmpdir(), 'homalon-scripts-'));
const stubs = {
  name: 'stubs',
  setup(b) {
    b.onResolve({ filter: /^\.\/(server|outbox-store|shell)\.js$/ }, ({ path }) => ({ path: join(here, path.replace('.js', '.stub.js')) }));
  },
};
const tests = readdirSync(here).filter((f) => f.endsWith('.test.js'));
await build({
  entryPoints: tests.map((f) => join(here, f)),
  outdir: out,
  outExtension: { '.js': '.mjs' },
  bundle: true,
  format: 'esm',
  platform: 'node',
  plugins: [stubs],
  logLevel: 'warning',
});
const run = spawnSync(process.execPath, ['--test', ...tests.map((f) => join(out, f.replace('.js', '.mjs')))], { stdio: 'inherit' });
rmSync(out, { recursive: true });
process.exit(run.status ?? 1);
