import { readFileSync } from 'node:fs';
import {
  readBuildFile,
  startingPantry,
  mergeRows,
  withRows,
  inchesAndOunces,
  metric,
} from '@pyrgotect/core';
import { planCarved } from '@pyrgotect/core/solids';
import { planTable } from './table.ts';

const usage = `plan [--table] [--inches] FILE

Prints the plan of a build file as JSON.
  --table   as a table to read
  --inches  the table in inches, ounces and cups`;

/** Runs the command and returns its exit code: 0 planned, 1 the file is wrong, 2 the call is wrong. */
export async function main(
  args: string[],
  out: (line: string) => void,
  complain: (line: string) => void,
): Promise<number> {
  const flags = new Set(args.filter((arg) => arg.startsWith('-')));
  const files = args.filter((arg) => !arg.startsWith('-'));
  if (flags.has('--help') || flags.has('-h')) {
    out(usage);
    return 0;
  }
  const unknown = [...flags].find((flag) => flag !== '--table' && flag !== '--inches');
  if (unknown || files.length !== 1) {
    complain(unknown ? `plan: no such option: ${unknown}` : 'plan: name one build file');
    complain(usage);
    return 2;
  }
  const file = files[0]!;
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    complain(`plan: cannot read ${file}`);
    return 1;
  }
  const read = readBuildFile(text);
  if (!read.ok) {
    for (const problem of read.problems)
      complain(`${file}:${problem.line ?? '?'}: ${problem.message}`);
    return 1;
  }
  const { build, added } = mergeRows(read.build, read.rows, startingPantry());
  const pantry = withRows(startingPantry(), added);
  const plan = await planCarved(build, pantry, read.carvings);
  out(
    flags.has('--table')
      ? planTable(build, plan, pantry, flags.has('--inches') ? inchesAndOunces : metric)
      : JSON.stringify(plan, null, 2),
  );
  return 0;
}

if (process.argv[1]?.endsWith('main.ts'))
  process.exitCode = await main(
    process.argv.slice(2),
    (line) => process.stdout.write(`${line}\n`),
    (line) => process.stderr.write(`${line}\n`),
  );
