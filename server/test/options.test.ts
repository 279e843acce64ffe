import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { optionsFrom } from '../src/options.ts';

describe('how the environment wants the server', () => {
  it('is for this machine alone unless it says otherwise', () => {
    expect(optionsFrom({})).toMatchObject({
      ...{ port: null, host: '127.0.0.1', isOpen: false, tls: null },
      ...{ trustProxy: false, log: false },
    });
    for (const host of ['localhost', '127.0.0.2', '::1']) expect(optionsFrom({ HOST: host }).isOpen).toBe(false); // prettier-ignore
    for (const host of ['0.0.0.0', '192.0.2.7', '::']) expect(optionsFrom({ HOST: host }).isOpen).toBe(true); // prettier-ignore
  });
  it('keeps sealed changes where it is told, or nowhere', () => {
    expect(optionsFrom({ DATA: '/srv/cakes' }).data).toBe('/srv/cakes');
    expect(optionsFrom({ DATA: 'none' }).data).toBeNull();
    expect(optionsFrom({}).data).toContain('pyrgotect');
  });
  it('reads a certificate with its key, and says what is missing', () => {
    const folder = mkdtempSync(join(tmpdir(), 'pyrgotect-tls-'));
    const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
    writeFileSync(cert, 'certificate');
    writeFileSync(key, 'key');
    expect(String(optionsFrom({ TLS_CERT: cert, TLS_KEY: key }).tls?.key)).toBe('key');
    expect(() => optionsFrom({ TLS_CERT: cert })).toThrow('One of them is missing');
    expect(() => optionsFrom({ TLS_CERT: cert, TLS_KEY: join(folder, 'no.pem') })).toThrow(
      'TLS_KEY is',
    );
    expect(() => optionsFrom({ PORT: 'x' })).toThrow('PORT is “x”');
  });
});
