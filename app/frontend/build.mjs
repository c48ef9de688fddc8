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

function once(stamp, value, work) {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === value) return;
  work();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, value);
}

const lock = join(here, 'package-lock.json');
once(join(here, 'node_modules', '.from-lock'), hash([lock]), () => {
  execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts'], { cwd: here, stdio: 'inherit' });
});

const bin = (name) => join(here, 'node_modules', '.bin', name);
const sources = [...files(join(here, 'src')), ...files(templates), join(here, 'tailwind.config.cjs'), lock, fileURLToPath(import.meta.url)];
once(join(out, '.from-sources'), hash(sources), () => {
  mkdirSync(join(assets, 'fonts'), { recursive: true });
  execFileSync(bin('tailwindcss'), ['-c', 'tailwind.config.cjs', '-i', 'src/app.css', '-o', join(assets, 'app.css'), '--minify'], {
    cwd: here,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  execFileSync(
    bin('esbuild'),
    ['src/main.js', '--bundle', '--minify', '--target=es2022', '--log-level=warning', `--outfile=${join(assets, 'app.js')}`],
    { cwd: here, stdio: 'inherit' },
  );
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
      const file = `${name}-latin-${weight}-normal.woff2`;
      cpSync(join(here, 'node_modules', '@fontsource', name, 'files', file), join(assets, 'fonts', file));
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
  mkdirSync(join(out, 'report-fonts'), { recursive: true });
  for (const [name, folders] of Object.entries(print)) {
    for (const [folder, file] of Object.entries(folders)) {
      cpSync(join(here, 'node_modules', '@expo-google-fonts', name, folder, file), join(out, 'report-fonts', file));
    }
  }
});
