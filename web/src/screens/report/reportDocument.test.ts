// @vitest-environment happy-dom
import { paperWords } from '@mellow-probe/core/wording/screens/report';
import type { Report } from '@mellow-probe/core/report/reportOf';
import type { ReportPictures } from '@mellow-probe/core/report/reportSection';
import { describe, expect, test } from 'vitest';
import { reportDocument } from './reportDocument.ts';

const NOTHING: ReportPictures = { drawing: null, charts: [], photos: [], logo: null };
const REPORT: Report = {
  title: 'Pump → house',
  subtitle: 'begun today',
  head: { workshop: '', contact: '' },
  customer: [{ id: 'wrong', title: 'What was wrong', lines: ['◆ the sensor'] }],
  sections: [
    { id: 'circuit', title: 'Circuit', lines: [] },
    {
      id: 'readings',
      title: 'Readings',
      lines: ['one'],
      table: { head: ['Test', 'Value'], rows: [['● ohms', '2 kΩ']] },
    },
  ],
  cautions: ['Hot ▲ coolant'],
  signatures: ['Technician', 'Customer'],
};

/** Every object of a document, from the outside in. */
function* all(node: unknown): Generator<Record<string, unknown>> {
  if (Array.isArray(node)) for (const one of node as unknown[]) yield* all(one);
  else if (typeof node === 'object' && node !== null) {
    yield node as Record<string, unknown>;
    for (const value of Object.values(node)) yield* all(value);
  }
}
const contentOf = (report: Partial<Report>, pictures: Partial<ReportPictures> = {}) => [
  ...all(reportDocument({ ...REPORT, ...report }, { ...NOTHING, ...pictures }, 'A4').content),
];
const bookmarks = (report: Partial<Report>, pictures: Partial<ReportPictures> = {}) =>
  contentOf(report, pictures)
    .filter((n) => n.outline === true)
    .map((n) => [n.id, n.outlineParentId ?? null, n.pageBreak ?? null]);

describe('a report on paper', () => {
  test('the size of the paper, the language, the title and who wrote it', () => {
    const plain = reportDocument(REPORT, NOTHING, 'LETTER');
    expect(plain).toMatchObject({
      pageSize: 'LETTER',
      language: 'en',
      displayTitle: true,
      info: { title: 'Pump → house' },
    });
    expect(plain.info).not.toHaveProperty('author');
    const signed = reportDocument({ ...REPORT, head: { workshop: 'Quay Works', contact: 'Pier 3' } }, NOTHING, 'A4');
    expect([signed.pageSize, signed.info?.author]).toEqual(['A4', 'Quay Works']);
    const footer = plain.footer as (page: number, pages: number) => { text: string };
    expect(footer(2, 5).text).toBe('Pump - house · 2 / 5');
  });
  test('bookmarks: each section under its page; the second page begins a new sheet only after a first one', () => {
    expect(bookmarks({})).toEqual([
      ['plain', null, null],
      ['plain-wrong', 'plain', null],
      ['detail', null, 'before'],
      ['detail-circuit', 'detail', null],
      ['detail-readings', 'detail', null],
      ['cautions', null, null],
    ]);
    expect(bookmarks({ customer: [] }).map(([id, , pageBreak]) => [id, pageBreak])).toContainEqual(['detail', null]);
    expect(bookmarks({ sections: [] }).map(([id]) => id)).not.toContain('detail');
    expect(bookmarks({}, { photos: [{ image: 'data:p', caption: 'the plug' }] }).map(([id]) => id)).toContain('photos');
  });
  test('signs that the fonts lack are written otherwise, everywhere', () => {
    const said = JSON.stringify(reportDocument(REPORT, NOTHING, 'A4').content);
    expect(said).not.toMatch(/[◆●○▲→]/);
    expect(said).toContain('! the sensor');
    expect(said).toContain('• ohms');
  });
  test('the drawing stands with the circuit, the charts with the readings, on the technical page alone', () => {
    const pictures = { drawing: '<svg/>', charts: [{ image: 'data:c', about: 'R over T' }] };
    const content = contentOf({}, pictures);
    expect(content.filter((n) => n.svg === '<svg/>')).toHaveLength(1);
    expect(content.filter((n) => n.image === 'data:c')).toHaveLength(1);
    // After the circuit's heading the drawing, after the readings' the charts; a page in plain words has neither.
    const order = content.flatMap((n) => n.id ?? n.svg ?? n.image ?? []);
    expect(order.slice(order.indexOf('detail'))).toEqual([
      'detail',
      'detail-circuit',
      '<svg/>',
      'detail-readings',
      'data:c',
      'cautions',
    ]);
    const inPlainWords = contentOf({ customer: REPORT.sections, sections: [] }, pictures);
    expect(inPlainWords.some((n) => n.svg ?? n.image)).toBe(false);
    expect(contentOf({}, { charts: [] }).filter((n) => Array.isArray(n.columns) && n.columns.length === 0)).toEqual([]);
    expect(contentOf({ sections: [] }, pictures).some((n) => n.svg ?? n.image)).toBe(false);
    expect(contentOf({}).some((n) => n.svg ?? n.image)).toBe(false);
  });
  test('a table repeats its head; without rows there is none; a logo stands beside the workshop, or alone', () => {
    expect(contentOf({}).find((n) => n.headerRows === 1)).toMatchObject({ widths: ['*', 'auto'] });
    const empty = [{ ...REPORT.sections[1], table: { head: ['Test'], rows: [] } }];
    expect(contentOf({ sections: empty }).some((n) => n.headerRows === 1)).toBe(false);
    const heads = (workshop: string, logo: string | null) =>
      contentOf({ head: { workshop, contact: '' } }, { logo }).find((n) => n.columnGap === 12)?.columns as unknown[];
    expect(heads('', null)).toBeUndefined();
    expect(heads('Quay Works', null)).toHaveLength(1);
    expect(heads('', 'data:l')).toHaveLength(2);
    expect(JSON.stringify(heads('Quay Works', null))).toContain('{"text":"Quay Works","bold":true}');
  });
  test('a line to sign on for everyone, with the name under it; cautions at the end', () => {
    const content = contentOf({});
    expect(content.filter((n) => n.type === 'line')).toHaveLength(2);
    expect(content.some((n) => n.text === 'Customer')).toBe(true);
    expect(content.find((n) => n.ul)?.ul).toEqual(['Hot  coolant']);
    expect(content.some((n) => n.text === paperWords.cautions)).toBe(true);
  });
});

test('what is more of a heading is larger: title, part, heading, text; headings are bold and have space above', () => {
  const { styles, defaultStyle } = reportDocument(REPORT, NOTHING, 'A4');
  const sizes = ['title', 'part', 'heading', 'plain'].map((name) => styles![name].fontSize!);
  expect(sizes.toSorted((a, b) => b - a)).toEqual(sizes);
  expect(sizes.at(-1)).toBeGreaterThan(defaultStyle!.fontSize!);
  for (const name of ['title', 'part', 'heading']) expect(styles![name].bold, name).toBe(true);
  for (const name of ['part', 'heading']) expect((styles![name].margin as number[])[1], name).toBeGreaterThan(0);
});
