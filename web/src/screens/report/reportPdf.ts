import type { Report } from '@mellow-probe/core/report/reportOf';
import medium from 'pdfmake/build/fonts/Roboto/Roboto-Medium.ttf?url';
import regular from 'pdfmake/build/fonts/Roboto/Roboto-Regular.ttf?url';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { palette } from '../../components/base/tokens.ts';

/** What goes into the PDF beside the text: the drawing as SVG, the charts and the photos as data addresses. */
export interface ReportPictures {
  drawing: string | null;
  charts: string[];
  photos: { image: string; caption: string }[];
}

/** The report as a PDF of A4 or Letter pages. The PDF library is loaded only here. */
export async function reportPdf(report: Report, pictures: ReportPictures, paper: 'A4' | 'LETTER'): Promise<Blob> {
  const { default: pdfMake } = await import('pdfmake/build/pdfmake.min.js');
  const address = (path: string): string => new URL(path, window.location.href).href;
  const fonts = {
    normal: address(regular),
    bold: address(medium),
    italics: address(regular),
    bolditalics: address(medium),
  };
  pdfMake.addFonts({ Roboto: fonts });
  return pdfMake.createPdf(definition(report, pictures, paper)).getBlob();
}

/** Paper is always light. */
const { ink: INK, soft: SOFT } = palette(false);
/** Roboto lacks some signs. */
const printable = (text: string): string =>
  text.replace(/◆/g, '!').replace(/●/g, '•').replace(/○/g, '–').replace(/▲/g, '').replace(/→/g, '-');

function definition(
  report: Report,
  { drawing, charts, photos }: ReportPictures,
  paper: 'A4' | 'LETTER',
): TDocumentDefinitions {
  const content: Content[] = [
    { text: printable(report.title), style: 'title' },
    { text: printable(report.subtitle), style: 'soft', margin: [0, 0, 0, 8] },
  ];
  for (const section of report.sections) {
    content.push({ text: section.title, style: 'heading' });
    for (const line of section.lines) content.push({ text: printable(line), margin: [0, 1, 0, 1] });
    if (section.table && section.table.rows.length > 0) content.push(table(section.table));
    if (section.id === 'circuit' && drawing)
      content.push({ svg: printable(drawing), width: 500, margin: [0, 6, 0, 4] });
    if (section.id === 'readings' && charts.length > 0)
      content.push({ columns: charts.map((image) => ({ image, width: 250 })), margin: [0, 6, 0, 4] });
  }
  if (photos.length > 0) {
    content.push({ text: 'Photos', style: 'heading' });
    for (const p of photos)
      content.push(
        { image: p.image, fit: [380, 260], margin: [0, 4, 0, 2] },
        { text: printable(p.caption), style: 'soft' },
      );
  }
  content.push({ text: 'Cautions', style: 'heading' }, { ul: report.cautions.map(printable), style: 'soft' });
  return {
    pageSize: paper,
    pageMargins: [40, 40, 40, 48],
    info: { title: report.title },
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
      heading: { fontSize: 11.5, bold: true, margin: [0, 9, 0, 2] },
      soft: { color: SOFT, fontSize: 8.5 },
    },
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
