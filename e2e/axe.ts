import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults, RunOptions } from 'axe-core';
import type { Page } from '@playwright/test';

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * What axe finds on the page, or within a part of it, one line each: impact, rule and the first element.
 * It is put into a page once, only violations are worked out, and in the page itself: there are no frames of other origins.
 */
export async function axeFinds(page: Page, rules?: string[], within?: string): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(SOURCE);
  const options: RunOptions = {
    resultTypes: ['violations'],
    ...(rules && { runOnly: { type: 'rule', values: rules } }),
  };
  const { violations } = await page.evaluate(
    ([part, how]) =>
      (window as unknown as { axe: { run: (part: unknown, how: RunOptions) => Promise<AxeResults> } }).axe.run(
        part ?? document,
        how,
      ),
    [within, options] as const,
  );
  return violations.map((v) => `${v.impact} ${v.id} ${v.nodes[0]?.html.slice(0, 160)}`);
}
