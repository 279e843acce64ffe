import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  beginExchange,
  codeText,
  endExchange,
  newCode,
  newDeviceKeys,
  newKitchenKey,
  openBox,
  openUnder,
  packParcel,
  publicKeys,
  readCode,
  readToServer,
  sealForDevice,
  sealForKitchen,
  sealUnder,
  tagOf,
  newSecret,
  textOf,
  unpackParcel,
  type Box,
  type Parcel,
} from '../src/pairing/index.ts';

const bytes = fc.uint8Array({ maxLength: 300 });
const kitchen = newKitchenKey();
const device = newDeviceKeys();
/** A box with one letter of its body changed. */
function changed(box: Box, at: number): Box {
  const { body } = box;
  const i = at % body.length;
  const letter = body[i] === 'A' ? 'B' : 'A';
  return { ...box, body: body.slice(0, i) + letter + body.slice(i + 1) };
}

describe('what is sealed', () => {
  it('opens for who has the key, and for what it is bound to', () => {
    fc.assert(
      fc.property(bytes, (plain) => {
        const box = sealForKitchen(kitchen, plain, 'here');
        expect(openBox(box, [newKitchenKey(), kitchen], device, 'here')).toEqual(plain);
        expect(openBox(box, [kitchen], device, 'there')).toBeNull();
        expect(openBox(box, [{ ...newKitchenKey(), id: kitchen.id }], device, 'here')).toBeNull();
        expect(openBox(box, [], device, 'here')).toBeNull();
      }),
      { numRuns: 30 },
    );
  });
  it('opens for one device alone', () => {
    const plain = Uint8Array.from([1, 2, 3]);
    const box = sealForDevice(publicKeys(device).box, plain, 'here');
    expect(openBox(box, [], device, 'here')).toEqual(plain);
    expect(openBox(box, [kitchen], newDeviceKeys(), 'here')).toBeNull();
    expect(openBox(box, [], device, 'there')).toBeNull();
  });
  it('does not open when a letter of it was changed, wherever', () => {
    const plain = Uint8Array.from({ length: 40 }, (_, i) => i);
    const boxes = [
      sealForKitchen(kitchen, plain, 'here'),
      sealForDevice(publicKeys(device).box, plain, 'here'),
    ];
    fc.assert(
      fc.property(fc.nat(10_000), (at) => {
        for (const box of boxes) {
          const opened = openBox(changed(box, at), [kitchen], device, 'here');
          // the last letter may carry bits that stand for nothing
          if (opened) expect(opened).toEqual(plain);
          else expect(opened).toBeNull();
        }
      }),
      { numRuns: 50 },
    );
    const inside = changed(boxes[0]!, 60);
    expect(openBox(inside, [kitchen], device, 'here')).toBeNull();
    expect(openBox({ ...boxes[0]!, body: '###' }, [kitchen], device, 'here')).toBeNull();
    expect(openBox({ ...boxes[0]!, body: '' }, [kitchen], device, 'here')).toBeNull();
  });
  it('is never the same twice, and its tag always', () => {
    const plain = Uint8Array.from([1]);
    expect(sealForKitchen(kitchen, plain, 'x').body).not.toBe(sealForKitchen(kitchen, plain, 'x').body); // prettier-ignore
    const key = newSecret(32);
    expect(tagOf(key, 'cake/plum')).toBe(tagOf(key, 'cake/plum'));
    expect(tagOf(key, 'cake/plum')).not.toBe(tagOf(newSecret(32), 'cake/plum'));
  });
});

describe('a code', () => {
  it('makes one secret for both, and none for another code', () => {
    const code = newCode('417');
    const [desk, guest, wrong] = [code, code, newCode('417')].map(beginExchange) as [
      ReturnType<typeof beginExchange>,
      ReturnType<typeof beginExchange>,
      ReturnType<typeof beginExchange>,
    ];
    const [a, b] = [
      endExchange(desk, guest.says, 'desk')!,
      endExchange(guest, desk.says, 'guest')!,
    ];
    expect(textOf(a.secret)).toBe(textOf(b.secret));
    expect([a.proofOfDesk, a.proofOfGuest]).toEqual([b.proofOfDesk, b.proofOfGuest]);
    const c = endExchange(wrong, desk.says, 'guest')!;
    const d = endExchange(desk, wrong.says, 'desk')!;
    expect(textOf(c.secret)).not.toBe(textOf(d.secret));
    expect(c.proofOfDesk).not.toBe(d.proofOfDesk);
  });
  it('says nothing of itself: two exchanges of one code have nothing in common', () => {
    const code = newCode('001');
    expect(beginExchange(code).says).not.toBe(beginExchange(code).says);
    expect(beginExchange(code).says).not.toContain(code);
  });
  it('is ended by what no honest side says', () => {
    const half = beginExchange(newCode('001'));
    const nothing = textOf(new Uint8Array(32));
    for (const said of [nothing, '', 'abc', textOf(new Uint8Array(32).fill(255)), '###'])
      expect(endExchange(half, said, 'desk')).toBeNull();
  });
  it('is read however it is typed, and shown in threes', () => {
    for (let i = 0; i < 200; i++) expect(newCode('042')).toMatch(/^042\d{6}$/);
    expect(codeText('417208356')).toBe('417 208 356');
    for (const typed of ['417 208 356', '417208356', '417-208-356', ' 417.208.356 '])
      expect(readCode(typed)).toEqual({ room: '417', code: '417208356' });
    for (const typed of ['', '41720835', 'abc def ghi', '4172083567'])
      expect(readCode(typed)).toBeNull();
  });
  it('seals what follows, each message for its place', () => {
    const code = newCode('007');
    const [desk, guest] = [beginExchange(code), beginExchange(code)];
    const { secret } = endExchange(desk, guest.says, 'desk')!;
    const sealed = sealUnder(secret, Uint8Array.from([7]), 'invitation');
    expect(openUnder(secret, sealed, 'invitation')).toEqual(Uint8Array.from([7]));
    expect(openUnder(secret, sealed, 'guest')).toBeNull();
  });
});

describe('a parcel', () => {
  const parcel: Parcel = {
    ...{
      item: 'photo/a',
      changes: { desk: 3 },
      version: 17,
      from: 'desk',
      at: '2027-05-03T09:30:00Z',
    },
    ...{ value: { buildId: 'plum' }, bytes: Uint8Array.from([9, 8, 7]) },
  };
  it('is what was packed', () => {
    expect(unpackParcel(packParcel(parcel))).toEqual(parcel);
    const bare = { ...parcel, value: null, bytes: null };
    expect(unpackParcel(packParcel(bare))).toEqual(bare);
  });
  it('is nothing where it is cut, swells or is none', () => {
    const whole = packParcel(parcel);
    for (let cut = 0; cut < whole.length - 3; cut++)
      expect(unpackParcel(whole.slice(0, cut))).toBeNull();
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 60 }), (any) => {
        expect(unpackParcel(any)).toBeNull();
      }),
    );
    const swelling = whole.slice();
    new DataView(swelling.buffer).setUint32(4, 2 ** 31);
    expect(unpackParcel(swelling)).toBeNull();
  });
});

describe('what a device may ask', () => {
  const read = (say: unknown): unknown => readToServer(JSON.stringify({ ask: 1, say }));
  it('is one of a few things, with nothing else in their place', () => {
    expect(read({ kind: 'heads', since: 4 })).not.toBeNull();
    const wrong = [
      { kind: 'heads', since: -1 },
      { kind: 'heads' },
      { kind: 'get', tag: '../../etc' },
      { kind: 'put', tag: 'a', after: null, box: { kind: 'kitchen', keyId: 'k', body: '<b>' } },
      { kind: 'constructor' },
      { kind: '__proto__' },
      null,
      [],
      'heads',
    ];
    for (const say of wrong) expect(read(say)).toBeNull();
    expect(readToServer('{"ask":1')).toBeNull();
  });
});
