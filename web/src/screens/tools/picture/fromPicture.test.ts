// @vitest-environment happy-dom
import {
  fromDiagramWords as diagram,
  fromPictureWords as say,
  pictureOpenWords as openWords,
  pictureStageWords as stage,
} from '@mellow-probe/core/wording/screens/shelfPicture';
import { formatOhm } from '@mellow-probe/core/base/units/format';
import { DOUBT_TEXTS } from '@mellow-probe/core/wording/pictureText';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { ref, shallowRef } from 'vue';
import { z } from 'zod';
import { until } from '../../../../test/browserWindow.ts';
import {
  expectSound,
  isOff,
  listOf,
  pickFrom,
  plain,
  press,
  pressNamed,
  rowsOf,
  show,
  tick,
  type,
  typedFields,
  unmountAll,
  untilShown,
} from '../../../../test/mountedScreens.ts';
import { shelfDoor } from '../../../data/storage/shelfStorage.ts';
import type { ShownPicture, useKeptPicture } from '../../../session/keptPicture.ts';
import type { PictureProgress } from '../../../workers/picture.ts';

/** What the worker of pictures answers here, and what it was given. */
const remote = vi.hoisted(() => ({
  read: null as null | ((progress: (p: unknown) => void) => Promise<unknown>),
  line: null as null | { x: number; y: number }[],
  asked: [] as [string, unknown][],
  stopped: 0,
}));
vi.mock('../../../workers/pictureClient.ts', () => {
  class PictureStopped extends Error {}
  const page = { width: 300, height: 100, data: new Uint8Array(300 * 100) };
  const answers = {
    read: (_: Blob, at: unknown, progress: (p: unknown) => void) => (
      remote.asked.push(['read', at]),
      remote.read!(progress)
    ),
    prepare: (_: Blob, at: unknown) => (remote.asked.push(['prepare', at]), Promise.resolve({ page })),
    snap: (_: Blob, { x, y }: { x: number; y: number }) => Promise.resolve({ x: x + 1, y: y - 1 }),
    follow: (_: Blob, at: unknown) => (remote.asked.push(['follow', at]), Promise.resolve(remote.line)),
    straighten: (_: Blob, at: unknown) => (
      remote.asked.push(['straighten', at]),
      Promise.resolve(new Blob(['straight']))
    ),
  };
  return {
    PictureStopped,
    pictureRun: (work: (of: typeof answers) => Promise<unknown>) => {
      let stop!: () => void;
      const stopped = new Promise((_, reject) => {
        stop = () => (remote.stopped++, reject(new PictureStopped('stopped')));
      });
      return { result: Promise.race([work(answers), stopped]), stop };
    },
  };
});
vi.mock('./grayPng.ts', () => ({ grayPng: () => Promise.resolve(new Blob(['page'])) }));
const { default: FromPicture } = await import('./FromPicture.vue');
const { default: FromDiagram } = await import('./FromDiagram.vue');
const { default: PictureOpen } = await import('./PictureOpen.vue');
const { default: PictureStage } = await import('./PictureStage.vue');

const PAGE = { width: 300, height: 100, data: new Uint8Array(300 * 100) };
const cell = (text: string, doubtful = false) => ({
  ...{ text, doubtful, box: { left: 0, top: 0, right: 50, bottom: 10 } },
});
const ROWS = [
  ['0', '9420'],
  ['20', '3520'],
  ['40', '1459'],
  ['60', '667'],
];
beforeEach(() => {
  const table = { heads: ['°C', 'Ω'], rows: ROWS.map((row) => row.map((c) => cell(c, c === '1459'))) };
  Object.assign(remote, { read: () => Promise.resolve({ table, page: PAGE }), line: null, asked: [], stopped: 0 });
});
/** A picture of 400 by 200 pixels; `opens` is whether another one can be opened. */
function kept(shown = true, opens = true) {
  const picture = { blob: new Blob(['x']), address: 'data:,', url: 'data:,', width: 400, height: 200 };
  const own = {
    picture: shallowRef<ShownPicture | null>(shown ? picture : null),
    fault: ref(''),
    open: vi.fn(() => {
      if (opens) own.picture.value = { ...picture, width: 200 };
      return Promise.resolve(opens);
    }),
    remove: () => Promise.resolve(),
  };
  return own as typeof own & ReturnType<typeof useKeptPicture>;
}
const bring = async (w: VueWrapper): Promise<void> => {
  w.getComponent(PictureOpen).vm.$emit('open', new File(['x'], 'photo.jpg', { type: 'image/jpeg' }));
  await flushPromises();
};
const alerts = (w: VueWrapper): string[] => w.findAll('[role="alert"]').map((a) => a.text());

describe('a table on a picture', () => {
  const figures = (w: VueWrapper): boolean => w.find('[data-test="picture-figures"]').exists();
  async function readTable(own = kept()): Promise<VueWrapper> {
    const sheet = await show(FromPicture, { props: { kept: own } });
    await press(sheet, say.readTheTable);
    await untilShown(() => figures(sheet), 'the figures');
    // What is still on its way to the store when a test ends would be there in the next one.
    await until(async () => (await shelfDoor('draft.picture', z.unknown()).read()) !== null, 'the draft in the store');
    return sheet;
  }
  test('is read between its corners; nothing is used before every doubt and every unit is confirmed', async () => {
    const sheet = await readTable();
    expectSound(sheet);
    expect(remote.asked).toEqual([
      [
        'read',
        [
          { x: 0, y: 0 },
          { x: 400, y: 0 },
          { x: 400, y: 200 },
          { x: 0, y: 200 },
        ],
      ],
    ]);
    expect(typedFields(sheet).map(({ field }) => field.element.value)).toEqual(ROWS.flat());
    expect(sheet.findAll('.why').map((w) => w.text())).toEqual([DOUBT_TEXTS.unclear]);
    expect(sheet.findAll('.cell.unsure')).toHaveLength(1);
    expect([isOff(sheet, say.useTheseFigures), sheet.text().includes(say.confirmHeadings)]).toEqual([true, true]);
    await pressNamed(sheet, say.matchesPicture('1459', 3));
    expect(sheet.find('.why').exists()).toBe(false);
    expect(isOff(sheet, say.useTheseFigures)).toBe(true);
    await pressNamed(sheet, say.unitIsRight('°C', 1));
    expect(isOff(sheet, say.useTheseFigures)).toBe(true);
    await pressNamed(sheet, say.unitIsRight('Ω', 2));
    expect(sheet.text()).not.toContain(say.confirmHeadings);
    await press(sheet, say.useTheseFigures);
    const [[used]] = sheet.emitted('use') as [[string]];
    expect(used.split('\n').slice(1)).toEqual(ROWS.map((row) => row.join('\t')));
  });
  test('a figure can be corrected, a row skipped; another unit changes what is used; all of it is there again later', async () => {
    const own = kept();
    const sheet = await readTable(own);
    await type(sheet, say.row(2, '°C'), '21');
    await pressNamed(sheet, say.skipRow(1));
    await pickFrom(sheet, say.unitOf(2), 'kΩ');
    expect(listOf(sheet, say.unitOf(2)).modelValue).toBe('kΩ');
    const shown = (w: VueWrapper): string[] => typedFields(w).map(({ field }) => field.element.value);
    const left = ['21', '3520', '40', '1459', '60', '667'];
    expect(shown(sheet)).toEqual(left);
    unmountAll();
    remote.asked = [];
    const again = await show(FromPicture, { props: { kept: own } });
    await untilShown(() => figures(again) && shown(again).length === 6, 'the figures');
    expect([shown(again), listOf(again, say.unitOf(2)).modelValue]).toEqual([left, 'kΩ']);
    // The page for the snippets is made again, and the table is not read a second time.
    expect(remote.asked.map(([what]) => what)).toEqual(['prepare']);
    await bring(again);
    expect(figures(again)).toBe(false);
  });
  test('corners that cross cannot be read; a picture without a table, and a reader that fails, say so', async () => {
    const sheet = await show(FromPicture, { props: { kept: kept() } });
    const move = async (id: string, x: number, y: number): Promise<void> => {
      sheet.getComponent(PictureStage).vm.$emit('move', id, x, y);
      await flushPromises();
    };
    await move('0', 390, 190);
    expect([isOff(sheet, say.readTheTable), sheet.text().includes(say.cornersCross)]).toEqual([true, true]);
    await move('0', 10, 5);
    expect([isOff(sheet, say.readTheTable), sheet.text().includes(say.cornersCross)]).toEqual([false, false]);
    remote.read = () => Promise.resolve({ table: { heads: [], rows: [] }, page: PAGE });
    await press(sheet, say.readTheTable);
    await untilShown(() => alerts(sheet).includes(say.noTable), 'that there is none');
    expect(remote.asked.at(-1)).toMatchObject(['read', [{ x: 10, y: 5 }, {}, {}, {}]]);
    remote.read = () => Promise.reject(new Error('no reader'));
    await press(sheet, say.readTheTable);
    await untilShown(() => alerts(sheet).includes(`${say.readFailed}: no reader`), 'the failure');
    expect(isOff(sheet, say.readTheTable)).toBe(false);
  });
  test('while it is read it says how far it is, and can be stopped; with the screen it stops, too', async () => {
    let tell!: (p: PictureProgress) => void;
    remote.read = (progress) => ((tell = progress), new Promise(() => undefined));
    const sheet = await show(FromPicture, { props: { kept: kept() } });
    await press(sheet, say.readTheTable);
    expect([isOff(sheet, say.readTheTable), sheet.find('[role="progressbar"]').exists()]).toEqual([true, false]);
    tell({ step: 'fetching', share: 0 });
    await flushPromises();
    expect(sheet.get('[role="status"]').text()).toBe(say.fetchingTheReader);
    tell({ step: 'reading', share: 0.427 });
    await flushPromises();
    expect(sheet.get('[role="status"]').text()).toBe(say.reading(43));
    await press(sheet, say.cancel);
    await untilShown(() => !isOff(sheet, say.readTheTable), 'that it can be read again');
    expect([remote.stopped, alerts(sheet)]).toEqual([1, []]);
    await press(sheet, say.readTheTable);
    unmountAll();
    expect(remote.stopped).toBe(2);
  });
});

describe('a printed diagram', () => {
  const points = (w: VueWrapper): string[][] => rowsOf(w, diagram.pointsReadOff);
  const tap = async (w: VueWrapper, x: number, y: number): Promise<void> => {
    w.getComponent(PictureStage).vm.$emit('tap', x, y);
    await flushPromises();
  };
  /** Axes from 0 to 100 °C over 400 pixels, and from 100 Ω to 10 kΩ over 200 pixels, upwards. */
  async function withAxes(): Promise<VueWrapper> {
    const sheet = await show(FromDiagram, { props: { kept: kept() } });
    const at = (id: string, x: number, y: number): void => sheet.getComponent(PictureStage).vm.$emit('move', id, x, y);
    at('across:0', 0, 200);
    at('across:1', 400, 200);
    at('up:0', 0, 200);
    at('up:1', 0, 0);
    await type(sheet, diagram.knownTemperatureLeft, '0');
    await type(sheet, diagram.knownTemperatureRight, '100');
    await type(sheet, diagram.knownResistanceLow, '100');
    await type(sheet, diagram.knownResistanceHigh, '10k');
    return sheet;
  }
  test('points are tapped and read between the known places; half-way up a logarithmic axis is the geometric mean', async () => {
    const sheet = await show(FromDiagram, { props: { kept: kept() } });
    await tap(sheet, 100, 100);
    expect([sheet.text().includes(diagram.needsValues), isOff(sheet, diagram.useThesePoints)]).toEqual([true, true]);
    unmountAll();
    const known = await withAxes();
    expectSound(known);
    await press(known, diagram.allAway);
    await tap(known, 100, 100);
    expect(isOff(known, diagram.useThesePoints)).toBe(true);
    await tap(known, 300, 150);
    expect(points(known).map((row) => row.slice(0, 2))).toEqual([
      ['25.0 °C', plain(formatOhm(1000))],
      ['75.0 °C', plain(formatOhm(100 * Math.sqrt(10)))],
    ]);
    expect(points(known)[0][2]).toMatch(/^± \d+\.\d %$/);
    await press(known, diagram.useThesePoints);
    expect((known.emitted('use') as [[string]])[0][0]).toMatch(/25.*1000|25.*1 k/);
    // On a plain axis the middle is the mean of both ends.
    await tick(known, diagram.logResistance, false);
    expect(points(known)[0][1]).toBe(plain(formatOhm(5050)));
    await press(known, diagram.removeLast);
    expect(points(known).map(([t]) => t)).toEqual(['25.0 °C']);
    known.getComponent(PictureStage).vm.$emit('move', 'point:0', 200, 100);
    await flushPromises();
    expect(points(known).map(([t]) => t)).toEqual(['50.0 °C']);
  });
  test('a cross that is let go snaps to the printed line; a point stays where it is', async () => {
    const sheet = await withAxes();
    const handle = (id: string) =>
      sheet
        .getComponent(PictureStage)
        .props('handles')
        .find((h) => h.id === id);
    sheet.getComponent(PictureStage).vm.$emit('drop', 'across:1');
    await untilShown(() => handle('across:1')?.x === 401, 'the snap');
    expect(handle('across:1')).toMatchObject({ x: 401, y: 199 });
    await tap(sheet, 100, 100);
    sheet.getComponent(PictureStage).vm.$emit('drop', 'point:0');
    await flushPromises();
    expect(handle('point:0')).toMatchObject({ x: 100, y: 100 });
  });
  test('a line is followed by its colour from one tap; where there is none, the page says so and waits', async () => {
    const sheet = await withAxes();
    await press(sheet, diagram.followByColour);
    await tap(sheet, 50, 60);
    await untilShown(() => alerts(sheet).includes(diagram.noLine), 'that there is none');
    expect(sheet.text()).toContain(diagram.awaitingTap);
    remote.line = [
      { x: 100, y: 50 },
      { x: 200, y: 100 },
      { x: 300, y: 150 },
    ];
    await tap(sheet, 51, 60);
    await untilShown(() => points(sheet).length === 3, 'the points');
    expect([alerts(sheet), sheet.text().includes(diagram.followByColour)]).toEqual([[], true]);
    expect(remote.asked.filter(([what]) => what === 'follow').map(([, at]) => at)).toEqual([
      { x: 50, y: 60 },
      { x: 51, y: 60 },
    ]);
  });
  test('a photo is straightened by its frame: values stay, points go; cancelled nothing changes', async () => {
    const sheet = await withAxes();
    await tap(sheet, 100, 100);
    await press(sheet, diagram.straightenThePhoto);
    const handles = () =>
      sheet
        .getComponent(PictureStage)
        .props('handles')
        .map((h) => h.kind);
    expect([handles(), sheet.getComponent(PictureStage).props('outline')]).toEqual([Array(4).fill('corner'), true]);
    // A tap sets no point meanwhile.
    await tap(sheet, 10, 10);
    await press(sheet, diagram.cancel);
    expect([points(sheet).length, handles()]).toEqual([1, ['across', 'across', 'up', 'up', 'point']]);
    await press(sheet, diagram.straightenThePhoto);
    sheet.getComponent(PictureStage).vm.$emit('move', '0', 390, 190);
    await flushPromises();
    expect(isOff(sheet, diagram.straighten)).toBe(true);
    sheet.getComponent(PictureStage).vm.$emit('move', '0', 20, 10);
    await flushPromises();
    const straighten = sheet.findAll('button').find((b) => b.text() === diagram.straighten)!;
    await straighten.trigger('click');
    await untilShown(() => handles().length === 4 && !handles().includes('corner'), 'the straight picture');
    expect(remote.asked.find(([what]) => what === 'straighten')![1]).toMatchObject([{ x: 20, y: 10 }, {}, {}, {}]);
    const values = typedFields(sheet).map(({ field }) => plain(field.element.value));
    expect(values).toEqual(
      ['0 °C', '100 °C', '100', '10k'].map((v) => expect.stringContaining(v.slice(0, 2)) as string),
    );
    await bring(sheet);
    expect(typedFields(sheet).map(({ field }) => field.element.value)).toEqual(['', '', '', '']);
  });
});

describe('where a picture comes in', () => {
  const image = new File(['x'], 'a.png', { type: 'image/png' });
  const note = new File(['x'], 'a.txt', { type: 'text/plain' });
  const opened = (w: VueWrapper) => (w.emitted('open') ?? []).map(([file]) => (file as File).name);
  test('from a file, dropped or pasted: the first image of several, and no pasted text', async () => {
    const open = await show(PictureOpen, { props: { kept: kept(false), subject: 'table', note: '', lost: null } });
    expect(open.text()).toContain(openWords.dropHint);
    const zone = open.get('.open');
    await zone.trigger('dragover');
    expect(zone.classes('over')).toBe(true);
    await zone.trigger('dragleave');
    expect(zone.classes('over')).toBe(false);
    await zone.trigger('drop', { dataTransfer: { files: [note, image] } });
    const paste = (files: File[]): Event => {
      const event = new Event('paste', { cancelable: true });
      Object.assign(event, { clipboardData: { files } });
      document.dispatchEvent(event);
      return event;
    };
    expect(paste([note]).defaultPrevented).toBe(false);
    expect(paste([image]).defaultPrevented).toBe(true);
    await zone.trigger('drop', { dataTransfer: { files: [] } });
    expect(opened(open)).toEqual(['a.png', 'a.png']);
    const heard = open.emitted('open')!;
    unmountAll();
    paste([image]);
    expect(heard).toHaveLength(2);
  });
  test('with one there, another can be opened; what went wrong and what is not saved is said', async () => {
    const own = kept();
    const open = await show(PictureOpen, {
      props: { kept: own, subject: 'diagram', note: 'a note', lost: 'not saved' },
    });
    expect([open.text().includes(openWords.anotherPicture), open.text().includes(openWords.dropHint)]).toEqual([
      true,
      false,
    ]);
    expect(alerts(open)).toEqual(['a note', 'not saved']);
    own.fault.value = 'no picture';
    await flushPromises();
    expect(alerts(open)).toEqual(['no picture', 'not saved']);
  });
  test('one that cannot be opened leaves the figures as they are', async () => {
    const own = kept(true, false);
    const sheet = await show(FromPicture, { props: { kept: own } });
    await press(sheet, say.readTheTable);
    await until(() => sheet.find('[data-test="picture-figures"]').exists(), 'the figures');
    await bring(sheet);
    expect(own.open).toHaveBeenCalledOnce();
    expect(sheet.find('[data-test="picture-figures"]').exists()).toBe(true);
    expect(
      sheet
        .findAllComponents(PictureStage)[0]
        .props('handles')
        .map((h) => stage.handleLabel(h.label)),
    ).toHaveLength(4);
  });
});
