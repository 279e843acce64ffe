import { spawn } from 'node:child_process';
import { install, root, run } from './tools.mjs';

/* Installs, builds and starts the application with the demo builds on an empty shelf. */

install();
process.stderr.write('Building …\n');
const { code, text } = await run('npm', ['run', '-s', 'build'], { quiet: true });
if (code !== 0) {
  process.stderr.write(text);
  process.exit(code);
}
const server = spawn('node', ['--import', 'tsx', 'server/src/main.ts'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, DEMO: '1' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (status) => process.exit(status ?? 0));
