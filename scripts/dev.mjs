import { spawn } from 'node:child_process';
import { install, root, whenNpmGoes } from './tools.mjs';

/* The application with hot reload, and the server beside it for what it asks of one. */

install();
const start = (command, args, env) =>
  spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
const server = start('node', ['--import', 'tsx', 'server/src/main.ts'], {
  DEMO: '1',
  PORT: '4173',
  WITHOUT_APP: '1',
});
const vite = start('npx', ['vite', 'app'], {});
const stop = () => {
  server.kill();
  vite.kill();
};
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop);
whenNpmGoes(stop);
vite.on('close', stop);
