import type { Report } from '@mellow-probe/core/report/reportOf';
import type { ReportPictures } from '@mellow-probe/core/report/reportSection';
import medium from 'pdfmake/build/fonts/Roboto/Roboto-Medium.ttf?url';
import regular from 'pdfmake/build/fonts/Roboto/Roboto-Regular.ttf?url';
import { reportDocument } from './reportDocument.ts';

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
  return pdfMake.createPdf(reportDocument(report, pictures, paper)).getBlob();
}
