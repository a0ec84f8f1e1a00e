import type { Plugin } from 'vite';
import { appWords } from '../../core/src/wording/screens/app.ts';
import { noJobsWords as empty } from '../../core/src/wording/screens/jobs.ts';
import { cssVariables } from '../src/components/base/tokens.ts';

/** The look's variables, and the words of an empty ledger, stand in the page itself, so that the first paint, before any script, has them. */
export function firstPaint(): Plugin {
  const opening = `${empty.sensorSupplyOrWiring} ${appWords.openingTheChecks}`;
  const told = [
    `<h1>${empty.sensorSupplyOrWiring}</h1><p>${empty.fourFiguresAreEnoughForAVerdict}</p>`,
    `<ol><li>${[
      empty.theTemperatureBesideTheSensorBy,
      empty.theSensorsOhmsUnplugged,
      empty.theVoltsAtThePlugUnplugged,
      empty.theVoltsAtThePlugPluggedIn,
    ].join('</li><li>')}</li></ol>`,
    `<p>${empty.typeThemInAnyOrderAfter}</p>`,
  ].join('');
  return {
    name: 'first-paint',
    transformIndexHtml: (html) => ({
      html: html.replace('%opening%', opening).replace('%empty%', told),
      tags: [{ tag: 'style', children: cssVariables(), injectTo: 'head-prepend' }],
    }),
  };
}

/** The first paint waits for no script and for no style but its own: scripts come after what is seen, and `light.js` asks for the style sheets. */
export function nothingBefore(): Plugin {
  return {
    name: 'nothing-before',
    enforce: 'post',
    transformIndexHtml: {
      order: 'post',
      handler(html) {
        const sheets = [...html.matchAll(/<link rel="stylesheet"[^>]*href="([^"]+)"[^>]*>/g)];
        return {
          html: sheets
            .reduce((rest, [link]) => rest.replace(link, ''), html)
            .replaceAll(/<(script type="module"|link rel="modulepreload") crossorigin/g, '$& fetchpriority="low"'),
          tags: sheets.map(([, file]) => ({
            tag: 'meta',
            attrs: { name: 'sheet', content: file },
            injectTo: 'head-prepend' as const,
          })),
        };
      },
    },
  };
}
