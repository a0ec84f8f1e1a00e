// @vitest-environment happy-dom
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { seededUniform } from '@mellow-probe/core/base/numeric/random';
import { same } from '@mellow-probe/core/base/records/plainData';
import { describe, expect, test } from 'vitest';
import { judgedJob, ofView, settle } from '../../test/judgedJob.ts';
import { EngineError } from '../workers/engineClient.ts';

/** The parts of a job that the engine looks at, as the session asks. */
const figures = (job: Job): object => ({
  t: job.moments[0].temperatureC,
  r: job.readings,
  f: job.findings,
  c: job.circuit,
});

describe('property: no verdict for figures that are not on the screen', () => {
  test('1000 random interleavings of typing, late answers, failures, changes from elsewhere and closing', async () => {
    for (let seed = 1; seed <= 1000; seed++) {
      const uniform = seededUniform(seed * 31 + 5);
      const pick = (k: number): number => Math.floor(uniform() * k);
      const { asked, record, control, judging, view, verdict, advice } = await judgedJob();
      let wrong = 0;
      const look = (): void => {
        const { state } = view;
        if (
          state.kind === 'ready' &&
          !same(figures(ofView(view)!), figures(JSON.parse(JSON.stringify(record.value)) as Job))
        )
          wrong++;
        if (state.kind === 'ready' && view.earlier) wrong++;
        if (state.kind !== 'ready' && view.shown && !view.earlier) wrong++;
        // What the shown answer says it is of is what the engine was asked.
        if (view.shown && !same(figures(view.shown.of.job), figures(ofView(view)!))) wrong++;
      };
      for (let step = 0; step < 14; step++) {
        const open = asked[pick(asked.length)];
        switch (pick(9)) {
          case 0:
          case 1:
            record.value.moments[0].temperatureC = { text: String(step), value: step };
            break;
          case 2:
            record.value.findings = [`f${pick(3)}`];
            look();
            record.value.moments[0].temperatureC = { text: `${step}.5`, value: step + 0.5 };
            break;
          case 3:
            open.tell(verdict(open.job));
            break;
          case 4:
            open.tell(advice(open.job));
            break;
          case 5:
            open.done();
            break;
          case 6:
            open.fail(new EngineError({ why: 'stopped', message: 'x' }));
            break;
          case 7:
            control.elsewhere((j) => ({
              ...j,
              moments: j.moments.map((m, i) =>
                i === 1 ? { ...m, temperatureC: { text: String(step), value: step } } : m,
              ),
              findings: [`e${pick(3)}`],
            }));
            break;
          case 8:
            record.value.title = `t${step}`;
            break;
        }
        look();
        if (pick(2)) await settle();
        look();
      }
      judging.close();
      look();
      record.dispose();
      expect(wrong, `seed ${seed}`).toBe(0);
    }
  });
});
