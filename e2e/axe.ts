import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What axe finds on the page, or within a part of it, one line each: impact, rule and the first element.
 * Only violations are worked out, and in the page itself: it has no frames of other origins, and a second page for every
 * question (the builder's usual way) takes longer than the question.
 */
export async function axeFinds(page: Page, rules?: string[], within?: string): Promise<string[]> {
  const axe = new AxeBuilder({ page }).options({
    resultTypes: ['violations'],
    ...(rules && { runOnly: { type: 'rule', values: rules } }),
  });
  if (within !== undefined) axe.include(within);
  const { violations } = await axe.setLegacyMode().analyze();
  return violations.map((v) => `${v.impact} ${v.id} ${v.nodes[0]?.html.slice(0, 160)}`);
}

/** Of those, what shuts somebody out. */
export const serious = (finds: readonly string[]): string[] => finds.filter((f) => /^(serious|critical) /.test(f));
