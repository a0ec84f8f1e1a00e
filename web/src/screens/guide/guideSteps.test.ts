import { expect, test } from 'vitest';
import { ASKED, FINISHING, isFinishing, stepBeside, stepNamed } from './guideSteps.ts';

test('from the first question to the last, and back', () => {
  const walked = [];
  for (let step = stepNamed(undefined) as ReturnType<typeof stepBeside>; step; step = stepBeside(step, 1))
    walked.push(step);
  expect(walked).toEqual([...ASKED, ...FINISHING]);
  expect(stepBeside('what', -1)).toBeNull();
  expect(stepBeside('where', -1)).toBe('result');
});
test('an address that names no step is the first; those after the result are forms of the order of work', () => {
  expect(stepNamed('result')).toBe('result');
  expect(stepNamed(['result'])).toBe('what');
  expect(stepNamed('elsewhere')).toBe('what');
  expect([...ASKED, ...FINISHING].filter(isFinishing)).toEqual([...FINISHING]);
});
