import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { install, root, run, whenNpmGoes } from './tools.mjs';

/*
 * Starts the application; what is not built yet is built, with --build in any case. With --demo an empty shelf is
 * given the demo builds.
 */

install();
if (!existsSync(`${root}app/dist/index.html`) || process.argv.includes('--build')) {
  process.stderr.write('Building …\n');
  const { code, text } = await run('npm', ['run', '-s', 'build'], { quiet: true });
  if (code !== 0) {
    process.stderr.write(text);
    process.exit(code);
  }
}
const server = spawn('node', ['--import', 'tsx', 'server/src/main.ts'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, ...(process.argv.includes('--demo') ? { DEMO: '1' } : {}) },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
whenNpmGoes(() => server.kill('SIGTERM'));
server.on('close', (status) => process.exit(status ?? 0));
