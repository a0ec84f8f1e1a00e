import { paperWords, reportPdfWords as say } from '@mellow-probe/core/wording/screens/report';
import type { Report } from '@mellow-probe/core/report/reportOf';
import type { ReportPictures, ReportSection } from '@mellow-probe/core/report/reportSection';
import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { palette } from '../../components/base/tokens.ts';

/** Paper is always light. */
const { ink: INK, soft: SOFT } = palette(false);
/** Roboto lacks some signs. */
const printable = (text: string): string =>
  text.replace(/◆/g, '!').replace(/●/g, '•').replace(/○/g, '–').replace(/▲/g, '').replace(/→/g, '-');

/** A report as the PDF library wants it: pages, text with its language, bookmarks. */
export function reportDocument(report: Report, pictures: ReportPictures, paper: 'A4' | 'LETTER'): TDocumentDefinitions {
  const { photos, logo } = pictures;
  const content: Content[] = [
    ...headOf(report, logo),
    { text: printable(report.title), style: 'title' },
    { text: printable(report.subtitle), style: 'soft', margin: [0, 0, 0, 8] },
  ];
  if (report.customer.length > 0) {
    content.push(heading(paperWords.inPlainWords, 'part', 'plain'));
    for (const section of report.customer) content.push({ stack: sectionOf(section, null, 'plain'), style: 'plain' });
  }
  if (report.sections.length > 0) {
    content.push(heading(paperWords.detailTitle, 'part', 'detail', report.customer.length > 0));
    for (const section of report.sections) content.push(...sectionOf(section, pictures, 'detail'));
  }
  if (photos.length > 0) {
    content.push(heading(paperWords.photos, 'heading', 'photos'));
    for (const p of photos)
      content.push(
        { image: p.image, fit: [380, 260], margin: [0, 4, 0, 2] },
        { text: printable(p.caption), style: 'soft' },
      );
  }
  content.push(heading(paperWords.cautions, 'heading', 'cautions'), {
    ul: report.cautions.map(printable),
    style: 'soft',
  });
  content.push(signatures(report.signatures));
  return {
    pageSize: paper,
    pageMargins: [40, 40, 40, 48],
    info: {
      title: report.title,
      subject: say.subject,
      ...(report.head.workshop !== '' && { author: report.head.workshop }),
    },
    // Text and language for a reader; not marked as tagged: there is no structure tree.
    language: 'en',
    displayTitle: true,
    content,
    footer: (page, pages) => ({
      text: `${printable(report.title)} · ${page} / ${pages}`,
      alignment: 'center',
      fontSize: 8,
      color: SOFT,
      margin: [0, 14, 0, 0],
    }),
    defaultStyle: { font: 'Roboto', fontSize: 9.5, color: INK, lineHeight: 1.15 },
    styles: {
      title: { fontSize: 17, bold: true },
      part: { fontSize: 13.5, bold: true, margin: [0, 14, 0, 2] },
      heading: { fontSize: 11.5, bold: true, margin: [0, 9, 0, 2] },
      plain: { fontSize: 10.5 },
      soft: { color: SOFT, fontSize: 8.5 },
    },
  };
}

/** A heading that is a bookmark too; `id` makes it one of its own, parts of `in` stand under theirs. */
function heading(text: string, style: 'part' | 'heading', id: string, newPage = false, within?: string): Content {
  return {
    text,
    style,
    id,
    outline: true,
    outlineText: text,
    outlineExpanded: true,
    ...(within !== undefined && { outlineParentId: within }),
    ...(newPage && { pageBreak: 'before' as const }),
  };
}

function headOf({ head }: Report, logo: string | null): Content[] {
  if (head.workshop === '' && !logo) return [];
  const words: Column = {
    stack: [
      { text: printable(head.workshop), bold: true },
      { text: printable(head.contact), style: 'soft' },
    ],
    width: '*',
  };
  const columns: Column[] = logo ? [{ stack: [{ image: logo, fit: [120, 40] }], width: 'auto' }, words] : [words];
  return [{ columns, columnGap: 12, margin: [0, 0, 0, 10] }];
}

function sectionOf(section: ReportSection, pictures: ReportPictures | null, part: string): Content[] {
  const content: Content[] = [heading(section.title, 'heading', `${part}-${section.id}`, false, part)];
  for (const line of section.lines) content.push({ text: printable(line), margin: [0, 1, 0, 1] });
  if (section.table && section.table.rows.length > 0) content.push(table(section.table));
  if (section.id === 'circuit' && pictures?.drawing)
    content.push({ svg: printable(pictures.drawing), width: 500, margin: [0, 6, 0, 4] });
  if (section.id === 'readings' && pictures && pictures.charts.length > 0)
    content.push({ columns: pictures.charts.map(({ image }) => ({ image, width: 250 })), margin: [0, 6, 0, 4] });
  return content;
}

function signatures(names: readonly string[]): Content {
  return {
    unbreakable: true,
    margin: [0, 44, 0, 0],
    columnGap: 30,
    columns: names.map((name) => ({
      stack: [
        { canvas: [{ type: 'line' as const, x1: 0, y1: 0, x2: 235, y2: 0, lineWidth: 0.6 }] },
        { text: printable(name), style: 'soft', margin: [0, 3, 0, 0] as [number, number, number, number] },
      ],
    })),
  };
}

function table({ head, rows }: { head: string[]; rows: string[][] }): Content {
  return {
    margin: [0, 3, 0, 3],
    fontSize: 8.5,
    layout: 'lightHorizontalLines',
    table: {
      headerRows: 1,
      widths: head.map((_, i) => (i === 0 ? '*' : 'auto')),
      body: [head.map((h) => ({ text: printable(h), bold: true })), ...rows.map((row) => row.map(printable))],
    },
  };
}
