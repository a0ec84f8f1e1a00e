import type { Report } from './reportOf.ts';
import type { ReportPictures, ReportSection } from './reportSection.ts';

/** Colours of the page, from the palette of whoever prints it. */
export interface HtmlColours {
  ink: string;
  soft: string;
  line: string;
  accent: string;
}

/**
 * The report as one HTML file that stands alone and is read by any browser and screen reader: language, one main heading, sections by heading,
 * tables with their heads, pictures with their words. No script, nothing fetched. Everything typed is escaped.
 */
export function reportHtml(report: Report, pictures: ReportPictures, colours: HtmlColours): string {
  const { head, customer, sections, signatures, cautions } = report;
  const logo = pictures.logo && isImage(pictures.logo) ? `<img class="logo" src="${pictures.logo}" alt="">` : '';
  const who = [head.workshop, head.contact].filter(Boolean);
  return [
    '<!doctype html>',
    '<html lang="en">',
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escaped(report.title)}</title>`,
    `<style>${styleOf(colours)}</style>`,
    '</head>',
    '<body>',
    `<header>${logo}${who.map((line) => `<p>${escaped(line)}</p>`).join('')}</header>`,
    '<main>',
    `<h1>${escaped(report.title)}</h1>`,
    `<p class="soft">${escaped(report.subtitle)}</p>`,
    ...(customer.length > 0 ? ['<h2>For you</h2>', ...customer.map((s) => sectionHtml(s, 3))] : []),
    ...(sections.length > 0
      ? ['<h2>The check in detail</h2>', ...sections.map((s) => sectionHtml(s, 3, pictures))]
      : []),
    ...(pictures.photos.length > 0
      ? ['<section><h3>Photos</h3>', ...pictures.photos.map(photoHtml), '</section>']
      : []),
    `<section><h3>Cautions</h3>${listHtml(cautions)}</section>`,
    `<section class="signatures">${signatures.map((s) => `<p>${escaped(s)}</p>`).join('')}</section>`,
    '</main>',
    '</body>',
    '</html>',
    '',
  ].join('\n');
}

function sectionHtml({ id, title, lines, table }: ReportSection, level: number, pictures?: ReportPictures): string {
  const rows = table?.rows ?? [];
  const heads = (table?.head ?? []).map((h) => `<th scope="col">${escaped(h)}</th>`).join('');
  const cells = (row: readonly string[]): string =>
    row.map((cell, i) => (i === 0 ? `<th scope="row">${escaped(cell)}</th>` : `<td>${escaped(cell)}</td>`)).join('');
  const tableHtml =
    rows.length === 0
      ? ''
      : `<table><caption>${escaped(title)}</caption><thead><tr>${heads}</tr></thead><tbody>${rows.map((r) => `<tr>${cells(r)}</tr>`).join('')}</tbody></table>`;
  const drawn = id === 'circuit' && pictures?.drawing ? pictures.drawing : '';
  const charts =
    id === 'readings'
      ? (pictures?.charts ?? [])
          .filter((c) => isImage(c.image))
          .map((c) => `<img src="${c.image}" alt="${escaped(c.about)}">`)
          .join('')
      : '';
  return `<section><h${level}>${escaped(title)}</h${level}>${lines.map((l) => `<p>${escaped(l)}</p>`).join('')}${tableHtml}${drawn}${charts}</section>`;
}

function photoHtml({ image, caption }: { image: string; caption: string }): string {
  if (!isImage(image)) return '';
  return `<figure><img src="${image}" alt="${escaped(caption || 'Photo of the check')}"><figcaption>${escaped(caption)}</figcaption></figure>`;
}

const listHtml = (items: readonly string[]): string =>
  `<ul>${items.map((i) => `<li>${escaped(i)}</li>`).join('')}</ul>`;

/** Only pictures get in as addresses. */
const isImage = (address: string): boolean => /^data:image\/(png|jpeg|svg\+xml);base64,[A-Za-z0-9+/=]+$/.test(address);

const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

/** Text as it may stand in an element or an attribute. */
export function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => SIGNS[sign]);
}

function styleOf({ ink, soft, line, accent }: HtmlColours): string {
  return [
    `body{font:16px/1.45 system-ui,sans-serif;color:${ink};background:#fff;max-width:52rem;margin:2rem auto;padding:0 1rem}`,
    `h1{font-size:1.6rem;margin:.5rem 0}h2{font-size:1.25rem;border-top:2px solid ${accent};padding-top:.6rem;margin-top:2rem}h3{font-size:1.05rem;margin:1.2rem 0 .2rem}`,
    `p{margin:.25rem 0}.soft,caption,figcaption{color:${soft}}header{color:${soft}}header p{margin:0}.logo{max-height:64px;max-width:220px}`,
    `table{border-collapse:collapse;width:100%;font-size:.9rem;margin:.4rem 0}caption{text-align:left;font-size:.85rem}th,td{text-align:left;vertical-align:top;border-bottom:1px solid ${line};padding:.25rem .6rem .25rem 0;overflow-wrap:anywhere}tbody th{font-weight:400}`,
    'img,svg{max-width:100%;height:auto}figure{margin:.6rem 0}.signatures{display:flex;gap:2rem;margin-top:3rem}',
    `.signatures p{flex:1;border-top:1px solid ${ink};padding-top:.3rem}`,
    '@media print{section,figure{break-inside:avoid}body{margin:0}}',
  ].join('');
}
