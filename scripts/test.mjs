import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, install, run } from './tools.mjs';

/* Everything that has to hold: types, lint, format, unit tests, and the built application in Chromium.
   The last line counts: each test is one, and so is each of the checks that is no test. */

let passed = 0;
let failed = 0;
const broken = [];
/** What broke outside of any test. */
const said = [];

/** The end of a runner's text, from its heading of errors that belong to no test where it has one. */
function outside(text) {
  const heading = text.search(/Unhandled (?:Errors|Rejection)/);
  return text.slice(heading >= 0 ? heading : -4000).slice(0, 4000);
}

/** A check that is no test. Beside others it keeps what it says until it ends. */
async function check(name, command, args, beside = false) {
  if (!beside) process.stderr.write(`\n— ${name}\n`);
  const { code, text } = await run(command, args, { quiet: beside });
  if (beside) process.stderr.write(`\n— ${name}\n${text}`);
  if (code === 0) passed += 1;
  else {
    failed += 1;
    broken.push(name);
  }
  return code === 0;
}

/** Runs a test runner that writes a JSON report, and adds its counts. */
async function count(name, command, args, env, file, read) {
  process.stderr.write(`\n— ${name}\n`);
  const { code, text } = await run(command, args, { env });
  let ran = { passed: 0, failed: 0 };
  try {
    ran = read(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    process.stderr.write(`${name}: no report was written\n`);
  }
  passed += ran.passed;
  failed += ran.failed;
  // a runner that fails without a failed test, or runs none, has failed all the same
  if ((code !== 0 && ran.failed === 0) || ran.passed + ran.failed === 0) failed += 1;
  if (code === 0 && ran.passed > 0) return;
  broken.push([name, ...(ran.names ?? [])].join(': '));
  // no test has its name: what the runner says at its end is told again at ours
  if (ran.failed === 0) said.push(`— ${name} ended with code ${code}\n${outside(text)}`);
}

const reports = mkdtempSync(join(tmpdir(), 'pyrgotect-'));
try {
  install();
  const browser = chromium();
  const unit = join(reports, 'unit.json');
  const tests = count(
    'unit tests',
    'npx',
    ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`],
    {},
    unit,
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests,
      names: report.testResults.flatMap((file) => [
        ...file.assertionResults
          .filter((one) => one.status === 'failed')
          .map((one) => one.fullName),
        ...(file.status === 'failed' && file.assertionResults.length === 0 ? [file.name] : []),
      ]),
    }),
  );
  // on two cores: while one compiles, the other tests
  await check('types', 'npm', ['run', '-s', 'typecheck'], true);
  await check('lint', 'npm', ['run', '-s', 'lint'], true);
  await check('format', 'npm', ['run', '-s', 'format'], true);
  await tests;
  if (await check('build', 'npm', ['run', '-s', 'build'])) {
    const e2e = join(reports, 'e2e.json');
    await count(
      'interface tests',
      'npx',
      ['playwright', 'test', '-c', 'e2e/playwright.config.ts', '--reporter=list,json'],
      { CHROMIUM: browser, PLAYWRIGHT_JSON_OUTPUT_NAME: e2e },
      e2e,
      ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }),
    );
  }
} catch (error) {
  failed += 1;
  broken.push(error.message);
} finally {
  rmSync(reports, { recursive: true, force: true });
}
for (const one of said) process.stdout.write(`\n${one}\n`);
if (broken.length > 0) process.stdout.write(`\nNot right: ${broken.join(', ')}\n`);
process.stdout.write(`${passed} passed, ${failed} failed\n`);
process.exitCode = failed > 0 ? 1 : 0;
