import { chromium } from '@playwright/test';
import type { Job } from '../../core/src/check/job/jobSchema.ts';
import { CHROMIUM } from '../builtPage.ts';

/** A photo as it might have been taken, drawn: a plug with its cavities, clean or green, in a colour of its own. */
export async function photo(
  job: Job,
  caption: string,
  plug: { body: string; rust: number; wires: string[] },
): Promise<void> {
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 480, height: 340 } });
  const spots = Array.from({ length: plug.rust }, (_, i) => {
    const [x, y] = [150 + ((i * 67) % 190), 120 + ((i * 41) % 90)];
    return `<circle cx="${x}" cy="${y}" r="${5 + ((i * 7) % 9)}" fill="#4f9d83" opacity="0.75"/>`;
  }).join('');
  const wires = plug.wires
    .map(
      (c, i) =>
        `<path d="M${205 + 70 * i} 230 C${190 + 80 * i} 300 ${150 + 90 * i} 320 ${120 + 110 * i} 345" stroke="${c}" stroke-width="13" fill="none"/>`,
    )
    .join('');
  const pins = plug.wires
    .map(
      (_, i) =>
        `<rect x="${183 + 70 * i}" y="145" width="44" height="52" rx="5" fill="#191919"/><rect x="${199 + 70 * i}" y="153" width="12" height="36" fill="#c9b26a"/>`,
    )
    .join('');
  await page.setContent(`<body style="margin:0"><svg width="480" height="340">
    <rect width="480" height="340" fill="#8d8578"/><rect y="250" width="480" height="90" fill="#6f675c"/>${wires}
    <rect x="130" y="105" width="${90 + 70 * plug.wires.length}" height="130" rx="16" fill="${plug.body}" stroke="#222" stroke-width="4"/>
    <rect x="160" y="92" width="80" height="18" rx="5" fill="${plug.body}" stroke="#222" stroke-width="3"/>${pins}${spots}</svg></body>`);
  const image = (await page.screenshot({ type: 'jpeg', quality: 70 })).toString('base64');
  await browser.close();
  const takenAt = job.createdAt.replace(':15:', ':50:');
  job.photos.push({
    id: `${job.id}-p${job.photos.length + 1}`,
    caption,
    takenAt,
    image: `data:image/jpeg;base64,${image}`,
  });
}
