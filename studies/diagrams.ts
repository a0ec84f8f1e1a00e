// Drawn diagrams, photographed: forty lines followed by one tap each. Part of `npm run accuracy`; writes its part of docs/accuracy.md.
// `npx tsx studies/diagrams.ts [diagrams, 40]`
import { percent } from '../cli/src/study/studyText.ts';
import { scoreDiagram } from './diagramBar.ts';
import { table, writeSection } from './sections.ts';

const count = Number(process.argv[2] ?? 40);
const scores = Array.from({ length: count }, (_, i) => scoreDiagram(i + 1));
for (const s of scores) if (!s.followed) console.error(`not followed: ${s.name}`);
const errors = scores.flatMap((s) => s.errorsK).sort((a, b) => a - b);
const sum = (of: (s: (typeof scores)[number]) => number): number => scores.reduce((all, s) => all + of(s), 0);
const followed = scores.filter((s) => s.followed).length;

writeSection(
  'diagrams',
  `${count} drawn diagrams (\`core/test/drawnDiagram.ts\`): linear and logarithmic, four inks, one or two curves over a gray grid. They are up to 3° askew, with shade to 30 %, JPEG of quality 60,
900 × 640 pixels. Each line is tapped once, two pixels beside it; the crosses are exactly on the printed axes.

${table(
  ['', 'measured', 'bar'],
  [
    ['followed without tapping along it', `${percent(followed / count)} (${followed} of ${count})`, '≥ 80 %'],
    [
      `error of the temperature where a pixel is worth at most 0.3 K (${errors.length} points)`,
      `median ${errors[errors.length >> 1].toFixed(2)} K, worst ${errors[errors.length - 1].toFixed(2)} K`,
      '0.3 K, 1.5 K',
    ],
    ['points where the stated uncertainty holds', percent(sum((s) => s.held) / sum((s) => s.points)), '≥ 95 %'],
  ],
)}`,
);
