// @vitest-environment happy-dom
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { MOST } from '@mellow-probe/core/check/job/most';
import { cardEntryWords as entry, numberPadWords as pad } from '@mellow-probe/core/wording/screens/bench';
import { photoStripWords as photos } from '@mellow-probe/core/wording/screens/benchForms';
import { quickPhoneWords as phone } from '@mellow-probe/core/wording/screens/guide';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { browser } from '../../../test/browserWindow.ts';
import { atPhone, ownCheck, press, pressNamed, session, show, untilShown } from '../../../test/mountedScreens.ts';

/** A picture that the browser can read, or none. */
const camera = vi.hoisted(() => ({ readable: true }));
vi.mock('../../browser/scaledJpeg.ts', () => ({
  scaledJpeg: () => Promise.resolve(camera.readable ? 'data:image/jpeg;base64,AA==' : null),
}));
const { default: PhotoStrip } = await import('./forms/PhotoStrip.vue');
const { default: QuickPhone } = await import('./QuickPhone.vue');
const { default: TestCard } = await import('./TestCard.vue');
const { default: NumberPad } = await import('../../components/NumberPad.vue');

const hasPad = (w: VueWrapper): boolean => w.findComponent(NumberPad).exists();
const keys = async (w: VueWrapper, ...names: string[]): Promise<void> => {
  for (const name of names) await pressNamed(w.getComponent(NumberPad), name);
};
beforeEach(() => void (camera.readable = true));

describe('the quick check under a thumb', () => {
  const focus = async (w: VueWrapper, field: string): Promise<void> => {
    w.get<HTMLInputElement>(`[data-field="${field}"] input`).element.focus();
    await flushPromises();
  };
  const focused = (): string | undefined => document.activeElement?.closest<HTMLElement>('[data-field]')?.dataset.field;
  test('the keys type into the field that is in hand, and go on to the next one until the last', async () => {
    atPhone();
    const job = await ownCheck();
    const wrapper = await show(QuickPhone);
    expect(hasPad(wrapper)).toBe(false);
    await focus(wrapper, 'thermometer');
    expect(wrapper.getComponent(NumberPad).props('quantity')).toBe('told-celsius');
    await keys(wrapper, pad.delete, pad.delete, pad.delete, pad.delete, pad.delete, '2', '5');
    expect(job.moments[0].temperatureC).toMatchObject({ value: 25 });
    await press(wrapper, entry.next);
    expect(focused()).toBe('displayed');
    await press(wrapper, entry.next);
    expect([focused(), wrapper.getComponent(NumberPad).props('quantity')]).toEqual(['sensor-ohms', 'ohms']);
    await keys(wrapper, '2', pad.decimalMark, '8', pad.kilo);
    expect(job.readings.map((r) => [r.measurement, r.value])).toEqual([['sensor-ohms', 2800]]);
    await keys(wrapper, pad.delete, pad.olOverRange);
    expect(job.readings[0].value).toBe('OL');
    const fields = wrapper.findAll('[data-field]').length;
    for (let i = 3; i <= fields; i++) await press(wrapper, entry.next);
    expect([hasPad(wrapper), focused()]).toEqual([false, undefined]);
  });
  test('the keys go away with “Done”, and for letters the device’s own keyboard comes', async () => {
    atPhone();
    await ownCheck();
    const wrapper = await show(QuickPhone);
    await focus(wrapper, 'sensor-ohms');
    expect(hasPad(wrapper)).toBe(true);
    await press(wrapper, pad.moreSigns);
    expect([hasPad(wrapper), focused()]).toEqual([false, 'sensor-ohms']);
    await focus(wrapper, 'open-voltage');
    expect(hasPad(wrapper)).toBe(false);
    wrapper.unmount();
    const again = await show(QuickPhone);
    await focus(again, 'open-voltage');
    await press(again, phone.done);
    expect([hasPad(again), focused()]).toEqual([false, undefined]);
  });
  test('with a mouse there are no keys on the page', async () => {
    await ownCheck();
    const wrapper = await show(QuickPhone);
    await focus(wrapper, 'sensor-ohms');
    expect(hasPad(wrapper)).toBe(false);
  });
  test('the circuit has its fields beside it: a pull-down has its own name', async () => {
    for (const layout of ['pull-up', 'pull-down'] as const) {
      const circuit = CATALOGUE_CIRCUITS.find((c) => c.layout === layout)!;
      await ownCheck(undefined, { circuit: circuit.id });
      const wrapper = await show(QuickPhone);
      await press(wrapper, '✎');
      expect(wrapper.get('.choice').text().includes('Pull-down')).toBe(layout === 'pull-down');
      wrapper.unmount();
      await session().close();
    }
  });
});

describe('the card of a test', () => {
  test('on a phone the keys are there at once, until letters are asked for; at a desk and on a tablet there are none', async () => {
    await ownCheck();
    session().work.goTest('sensor-ohms');
    const tablet = await show(TestCard);
    expect(hasPad(tablet)).toBe(false);
    tablet.unmount();
    atPhone();
    const job = session().job;
    const card = await show(TestCard);
    expect(hasPad(card)).toBe(true);
    await keys(card, '2', '2', '0', '0');
    expect(job.readings.map((r) => r.value)).toEqual([2200]);
    await press(card, pad.moreSigns);
    expect(hasPad(card)).toBe(false);
    expect(document.activeElement?.closest('.large')).not.toBeNull();
  });
  test.each([
    ['displayed', true],
    ['sensor-ohms', true],
    ['loaded-voltage', true],
    ['off-ohms', false],
    ['bench-ohms', false],
    ['open-voltage', false],
  ])('%s asks for the thermometer: %s', async (id, asks) => {
    await ownCheck();
    session().work.goTest(id);
    const card = await show(TestCard);
    expect(card.find('.fields .thermometer').exists()).toBe(asks);
  });
});

describe('photos', () => {
  const add = async (w: VueWrapper, ...names: string[]): Promise<void> => {
    w.findComponent({ name: 'FilePick' }).vm.$emit(
      'files',
      names.map((name) => new File(['x'], name, { type: 'image/jpeg' })),
    );
    await flushPromises();
  };
  test('are saved beside the check under the name of their file, and shown again later', async () => {
    const job = await ownCheck();
    const strip = await show(PhotoStrip);
    await add(strip, 'plug.side.jpg', 'return.png');
    await untilShown(() => strip.findAll('[data-test="photo"] img').length === 2, 'the photos');
    expect(job.photos.map((p) => [p.caption, p.image])).toEqual([
      ['plug.side', null],
      ['return', null],
    ]);
    strip.unmount();
    const again = await show(PhotoStrip);
    await untilShown(() => again.findAll('[data-test="photo"] img').length === 2, 'the photos');
    await press(again, photos.remove);
    expect(job.photos.map((p) => p.caption)).toEqual(['return']);
  });
  test('of another device are named as such; what cannot be read or saved, and one too many, is reported', async () => {
    const job = await ownCheck((j) => {
      j.photos = Array.from({ length: MOST.photos - 1 }, (_, i) => ({
        ...{ id: `p${i}`, caption: `${i}`, takenAt: '2026-01-02T03:04:05.000Z', image: null },
      }));
    });
    const strip = await show(PhotoStrip);
    expect(strip.findAll('.gone').map((g) => g.text())[0]).toBe(photos.elsewhere);
    const fault = (): string => strip.get('[role="alert"]').text();
    camera.readable = false;
    await add(strip, 'notes.jpg');
    expect([fault(), job.photos.length]).toEqual([photos.unreadable('notes.jpg'), MOST.photos - 1]);
    camera.readable = true;
    browser.refuse = 'full';
    await add(strip, 'a.jpg');
    expect([fault().endsWith(photos.notSaved('').trim()), job.photos.length]).toEqual([true, MOST.photos - 1]);
    browser.refuse = null;
    await add(strip, 'b.jpg', 'c.jpg');
    await untilShown(() => strip.find('[role="alert"]').exists(), 'that it is full');
    expect([fault(), job.photos.length, job.photos.at(-1)!.caption]).toEqual([
      photos.full(MOST.photos),
      MOST.photos,
      'b',
    ]);
  });
});
