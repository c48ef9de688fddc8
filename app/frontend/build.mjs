// Builds styles, scripts and fonts into the folder given, only when something that they are made from has changed.
import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));
const out = process.argv[2];
const assets = join(out, 'static', 'assets');
const templates = join(here, '..', 'src', 'main', 'resources', 'templates');

function files(dir) {
  return readdirSync(dir)
    .sort()
    .flatMap((name) => {
      const path = join(dir, name);
      return statSync(path).isDirectory() ? files(path) : [path];
    });
}

function hash(paths) {
  const sum = createHash('sha256');
  for (const path of paths) sum.update(path.slice(here.length)).update(readFileSync(path));
  return sum.digest('hex');
}

async function once(stamp, value, work) {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === value) return;
  await work();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, value);
}

const lock = join(here, 'package-lock.json');
await once(join(here, 'node_modules', '.from-lock'), hash([lock]), () => {
  execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts'], { cwd: here, stdio: 'inherit' });
});

const bin = (name) => join(here, 'node_modules', '.bin', name);
/** Tailwind itself, without its own program: that comes with native parts for a newer Node than Debian's. */
async function styles(out) {
  const { compile } = await import('tailwindcss');
  const loadStylesheet = async (id, base) => {
    const path = id.startsWith('.') ? join(base, id) : join(here, 'node_modules', id === 'tailwindcss' ? 'tailwindcss/index.css' : id);
    return { path, base: dirname(path), content: readFileSync(path, 'utf8') };
  };
  const { build } = await compile(readFileSync(join(here, 'src', 'app.css'), 'utf8'), { base: join(here, 'src'), loadStylesheet });
  const words = new Set(files(templates).flatMap((path) => readFileSync(path, 'utf8').replaceAll('&amp;', '&').match(/[^\s"'`<>=]+/g)));
  const oldest = '--target=chrome111,firefox128,safari16.4';
  const small = ['--loader=css', '--minify', oldest, '--log-level=warning'];
  writeFileSync(out, execFileSync(bin('esbuild'), small, { cwd: here, input: build([...words]) }));
}

const sources = [...files(join(here, 'src')), ...files(join(here, 'static')), ...files(templates), lock, fileURLToPath(import.meta.url)];
await once(join(out, '.from-sources'), hash(sources), async () => {
  mkdirSync(join(assets, 'files'), { recursive: true });
  await styles(join(assets, 'app.css'));
  execFileSync(
    bin('esbuild'),
    ['src/main.js', '--bundle', '--minify', '--target=es2022', '--log-level=warning', `--outfile=${join(assets, 'app.js')}`],
    { cwd: here, stdio: 'inherit' },
  );
  execFileSync(bin('esbuild'), ['src/worker.js', '--bundle', '--minify', '--target=es2022', '--define:process.env.NODE_ENV="production"', '--log-level=warning', `--outfile=${join(assets, 'worker.js')}`], { cwd: here, stdio: 'inherit' });
  execFileSync(bin('esbuild'), ['src/old.js', '--minify', '--target=es5', '--log-level=warning', `--outfile=${join(assets, 'old.js')}`], {
    cwd: here,
    stdio: 'inherit',
  });
  const web = [
    ['barlow-condensed', [600, 700]],
    ['atkinson-hyperlegible-next', [400, 700]],
    ['atkinson-hyperlegible-mono', [500, 700]],
  ];
  for (const [name, weights] of web) {
    for (const weight of weights) {
      for (const format of ['woff2', 'woff']) {
        const file = `${name}-latin-${weight}-normal.${format}`;
        cpSync(join(here, 'node_modules', '@fontsource', name, 'files', file), join(assets, 'files', file));
      }
    }
  }
  // The printed report needs TrueType.
  const print = {
    'barlow-condensed': { '600SemiBold': 'BarlowCondensed_600SemiBold.ttf' },
    'atkinson-hyperlegible-next': {
      '400Regular': 'AtkinsonHyperlegibleNext_400Regular.ttf',
      '700Bold': 'AtkinsonHyperlegibleNext_700Bold.ttf',
    },
    'atkinson-hyperlegible-mono': { '500Medium': 'AtkinsonHyperlegibleMono_500Medium.ttf' },
  };
  cpSync(join(here, 'static'), assets, { recursive: true });
  mkdirSync(join(out, 'report-fonts'), { recursive: true });
  for (const [name, folders] of Object.entries(print)) {
    for (const [folder, file] of Object.entries(folders)) {
      cpSync(join(here, 'node_modules', '@expo-google-fonts', name, folder, file), join(out, 'report-fonts', file));
    }
  }
});
