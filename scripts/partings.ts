import { lossesOf } from '../server/test/pairing-kit.ts';

/* Devices part and meet so many times, each time otherwise: npm run partings -- COUNT SEED. */

const [count = 1000, from = Math.floor(Math.random() * 1e9)] = process.argv.slice(2).map(Number);
const odd: string[] = [];
for (let seed = from; seed < from + count; seed++) odd.push(...(await lossesOf(seed)));
process.stdout.write(
  odd.length === 0
    ? `${count} partings from seed ${from}: all the same at the end, nothing lost.\n`
    : `${odd.slice(0, 20).join('\n')}\n${odd.length} losses\n`,
);
process.exitCode = odd.length === 0 ? 0 : 1;
