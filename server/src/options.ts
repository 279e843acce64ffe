import { readFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { baseFrom } from './base.ts';
import { portFrom } from './port.ts';

/** How the environment wants the server. */
export interface Wanted {
  port: number | null;
  host: string;
  /** True where other machines reach it. */
  isOpen: boolean;
  tls: { cert: Buffer; key: Buffer } | null;
  data: string | null;
  /** Behind a proxy that says for whom it asks. */
  trustProxy: boolean;
  log: boolean;
  /** Path under which all of it lies. */
  base: string;
}

const loopback = /^(127\.|localhost$|::1$|\[::1\]$)/;
const isOn = (text: string | undefined): boolean => text === '1';

function fileOf(name: string, path: string): Buffer {
  try {
    return readFileSync(path);
  } catch (error) {
    throw new Error(`${name} is “${path}”, which cannot be read: ${(error as Error).message}`, {
      cause: error,
    });
  }
}

/**
 * Reads PORT, HOST, TLS_CERT, TLS_KEY, DATA, BEHIND_PROXY, BASE_PATH and LOG.
 *
 * @throws Error in plain words where one of them cannot be
 */
export function optionsFrom(env: Readonly<Record<string, string | undefined>>): Wanted {
  const host = env.HOST?.trim() || '127.0.0.1';
  const { TLS_CERT: cert, TLS_KEY: key } = env;
  if (Boolean(cert) !== Boolean(key))
    throw new Error('TLS takes two files: TLS_CERT and TLS_KEY. One of them is missing.');
  return {
    port: portFrom(env.PORT),
    host,
    isOpen: !loopback.test(host),
    tls: cert && key ? { cert: fileOf('TLS_CERT', cert), key: fileOf('TLS_KEY', key) } : null,
    data: env.DATA === 'none' ? null : (env.DATA ?? join(homedir(), '.local/share/pyrgotect')),
    trustProxy: isOn(env.BEHIND_PROXY),
    log: isOn(env.LOG),
    base: baseFrom(env.BASE_PATH),
  };
}
