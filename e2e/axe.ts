import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What axe finds on the page, one line each: impact, rule and the first element.
 * Only violations are worked out, and in the page itself: it has no frames of other origins, and a second page for every
 * question (the builder's usual way) takes longer than the question.
 */
export async function axeFinds(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).options({
    resultTypes: ['violations'],
    ...(rules && { runOnly: { type: 'rule', values: rules } }),
  });
  const { violations } = await axe.setLegacyMode().analyze();
  return violations.map((v) => `${v.impact} ${v.id} ${v.nodes[0]?.html.slice(0, 160)}`);
}
