// The engine's evidence against plain averaging over prior draws. Arguments: cases (60), draws (1000000), 'unknown' for a pull-up to be learned.
import { compareEvidence, evidenceText } from './compareEvidence.ts';

const [cases, draws, pullUp] = process.argv.slice(2);
const comparison = compareEvidence(
  Number(cases ?? 60),
  Number(draws ?? 1_000_000),
  pullUp === 'unknown',
  () => undefined,
);
console.log(evidenceText(comparison).join('\n'));
