/** npm test: makes a fresh clone ready, then every check and every test; the last line is the total. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, root } from './prepare.mjs';

checkNode();
ensureInstalled();
const scratch = path.join(root, '.tmp');
rmSync(scratch, { recursive: true, force: true });
mkdirSync(scratch, { recursive: true });

let passed = 0;
let failed = 0;

function execute(command, args) {
  return (
    spawnSync(command, args, {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
    }).status === 0
  );
}

/** A check that passes or fails as a whole. */
function check(name, command, args) {
  console.log(`\n== ${name}`);
  if (execute(command, args)) passed += 1;
  else {
    failed += 1;
    console.error(`${name}: failed`);
  }
}

/** A runner that writes its own counts; one that dies without them counts as one failure. */
function suite(name, command, args, report, count) {
  console.log(`\n== ${name}`);
  const ok = execute(command, args);
  const file = path.join(scratch, report);
  const counts = existsSync(file) ? count(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 1 };
  passed += counts.passed;
  failed += counts.failed;
  if (!ok && counts.failed === 0) failed += 1;
}

/** Debian's Chromium, installed through apt where that is possible. */
function chromiumIsThere() {
  if (existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) return true;
  console.log('\n== Installing Chromium');
  const silent = { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  if (spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0) {
    spawnSync('apt-get', ['update', '-qq'], silent);
    spawnSync('apt-get', ['install', '-y', '-qq', 'chromium'], silent);
  }
  return existsSync('/usr/bin/chromium');
}

check('Types', 'npx', ['tsc', '--noEmit', '-p', 'tsconfig.json']);
check('Lint', 'npx', ['eslint', '.']);
check('Laid out by the formatter', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
check('Arrows run one way', 'npm', ['run', '--silent', 'arrows']);
check('No dead exports', 'npm', ['run', '--silent', 'exports']);
suite(
  'Unit and component tests',
  'npx',
  // Left to itself it keeps one core free, which on two is every other one.
  ['jest', '--maxWorkers', '100%', '--json', '--outputFile', path.join(scratch, 'jest.json'), '--silent=false'],
  'jest.json',
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
  }),
);
await ensureBuilt();
if (chromiumIsThere()) {
  suite('Browser tests', 'npx', ['playwright', 'test'], 'playwright.json', ({ stats }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky,
  }));
} else {
  console.error('Browser tests need Chromium: install Debian’s package "chromium", or set CHROMIUM to its path.');
  failed += 1;
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
