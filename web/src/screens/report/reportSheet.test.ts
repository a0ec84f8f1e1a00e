// @vitest-environment happy-dom
import { reportName } from '@mellow-probe/core/report/reportName';
import { reportSheetWords as say } from '@mellow-probe/core/wording/screens/report';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import {
  broken,
  expectSound,
  isOff,
  judged,
  ownCheck,
  pickFrom,
  press,
  reading,
  show,
  untilShown,
  watchedPrint,
} from '../../../test/mountedScreens.ts';
import { saved } from '../../../test/savedFiles.ts';

/** What the PDF library is given, and what it answers. */
const paper = vi.hoisted(() => ({ made: [] as unknown[][], fails: false, shared: [] as string[] }));
vi.mock('./reportPdf.ts', () => ({
  reportPdf: (...args: unknown[]) =>
    paper.fails ? Promise.reject(new Error('no fonts')) : (paper.made.push(args), Promise.resolve(new Blob(['%PDF']))),
}));
vi.mock('../../browser/chartImage.ts', () => ({ chartImage: () => Promise.resolve('data:image/png;base64,AA==') }));
vi.mock('../../browser/shareFile.ts', () => ({
  canShareFiles: () => true,
  shareFile: (name: string) => Promise.resolve(paper.shared.push(name) > 0),
}));
const { default: ReportSheet } = await import('./ReportSheet.vue');

beforeEach(() => {
  saved.splice(0);
  Object.assign(paper, { made: [], fails: false, shared: [] });
});
async function sheet(readings = true): Promise<{ wrapper: VueWrapper; name: string }> {
  const job = await ownCheck(
    (j) => {
      j.title = 'Pump 3';
      if (readings) j.readings = [reading('sensor-ohms', '3520', 3520), reading('open-voltage', '5', 5)];
    },
    { judging: true },
  );
  const wrapper = await show(ReportSheet);
  await judged();
  await untilShown(() => !isOff(wrapper, say.pdf), 'the report');
  return { wrapper, name: reportName(job) };
}
const picturesOf = (args: unknown[]) => args[1] as { drawing: string | null; charts: { about: string }[] };

describe('the report as a file', () => {
  test('a PDF named after the check, with drawing and charts, on the paper that is chosen; shared the same', async () => {
    const { wrapper, name } = await sheet();
    expectSound(wrapper);
    await press(wrapper, say.pdf);
    await untilShown(() => saved.length === 1, 'the PDF');
    expect([saved[0].name, paper.made[0][2]]).toEqual([`${name}.pdf`, 'A4']);
    expect(picturesOf(paper.made[0]).charts.map((c) => c.about)).toEqual([
      say.resistanceAgainstTemperature,
      say.voltageAgainstTemperature,
    ]);
    expect(picturesOf(paper.made[0]).drawing).toMatch(/^<svg/);
    await pickFrom(wrapper, say.paper, 'LETTER');
    await press(wrapper, say.share);
    await untilShown(() => paper.shared.length === 1, 'the sharing');
    expect([paper.shared, paper.made[1][2]]).toEqual([[`${name}.pdf`], 'LETTER']);
    expect(saved).toHaveLength(1);
  });
  test('for the customer there are no charts, nor where nothing was measured', async () => {
    const { wrapper } = await sheet();
    await pickFrom(wrapper, say.pages, 'customer');
    await press(wrapper, say.pdf);
    await untilShown(() => paper.made.length === 1, 'the PDF');
    expect(picturesOf(paper.made[0]).charts).toEqual([]);
    wrapper.unmount();
    const { wrapper: empty } = await sheet(false);
    await press(empty, say.pdf);
    await untilShown(() => paper.made.length === 2, 'the PDF');
    expect(picturesOf(paper.made[1]).charts).toEqual([]);
  });
  test('a page of its own: in the light colours, with what the sheet says; printed by the browser', async () => {
    const { wrapper, name } = await sheet();
    await press(wrapper, say.html);
    await untilShown(() => saved.length === 1, 'the page');
    const text = await saved[0].blob.text();
    expect([saved[0].name, text.includes('Pump 3'), text.includes('<svg')]).toEqual([`${name}.html`, true, true]);
    // Dark ink on paper, whatever the theme.
    const [ink] = /color: ?#([0-9a-f]{6})/.exec(text)!.slice(1);
    expect(parseInt(ink.slice(0, 2), 16)).toBeLessThan(96);
    const print = watchedPrint();
    await press(wrapper, say.print);
    expect(print).toHaveBeenCalledOnce();
    vi.unstubAllGlobals();
  });
  test('a file that cannot be made says why; a verdict that fails leaves a report without one, and can be tried again', async () => {
    const { wrapper } = await sheet();
    paper.fails = true;
    await press(wrapper, say.pdf);
    await untilShown(() => wrapper.text().includes(say.fileFailed('no fonts')), 'the failure');
    expect(isOff(wrapper, say.pdf)).toBe(false);
    paper.fails = false;
    await press(wrapper, say.pdf);
    await untilShown(() => saved.length === 1, 'the PDF');
    expect(wrapper.text()).not.toContain(say.fileFailed('no fonts'));
    wrapper.unmount();
    await ownCheck((j) => (j.readings = [reading('sensor-ohms', '3520', 3520)]));
    broken.message = 'out of memory';
    const failing = await show(ReportSheet);
    await untilShown(() => failing.find('[role="alert"]').exists(), 'that there is no verdict');
    expect([failing.get('[role="alert"]').text().includes(say.computeAgain), isOff(failing, say.pdf)]).toEqual([
      true,
      false,
    ]);
    broken.message = '';
    await press(failing, say.computeAgain);
    await judged();
    await flushPromises();
    await untilShown(() => !failing.find('[role="alert"]').exists(), 'the verdict');
  });
});
