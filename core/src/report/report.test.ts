import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { checkJob } from '../check/job/checkJob.ts';
import { newJob } from '../check/job/newJob.ts';
import type { Job } from '../check/job/jobSchema.ts';
import { openJob } from '../check/job/openJob.ts';
import { noWorkshop, workshopSchema } from '../catalogue/kit/workshopSchema.ts';
import { FAULT_GROUPS, type FaultGroup } from '../base/units/vocabulary.ts';
import { posteriorOf } from '../inference/posterior/posterior.ts';
import { type PlaceAdvice, placeAdvice } from '../advice/place/placeAdvice.ts';
import { reachOf } from '../advice/place/harnessReach.ts';
import { assess } from '../inference/verdict/assessment.ts';
import { customerPage } from './customerPage.ts';
import { escaped, reportHtml } from './reportHtml.ts';
import { reportOf } from './reportOf.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const day = (iso: string): string => iso.slice(0, 10);
const options = { unit: 'C', when: day, day } as const;
const demo = (name: string): Job => {
  const opened = openJob(readFileSync(new URL(`../../../examples/demo/${name}`, import.meta.url), 'utf8'));
  if (!opened.ok) throw new Error(name);
  return opened.job;
};
const fresh = (change: (job: Job) => void): Job => {
  const job = newJob('r', NOW);
  change(job);
  return job;
};
const decision = (group: FaultGroup) => ({
  group,
  toolGroup: group,
  toolProbability: 0.93,
  reason: '',
  decidedAt: NOW,
});
const page = (job: Job, healthy: Parameters<typeof customerPage>[2] = null): Record<string, string[]> => {
  const { problem } = checkJob(job);
  return Object.fromEntries(
    customerPage(job, problem && assess(problem), healthy, options).map((s) => [s.id, s.lines]),
  );
};

describe('the page for the customer', () => {
  test('every decision has its plain words, and no technical word gets in', () => {
    for (const group of FAULT_GROUPS) {
      const { wrong } = page(fresh((j) => (j.decision = decision(group))));
      expect(wrong[0], group).toMatch(/^(The|We) .+\.$/);
      expect(wrong[0]).not.toMatch(/pull-up|divider|posterior|reference/i);
    }
  });
  test('nothing decided, done or proved is said so or left out', () => {
    const sections = page(fresh(() => undefined));
    expect(sections).toEqual({
      letter: ['Date: 2026-01-02'],
      wrong: ['We have not finished the check. What is wrong is not decided yet.'],
    });
    const done = page(fresh((j) => (j.repair.doneAt = NOW)));
    expect(done.done).toEqual(['Repaired on 2026-01-02.']);
    expect(done.proved).toEqual(['We have not finished checking the repair yet.']);
  });
  test('a closed job: what stood out with what is sound, the chance, the work, the proof', () => {
    const job = demo('snow-groomer.json');
    const sections = page(job);
    expect(sections.known[0]).toMatch(/^We took \d readings\. \d of them were not as in a sound circuit\.$/);
    expect(sections.known[1]).toMatch(/: .+\. A sound circuit shows .+\.$/);
    const { known } = page({ ...job, decision: { ...decision('reference'), toolGroup: 'sensor' } });
    expect(known.join()).not.toContain('The chance of');
    expect(page({ ...job, decision: decision('reference') }).known.join()).toContain('The chance of this one is 93 %');
  });
  test('it begins like a letter: whose machine, which order, when and by whom, as far as that is known', () => {
    const job = fresh((j) => Object.assign(j, { customer: ' Quay Ferries ', machine: 'Tern', orderNumber: 'A-17' }));
    job.closed = { at: '2026-03-04T05:06:07.000Z', how: 'unproved', reason: 'sold' };
    const [letter] = customerPage(job, null, null, { ...options, technician: 'A. Made-up' });
    expect(letter.lines).toEqual([
      'Customer: Quay Ferries',
      'Machine: Tern',
      'Order number: A-17',
      'Date: 2026-03-04',
      'Technician: A. Made-up',
    ]);
  });
  test('before a decision no percentage is named', () => {
    const { known, wrong } = page({ ...demo('snow-groomer.json'), decision: null });
    expect([...known, ...wrong].join()).not.toContain('%');
  });
  test('an open circuit is told in words, not as a sign', () => {
    const { known } = page(demo('ferry-generator.json'));
    expect(known.some((l) => l.includes('no connection at all'))).toBe(true);
    expect(known.join()).not.toMatch(/OL|Infinity/);
  });
  test('a stand-in is never called a repair; once it is out nothing is said of it', () => {
    const standIn = { what: '2.2k', fittedAt: NOW, removedAt: null as string | null };
    const job = fresh((j) => (j.repair.standIn = standIn));
    expect(page(job).done[0]).toBe(
      'A temporary replacement is fitted (2.2k). It is not a repair and must come out again.',
    );
    job.repair.standIn!.removedAt = NOW;
    expect(page(job).done).toBeUndefined();
  });
  test('proof: counted against what is sound; without it closing is told with its reason', () => {
    const job = fresh((j) => {
      j.repair.doneAt = NOW;
      j.proof.readings = [
        { measurement: 'open-voltage', text: '5', value: 5 },
        { measurement: 'loaded-voltage', text: '0', value: 0 },
      ];
      j.closed = { at: NOW, how: 'proved', reason: '' };
    });
    const healthy = { 'open-voltage': { low: 4.8, high: 5.2 }, 'loaded-voltage': { low: 2, high: 3 } };
    expect(page(job, healthy).proved).toEqual([
      'We measured again after the repair. 1 of 2 readings were as in a sound circuit.',
      'The repair is confirmed. We closed the order on 2026-01-02.',
    ]);
    job.closed = { at: NOW, how: 'unproved', reason: 'sold' };
    expect(page(job).proved).toEqual([
      'The repair is not confirmed. We closed the order on 2026-01-02 for this reason: sold',
    ]);
  });
  test('what is to be watched: only what is not done', () => {
    const followUp = (text: string, doneAt: string | null) => ({ id: text, text, dueOn: '2026-03-01', doneAt });
    expect(
      page(fresh((j) => (j.followUps = [followUp('look', null), followUp('over', NOW), followUp(' ', null)]))).watch,
    ).toEqual(['look, by 2026-03-01.', 'Have it checked again, by 2026-03-01.']);
  });
});

describe('the report', () => {
  const job = demo('swimming-bath-boiler.json');
  test('pages as wanted; who measured on its head and under the line to be signed on', () => {
    const workshop = { ...noWorkshop(), name: ' Quay Works ', technician: 'A. Made-up', contact: 'Pier 3' };
    const both = reportOf(job, null, null, { ...options, workshop });
    expect([both.customer.length > 0, both.sections.length > 0]).toEqual([true, true]);
    expect(both.head).toEqual({ workshop: 'Quay Works', contact: 'Pier 3' });
    expect(both.signatures).toEqual(['Technician: A. Made-up · date', 'Customer · date']);
    expect(reportOf(job, null, null, options).signatures[0]).toBe('Technician · date');
    expect(reportOf(job, null, null, { ...options, pages: 'customer' }).sections).toEqual([]);
    expect(reportOf(job, null, null, { ...options, pages: 'technical' }).customer).toEqual([]);
  });
  test('a logo is a small picture and nothing else', () => {
    const taken = (logo: unknown): boolean => workshopSchema.safeParse({ ...noWorkshop(), logo }).success;
    expect([taken('data:image/png;base64,AAAA'), taken(null)]).toEqual([true, true]);
    for (const bad of [
      'https://x',
      'data:text/html;base64,AA',
      'data:image/svg+xml;base64,AA',
      `data:image/png;base64,${'A'.repeat(500_000)}`,
    ])
      expect(taken(bad), bad.slice(0, 40)).toBe(false);
  });
});

describe('the report as a page of its own', () => {
  const colours = { ink: '#111', soft: '#555', line: '#ccc', accent: '#0aa' };
  const none = { drawing: null, charts: [], photos: [], logo: null };
  test('every demo job: one main heading, headings in order, tables with heads, no script, nothing fetched', () => {
    for (const name of readdirSync(new URL('../../../examples/demo/', import.meta.url))) {
      const job = demo(name);
      const { problem } = checkJob(job);
      const html = reportHtml(reportOf(job, problem && assess(problem), null, options), none, colours);
      expect(html).toMatch(/^<!doctype html>\n<html lang="en">/);
      expect(html.match(/<h1>/g)).toHaveLength(1);
      expect(html).not.toMatch(/<script|http|undefined|NaN|null/);
      const levels = [...html.matchAll(/<h(\d)/g)].map(([, level]) => Number(level));
      levels.slice(1).forEach((level, i) => expect(level - levels[i]).toBeLessThanOrEqual(1));
      for (const [, table] of html.matchAll(/<table>(.*?)<\/table>/gs)) {
        expect(table).toContain('<caption>');
        const heads = table.match(/scope="col"/g)!.length;
        const rows = table.match(/scope="row"/g)!.length;
        expect(table.match(/<td>/g)).toHaveLength(rows * (heads - 1));
      }
    }
  });
  test('what was typed is text: in headings, cells, captions and attributes', () => {
    const hostile = '"><img src=x onerror=alert(1)>&\'';
    const bad = { ...job(hostile), title: hostile, machine: hostile };
    const html = reportHtml(
      reportOf(bad, null, null, {
        ...options,
        workshop: { ...noWorkshop(), name: hostile, contact: hostile, technician: hostile },
      }),
      {
        ...none,
        photos: [{ image: 'data:image/jpeg;base64,AAAA', caption: hostile }],
        charts: [{ image: 'data:image/png;base64,AAAA', about: hostile }],
      },
      colours,
    );
    expect(html).not.toContain('<img src=x');
    expect(html.split(escaped(hostile)).length).toBeGreaterThan(8);
    expect(escaped(hostile)).toBe('&quot;&gt;&lt;img src=x onerror=alert(1)&gt;&amp;&#39;');
  });
  test('only pictures get in as pictures; drawing and charts stand in their sections', () => {
    const report = reportOf(job('x'), null, null, options);
    const image = 'data:image/png;base64,AAAA';
    const html = reportHtml(
      report,
      {
        drawing: '<svg id="d"></svg>',
        charts: [{ image, about: 'R' }],
        photos: [
          { image: 'javascript:alert(1)', caption: 'no' },
          { image, caption: '' },
        ],
        logo: 'data:text/html;base64,AAAA',
      },
      colours,
    );
    expect(html).not.toMatch(/javascript:|text\/html;base64/);
    expect(html).toContain('alt="Photo of the check"');
    expect(html).toMatch(/<h3>Circuit<\/h3>.*<svg id="d"><\/svg><\/section>/);
    expect(html).toMatch(/<h3>Measured and expected<\/h3>.*alt="R"/s);
    expect(reportHtml(report, { ...none, logo: image }, colours)).toContain(`<img class="logo" src="${image}" alt="">`);
  });
  function job(note: string): Job {
    return fresh((j) => {
      j.note = note;
      j.complaint.text = note;
      j.readings = [
        {
          id: 'a',
          measurement: 'open-voltage',
          text: '5',
          value: 5,
          conditions: {},
          state: 'steady',
          moment: 'steady',
          note,
          takenAt: null,
          voided: null,
          history: [],
        },
      ];
    });
  }
});

test('where on the way it lies stands with the verdict, the way itself with the circuit; of another loom nothing is said', () => {
  const pilot = demo('pilot-boat-jacket-water.json');
  const { problem } = checkJob(pilot);
  const where = placeAdvice(posteriorOf(problem!), reachOf(pilot.loom, pilot.kit));
  const linesOf = (id: string, told: PlaceAdvice | null): string[] =>
    reportOf(pilot, assess(problem!), null, { ...options, where: told }).sections.find((s) => s.id === id)!.lines;
  expect(linesOf('circuit', where)).toContain(
    'On the way: module (in the wheelhouse) – C2 (behind the day tank) – C1 (deck box) – sensor plug (on the block)',
  );
  expect(linesOf('verdict', where).join()).toContain('Likeliest place: contact at C1');
  expect(linesOf('verdict', { ...where, connectors: 5 }).join()).not.toContain('Likeliest');
  expect(linesOf('verdict', null).join()).not.toContain('Likeliest');
});
