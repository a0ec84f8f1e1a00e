import type { HtmlTagDescriptor, Plugin } from 'vite';
import { appWords } from '../../core/src/wording/screens/app.ts';
import { noJobsWords as empty } from '../../core/src/wording/screens/jobs.ts';
import { cssVariables } from '../src/components/base/tokens.ts';

/** The look's variables, and the words of an empty ledger, stand in the page itself, so that the first paint, before any script, has them. */
export function firstPaint(): Plugin {
  const opening = `${empty.title} ${appWords.openingTheChecks}`;
  const told = [
    `<h1>${empty.title}</h1><p>${empty.fourFigures}</p>`,
    `<ol><li>${[empty.figureTemperature, empty.figureOhms, empty.figureUnplugged, empty.figurePluggedIn].join(
      '</li><li>',
    )}</li></ol>`,
    `<p>${empty.anyOrder}</p>`,
  ].join('');
  return {
    name: 'first-paint',
    transformIndexHtml: (html) => ({
      html: html.replace('%opening%', opening).replace('%empty%', told),
      tags: [{ tag: 'style', children: cssVariables(), injectTo: 'head-prepend' }],
    }),
  };
}

const inHead = (
  tag: string,
  attrs: Record<string, string | boolean>,
  injectTo: 'head' | 'head-prepend',
): HtmlTagDescriptor => ({ tag, attrs, injectTo });

/** The first paint waits for no script and for no style but its own: `begin.js` runs the scripts after it, and `light.js` asks for the style sheets. */
export function nothingBefore(): Plugin {
  return {
    name: 'nothing-before',
    apply: 'build',
    enforce: 'post',
    transformIndexHtml: {
      order: 'post',
      handler(html) {
        const sheets = [...html.matchAll(/<link rel="stylesheet"[^>]*href="([^"]+)"[^>]*>/g)];
        const program = /<script type="module"[^>]*src="([^"]+)"[^>]*><\/script>/.exec(html)!;
        return {
          html: sheets
            .reduce((rest, [link]) => rest.replace(link, ''), html)
            .replace(program[0], '')
            .replaceAll('<link rel="modulepreload" crossorigin', '$& fetchpriority="low"'),
          tags: [
            ...sheets.map(([, file]) => inHead('meta', { name: 'sheet', content: file }, 'head-prepend')),
            // After what it needs: `begin.js` runs them in their order.
            inHead('link', { rel: 'modulepreload', crossorigin: true, fetchpriority: 'low', href: program[1] }, 'head'),
            inHead('script', { type: 'module', fetchpriority: 'low', src: '/begin.js' }, 'head'),
          ],
        };
      },
    },
  };
}
