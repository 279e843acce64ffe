import { markOf, newKitchenKey, NewerProgram, publicKeys, type Box } from '@pyrgotect/core/pairing';
import { describe, expect, it } from 'vitest';
import { Mailbox } from '../src/pairing/mailbox.ts';
import {
  allMeet,
  kitchenOf,
  lossesOf,
  thing,
  thingsOf,
  type Device,
  type Thing,
} from './pairing-kit.ts';

describe('devices that part and meet', () => {
  it('are the same at the end, and lose nothing, over many partings', async () => {
    const odd: string[] = [];
    for (let seed = 1; seed <= 200; seed++) odd.push(...(await lossesOf(seed)));
    expect(odd).toEqual([]);
  }, 60_000);

  it('keep both of two changes, and what one took away and the other changed', async () => {
    const { devices } = kitchenOf(3, ['desk', 'tablet']);
    const [desk, tablet] = devices as [Device, Device];
    desk.replica.set('cake/a', thing('Plum'));
    desk.replica.set('cake/b', thing('Fig'));
    await allMeet(devices);
    expect(thingsOf(tablet)).toEqual(thingsOf(desk));
    desk.replica.set('cake/a', { ...thing('Plum'), guests: 40 });
    tablet.replica.set('cake/a', { ...thing('Plum'), marks: [{ id: 'ticked' }] });
    desk.replica.set('cake/b', null);
    await allMeet(devices);
    expect(thingsOf(desk)).toEqual({ 'cake/a': { name: 'Plum', guests: 40, marks: [{ id: 'ticked' }] } }); // prettier-ignore
    expect(thingsOf(tablet)).toEqual(thingsOf(desk));
    tablet.replica.set('cake/a', null);
    desk.replica.set('cake/a', { ...thing('Plum'), guests: 50 });
    await allMeet(devices);
    expect(thingsOf(tablet)).toEqual({ 'cake/a': { ...thing('Plum'), guests: 50 } });
  });

  it('send nothing where nothing changed', async () => {
    const { devices, mailbox } = kitchenOf(4, ['desk', 'tablet']);
    devices[0]!.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    const before = mailbox().at;
    await allMeet(devices);
    expect(mailbox().at).toBe(before);
  });
});

describe('devices whose clocks are wrong', () => {
  it('lose nothing: one a day ahead, one a day behind that is set back again and again', async () => {
    const { devices } = kitchenOf(8, ['desk', 'tablet', 'phone']);
    const dayMs = 86_400_000;
    let atMs = 1_800_000_000_000;
    const [desk, tablet, phone] = devices as [Device, Device, Device];
    desk.clock = () => (atMs += 7);
    tablet.clock = () => atMs + dayMs;
    phone.clock = () => (atMs += 1) - dayMs - (atMs % 5) * 3_600_000;
    desk.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    for (let turn = 0; turn < 12; turn++) {
      // all three go on apart, two of them twice
      for (const device of [desk, tablet, phone, tablet, phone]) {
        const now = (await device.replica.current('cake/a')) as Thing;
        const id = `${device.name}/${turn}/${now.marks.length}`;
        device.replica.set('cake/a', { ...now, marks: [...now.marks, { id }] });
        if (turn % 3 === 0) await device.carrier.meet();
      }
      await allMeet(devices);
      const { marks } = thingsOf(desk)['cake/a'] as Thing;
      expect(new Set(marks.map(({ id }) => id)).size).toBe(5 * (turn + 1));
      for (const other of [tablet, phone]) expect(thingsOf(other)).toEqual(thingsOf(desk));
    }
    // what is newer by its turn stands, whatever the clock says
    phone.replica.set('cake/a', { ...(thingsOf(phone)['cake/a'] as Thing), guests: 77 });
    await allMeet(devices);
    expect((thingsOf(tablet)['cake/a'] as Thing).guests).toBe(77);
  });
});

describe('the server', () => {
  it('lets go of what all have taken in, and sends it anew to who comes later', async () => {
    const { kitchen, devices, mailbox } = kitchenOf(5, ['desk', 'tablet']);
    devices[0]!.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    const kept = (): number =>
      mailbox()
        .sheet()
        .heads.filter(([tag]) => mailbox().get(tag).box).length;
    expect(kept()).toBe(0);
    const phone = kitchen.device('phone');
    mailbox().admit('phone', 'key');
    await phone.carrier.meet();
    expect(phone.replica.things.size).toBe(0);
    // one that it has already, otherwise, waits as well
    phone.replica.set('cake/a', thing('Another'));
    await phone.carrier.meet();
    await devices[0]!.carrier.sendAll();
    await allMeet([...devices, phone]);
    for (const device of [...devices, phone])
      expect((device.replica.things.get('cake/a') as Thing).name).toBe('Another');
    expect(kept()).toBe(0);
  });

  it('may lose all of it, and is given it again', async () => {
    const { devices, replace } = kitchenOf(6, ['desk', 'tablet']);
    devices[0]!.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    const fresh = new Mailbox('kitchen');
    for (const { name } of devices) fresh.admit(name, 'key');
    replace(fresh);
    // one of them comes first, and the other counts anew
    devices[1]!.replica.set('cake/a', { ...thing('Plum'), guests: 80 });
    await devices[1]!.carrier.meet();
    await devices[0]!.carrier.pull();
    expect((devices[0]!.replica.things.get('cake/a') as Thing).guests).toBe(80);
    await allMeet(devices);
    expect(thingsOf(devices[0]!)).toEqual({ 'cake/a': { ...thing('Plum'), guests: 80 } });
  });

  it('may lose what only one had sent, and is given it again', async () => {
    const { devices, replace } = kitchenOf(13, ['desk', 'tablet']);
    const [desk, tablet] = devices as [Device, Device];
    desk.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    desk.replica.set('cake/a', { ...thing('Plum'), guests: 44 });
    desk.replica.set('cake/b', thing('Fig'));
    await desk.carrier.meet();
    const fresh = new Mailbox('kitchen');
    for (const { name } of devices) fresh.admit(name, 'key');
    replace(fresh);
    await allMeet([tablet, desk]);
    expect(thingsOf(tablet)).toEqual({
      'cake/a': { ...thing('Plum'), guests: 44 },
      'cake/b': thing('Fig'),
    });
    expect(thingsOf(desk)).toEqual(thingsOf(tablet));
  });

  it('may go back to what it was, and loses nothing by it', async () => {
    const { devices, mailbox, replace } = kitchenOf(7, ['desk', 'tablet']);
    const [desk, tablet] = devices as [Device, Device];
    desk.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    const boxes = new Map<string, Box>();
    const sheet = structuredClone(mailbox().sheet());
    desk.replica.set('cake/a', { ...thing('Plum'), guests: 40 });
    await allMeet(devices);
    replace(Mailbox.from(sheet, boxes, { put: () => undefined, drop: () => undefined }));
    tablet.replica.set('cake/a', { ...thing('Plum'), guests: 40, marks: [{ id: 'ticked' }] });
    await allMeet(devices);
    expect(thingsOf(desk)).toEqual({ 'cake/a': { name: 'Plum', guests: 40, marks: [{ id: 'ticked' }] } }); // prettier-ignore
    expect(thingsOf(tablet)).toEqual(thingsOf(desk));
  });

  it('finds a box that was written and not yet listed', () => {
    const mailbox = new Mailbox('kitchen');
    mailbox.admit('desk', 'key');
    const box = (body: string): Box => ({ kind: 'kitchen', keyId: 'k', body });
    mailbox.put('one', null, box('AAAA'));
    const sheet = structuredClone(mailbox.sheet());
    const boxes = new Map([
      ['one', box('BBBB')],
      ['two', box('CCCC')],
    ]);
    const back = Mailbox.from(sheet, boxes, { put: () => undefined, drop: () => undefined });
    expect(back.get('one').mark).toBe(markOf(box('BBBB')));
    expect(
      back
        .since(mailbox.at)
        .heads.map(({ tag }) => tag)
        .sort(),
    ).toEqual(['one', 'two']);
  });

  it('takes a box only from who knew what stands there, and the same one twice', () => {
    const mailbox = new Mailbox('kitchen');
    const box = (body: string): Box => ({ kind: 'kitchen', keyId: 'k', body });
    const first = mailbox.put('one', null, box('AAAA'));
    expect(first).toMatchObject({ kind: 'kept' });
    expect(mailbox.put('one', null, box('AAAA'))).toEqual(first);
    expect(mailbox.put('one', null, box('BBBB'))).toMatchObject({
      kind: 'other',
      box: box('AAAA'),
    });
    expect(mailbox.put('one', markOf(box('AAAA')), box('BBBB'))).toMatchObject({ kind: 'kept' });
    expect(mailbox.put('two', 'mark-of-nothing', box('CCCC'))).toMatchObject({ kind: 'other', mark: null }); // prettier-ignore
  });
});

describe('who is not of the kitchen', () => {
  it('changes nothing with a box of its own', async () => {
    const { kitchen, devices, mailbox } = kitchenOf(8, ['desk', 'tablet']);
    const [desk, tablet] = devices as [Device, Device];
    desk.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    const forger = kitchen.device('forger', [newKitchenKey()]);
    forger.replica.set('cake/a', thing('Poison'));
    // even a server that would let it
    const tag = mailbox().sheet().heads[0]![0];
    const known = mailbox().get(tag).mark;
    forger.replica.agreed.set('cake/a', { mark: known, changes: { forger: 99 }, value: null });
    await forger.carrier.push('cake/a');
    await allMeet(devices);
    expect(thingsOf(desk)).toEqual({ 'cake/a': thing('Plum') });
    expect(thingsOf(tablet)).toEqual({ 'cake/a': thing('Plum') });
    expect(tablet.troubles[0]).toMatchObject({ kind: 'not sealed by us' });
  });

  it('reads nothing that was sealed after it was shut out, and those who stay read on', async () => {
    const { devices, mailbox } = kitchenOf(9, ['desk', 'tablet', 'lost']);
    const [desk, tablet, lost] = devices as [Device, Device, Device];
    desk.replica.set('cake/a', thing('Plum'));
    await allMeet(devices);
    // the server forgets it, but it may still listen
    await desk.carrier.changeKey(newKitchenKey(), [
      { device: 'tablet', box: publicKeys(tablet.identity.keys).box },
    ]);
    desk.replica.set('cake/b', thing('Secret'));
    await desk.carrier.meet();
    await lost.carrier.pull();
    expect(lost.replica.things.has('cake/b')).toBe(false);
    expect(lost.troubles.some(({ kind }) => kind === 'not sealed by us')).toBe(true);
    mailbox().revoke('lost');
    await allMeet([desk, tablet]);
    expect(tablet.replica.things.get('cake/b')).toEqual(thing('Secret'));
    tablet.replica.set('cake/b', thing('Answer'));
    await allMeet([tablet, desk]);
    expect(desk.replica.things.get('cake/b')).toEqual(thing('Answer'));
  });

  it('does not pass one thing off as another', async () => {
    const { devices, mailbox } = kitchenOf(10, ['desk', 'tablet']);
    const [desk, tablet] = devices as [Device, Device];
    desk.replica.set('cake/a', thing('Plum'));
    desk.replica.set('cake/b', thing('Fig'));
    await desk.carrier.meet();
    const [[one], [two]] = mailbox().sheet().heads as [[string, never], [string, never]];
    // a server that changes them over
    const [a, b] = [mailbox().get(one), mailbox().get(two)];
    mailbox().put(one, a.mark, { ...b.box! });
    await tablet.carrier.pull();
    expect([...tablet.replica.things.values()]).toHaveLength(1);
    expect(tablet.troubles).toHaveLength(1);
  });
});

describe('what another device sends that cannot be taken', () => {
  it('is not written over where its program is newer', async () => {
    const { kitchen, devices, mailbox } = kitchenOf(11, ['desk']);
    const old = kitchen.device('old', [kitchen.first], 16);
    mailbox().admit('old', 'key');
    devices[0]!.replica.set('cake/a', thing('Plum'));
    await devices[0]!.carrier.meet();
    old.replica.set('cake/a', thing('Old'));
    await expect(old.carrier.meet()).rejects.toThrow(NewerProgram);
    await allMeet(devices);
    expect(thingsOf(devices[0]!)).toEqual({ 'cake/a': thing('Plum') });
    // it is taken once the program is as new
    expect((await old.replica.cursor()).at).toBe(0);
  });

  it('is named where it cannot be, and neither taken nor written over', async () => {
    const { devices } = kitchenOf(12, ['desk', 'tablet']);
    const [desk, tablet] = devices as [Device, Device];
    tablet.replica.refuses = ({ value }) => (value as Thing).guests > 1000;
    desk.replica.set('cake/a', { ...thing('Plum'), guests: 5000 });
    await desk.carrier.meet();
    tablet.replica.set('cake/a', thing('Mine'));
    await tablet.carrier.meet();
    expect(tablet.troubles[0]).toEqual({ kind: 'cannot be', item: 'cake/a', from: 'desk' });
    expect(thingsOf(tablet)).toEqual({ 'cake/a': thing('Mine') });
    await desk.carrier.meet();
    expect((desk.replica.things.get('cake/a') as Thing).guests).toBe(5000);
  });
});
