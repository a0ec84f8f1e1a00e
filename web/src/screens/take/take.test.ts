// @vitest-environment happy-dom
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { framesOf } from '@mellow-probe/core/check/sharing/frames';
import { takeScreenWords as say } from '@mellow-probe/core/wording/screens/take';
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test } from 'vitest';
import { browser } from '../../../test/browserWindow.ts';
import {
  checkOpened,
  expectSound,
  jobDoor,
  notices,
  NOW,
  press,
  show,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { packText } from '../../browser/packedText.ts';
import ScanSheet from '../../components/ScanSheet.vue';
import TakeScreen from './TakeScreen.vue';

const JOB = {
  ...newJob('sent', NOW),
  title: 'Pump 3',
  machine: 'Ferry',
  readings: [newReading('a', 'sensor-ohms', { text: '2k', value: 2000 })],
};
const LINK = packText(saveJob(JOB));
/** A check that takes several pictures. */
async function pictures(): Promise<string[]> {
  const note = Array.from({ length: 900 }, (_, i) => (i * 7919) % 10007).join();
  const frames = framesOf(await packText(saveJob({ ...JOB, note })))!;
  expect(frames.length).toBeGreaterThan(2);
  return frames;
}
const received = (w: VueWrapper): boolean => w.find('[data-test="received"]').exists();

describe('a check from another device', () => {
  test('by its link: the page shows it first; saved, it is added and opened', async () => {
    const screen = await show(TakeScreen, { path: `/take#${await LINK}` });
    await untilShown(() => received(screen), 'the check');
    expectSound(screen);
    const said = screen.get('[data-test="received"]').text();
    expect(said).toContain('Pump 3');
    expect(said).toContain(`Ferry · ${JOB.circuit.name}`);
    expect(said).toContain('1 reading');
    expect([said.includes(say.sameOrigin), said.includes(say.withoutPhotos)]).toEqual([false, false]);
    await press(screen, say.keepIt);
    expect(await checkOpened(screen)).toMatchObject({ title: 'Pump 3', readings: [{ value: 2000 }] });
  });
  test('one that is here already is added beside it, and never written over it; its photos stay where they are', async () => {
    await jobDoor('sent').write({ ...JOB, title: 'Pump 3, changed here' }, null);
    const photo = { id: 'p', caption: 'plug', takenAt: NOW, image: null };
    const packed = await packText(saveJob({ ...JOB, photos: [photo] }));
    const screen = await show(TakeScreen, { path: `/take#${packed}` });
    await untilShown(() => received(screen) && screen.text().includes(say.sameOrigin), 'that it is here');
    expect(screen.text()).toContain(say.withoutPhotos);
    await press(screen, say.keepIt);
    const opened = await checkOpened(screen);
    expect([opened.title, opened.id === 'sent']).toEqual(['Pump 3', false]);
    expect((await jobDoor('sent').read())!.value.title).toBe('Pump 3, changed here');
  });
  test('a store that is full keeps it on the page', async () => {
    const screen = await show(TakeScreen, { path: `/take#${await LINK}` });
    await untilShown(() => received(screen), 'the check');
    browser.refuse = 'full';
    await press(screen, say.keepIt);
    await untilShown(() => notices(screen).includes(NOT_TAKEN), 'that it is not saved');
    expect([received(screen), screen.vm.$route.path]).toEqual([true, '/take']);
  });
  test('half a link, and a link to something else, say so', async () => {
    const half = await show(TakeScreen, { path: `/take#${(await LINK).slice(0, 60)}` });
    await untilShown(() => notices(half).includes(say.incompleteLink), 'that it is incomplete');
    expect(received(half)).toBe(false);
    const other = await show(TakeScreen, { path: `/take#${await packText('{"a":1}')}` });
    await untilShown(() => notices(other).some((n) => n.startsWith(say.notOpened('').trim())), 'that it is no check');
    expect(received(other)).toBe(false);
  });
});

describe('read off the other screen', () => {
  async function scanning(): Promise<{ screen: VueWrapper; found: (text: string) => Promise<void> }> {
    const screen = await show(TakeScreen, { path: '/take' });
    expect(screen.text()).toContain(say.howTo);
    await press(screen, say.scan);
    await untilShown(() => screen.findComponent(ScanSheet).exists(), 'the camera');
    return {
      screen,
      found: async (text) => {
        screen.getComponent(ScanSheet).vm.$emit('found', text);
        await flushPromises();
      },
    };
  }
  const progress = (w: VueWrapper): unknown => w.getComponent(ScanSheet).props('progress');
  test('picture after picture in any order, with how many are there; a foreign one is named', async () => {
    const packed = await pictures();
    const { screen, found } = await scanning();
    expect(progress(screen)).toBe(say.aim);
    await found(packed[1]);
    expect(progress(screen)).toBe(say.of(1, `${packed.length} pictures`));
    await found(packed[1]);
    expect(progress(screen)).toBe(say.of(1, `${packed.length} pictures`));
    await found('a bus ticket');
    expect(notices(screen)).toContain(say.foreignPicture);
    for (const frame of packed) await found(frame);
    await untilShown(() => received(screen), 'the check');
    expect([screen.findComponent(ScanSheet).exists(), screen.text().includes('Pump 3')]).toEqual([false, true]);
    expect(notices(screen)).toEqual([]);
  });
  test('a link in one picture is enough; closed, it begins anew', async () => {
    const { screen, found } = await scanning();
    const packed = await pictures();
    await found(packed[0]);
    screen.getComponent(ScanSheet).vm.$emit('close');
    await flushPromises();
    expect(screen.findComponent(ScanSheet).exists()).toBe(false);
    await press(screen, say.scan);
    await untilShown(() => screen.findComponent(ScanSheet).exists(), 'the camera');
    expect(progress(screen)).toBe(say.aim);
    await found(` https://probe.example/take#${await LINK} `);
    await untilShown(() => received(screen), 'the check');
    expect(screen.findComponent(ScanSheet).exists()).toBe(false);
  });
});
