import { expect, type Page } from '@playwright/test';
import { STATIONS } from '../core/src/advice/workOrder/stations.ts';
import { measurementById } from '../core/src/circuit/measurements/list.ts';
import { choose, pick, startCheck } from './bench.ts';

/** How a test is repeated, as it stands on the buttons. */
const REPEATS = { same: /^Same/, hot: /^Hot/, wiggling: /^While/ };

/** A technician at the keyboard: drives the real interface and counts what it costs (one a key, one a click, two a pick from a list). */
export class Hand {
  strokes = 0;

  constructor(readonly page: Page) {}

  async start(circuit: string, title: string): Promise<void> {
    await startCheck(this.page);
    await pick(this.page, 'Circuit', circuit);
    await this.fill('Title of this check', title);
    this.strokes += 3;
  }

  async station(id: string): Promise<void> {
    await this.page.locator(`[data-station="${id}"]`).click();
    this.strokes += 1;
  }

  /** Fills the field of that label on the card in hand. */
  async fill(label: string, text: string): Promise<void> {
    await this.page.getByLabel(label, { exact: false }).first().fill(text);
    this.strokes += text.length;
  }

  async choose(label: string, option: string): Promise<void> {
    await choose(this.page.getByLabel(label, { exact: true }), option);
    this.strokes += 2;
  }

  async check(words: string): Promise<void> {
    await this.page.locator('label', { hasText: words }).first().locator('input').check();
    this.strokes += 1;
  }

  async press(button: string | RegExp): Promise<void> {
    await this.page.getByRole('button', { name: button }).first().click();
    this.strokes += 1;
  }

  /** Puts a test on the card and types its figure, with its conditions. */
  async read(
    test: string,
    text: string,
    conditions: { ohm?: string; water?: string; state?: 'hot' | 'wiggling' } = {},
  ): Promise<void> {
    const station = STATIONS.find((s) => s.tests.includes(test))!;
    const card = this.page.locator(`[data-card="${test}"]`);
    if (!(await card.isVisible())) {
      await this.station(station.id);
      const button = this.page.locator(`[data-test-id="${test}"]`);
      // The station may still be on its way: what it shows is looked at once either of them is there.
      await expect(card.or(button).first()).toBeVisible();
      // A test that is marked as open needs no press: its card is being fetched.
      if (!(await card.isVisible()) && (await button.getAttribute('aria-current')) === null) {
        await button.click();
        this.strokes += 1;
      }
    }
    await expect(card).toBeVisible();
    const another = card.getByRole('button', { name: /^(Another|Repeat)$/ }).first();
    const taken = (await card.locator('.large input').inputValue()) !== '';
    if (taken) {
      await another.click();
      this.strokes += 1;
      // Tests under conditions of their own (a resistor, a bath) ask for those instead.
      if (measurementById(test).needs.length === 0) {
        const ways = this.page.locator('[data-test="repeat"]:visible');
        await ways.getByRole('button', { name: REPEATS[conditions.state ?? 'same'] }).click();
        this.strokes += 1;
      }
    }
    if (conditions.ohm) await this.fill('with resistor', conditions.ohm);
    if (conditions.water) await this.fill('water at', conditions.water);
    await card.locator('.large input').fill(text);
    this.strokes += text.length;
    if (conditions.state && !taken) {
      await choose(card.getByLabel('while'), conditions.state);
      this.strokes += 2;
    }
  }

  async air(text: string): Promise<void> {
    await this.station('quick');
    await this.fill('Thermometer', text);
  }
}
