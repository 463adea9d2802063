/** Makes a fresh clone ready: installs what the lock names and builds the app when it is missing or stale. Needs Node.js and npm only. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
export const appFolder = path.join(root, 'app/dist');

const OLDEST_NODE = [20, 19];

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor >= OLDEST_NODE[1])) return;
  console.error(`Dulvan needs Node.js ${OLDEST_NODE.join('.')} or later; this is ${process.versions.node}.`);
  process.exit(1);
}

/** Runs a command, its output shown, and stops everything when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.status !== 0) {
    console.error(`\n${[command, ...args].join(' ')} failed.`);
    process.exit(result.status ?? 1);
  }
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex');

export function ensureInstalled() {
  const stamp = path.join(root, 'node_modules/.dulvan-installed');
  const wanted = hashOf(readFileSync(path.join(root, 'package-lock.json')));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages (a few minutes the first time) ...');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, wanted);
}

const SOURCES = ['app', 'catalogue', 'contract', 'core', 'formats'];
const NOT_SOURCES = new Set(['node_modules', 'dist', '.expo', 'reference']);

function filesUnder(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (NOT_SOURCES.has(entry.name) || entry.name.includes('.test.')) return [];
    const file = path.join(folder, entry.name);
    return entry.isDirectory() ? filesUnder(file) : [file];
  });
}

/** Files as one hash: their paths and what they hold. */
function hashOfFiles(files) {
  const hash = createHash('sha256');
  for (const file of files.sort())
    hash.update(path.relative(root, file)).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

/** What the built app depends on, as one hash: its sources and the lock. */
const sourceHash = () =>
  hashOfFiles([
    ...SOURCES.flatMap((folder) => filesUnder(path.join(root, folder))),
    path.join(root, 'package-lock.json'),
  ]);

/** Names the engine by all that its figures come from: the same name, the same figures. */
export const engineName = () =>
  hashOfFiles(['core/src', 'catalogue'].flatMap((folder) => filesUnder(path.join(root, folder)))).slice(0, 16);

export async function ensureBuilt() {
  const stamp = path.join(appFolder, '.built-from');
  const wanted = sourceHash();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Building the app (two to three minutes the first time) ...');
  run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: path.join(root, 'app'),
    env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1' },
  });
  // The solver of joint plans is loaded by a worker when a plan is asked for.
  for (const file of ['highs.js', 'highs.wasm']) {
    mkdirSync(path.join(appFolder, 'solver'), { recursive: true });
    copyFileSync(path.join(root, 'node_modules/highs/build', file), path.join(appFolder, 'solver', file));
  }
  const { pack } = await import('./pack.mjs');
  await pack(appFolder);
  mkdirSync(appFolder, { recursive: true });
  writeFileSync(stamp, wanted);
}
