import { optionsFrom } from './options.ts';
import { buildServer } from './server.ts';

/** The first port tried when none is given; the next free one is taken. */
const defaultPort = 4173;

async function listen(): Promise<void> {
  const { port: wanted, host, isOpen, tls, data, trustProxy, log, base } = optionsFrom(process.env);
  const app = await buildServer({
    demo: process.env.DEMO === '1',
    today: process.env.DEMO_TODAY ?? null,
    serveApp: process.env.WITHOUT_APP !== '1',
    ...{ data, isOpen, tls, trustProxy, log, base },
  });
  for (let port = wanted ?? defaultPort; ; port++) {
    try {
      await app.listen({ port, host });
      process.stdout.write(`Pyrgotect is at ${tls ? 'https' : 'http'}://${host}:${port}${base}\n`);
      break;
    } catch (error) {
      const busy = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
      if (!busy || wanted !== null || port > defaultPort + 50) throw error;
    }
  }
  if (isOpen)
    process.stdout.write(
      'Everybody on this network can open the program; cakes are in each browser, and what paired devices send each other is sealed.\n',
    );
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => void app.close().then(() => process.exit(0)));
}

listen().catch((error: unknown) => {
  process.stderr.write(
    `Pyrgotect cannot start: ${error instanceof Error ? error.message : String(error)}\n`,
  );
  process.exit(1);
});
