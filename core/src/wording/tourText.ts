/** A walk round the bench for somebody who sees it for the first time: five steps, each a place. */
export const BENCH_TOUR: readonly {
  place: 'order' | 'figures' | 'verdict' | 'drawing' | 'kept';
  title: string;
  words: string;
}[] = [
  {
    place: 'figures',
    title: 'Type what the meter shows',
    words:
      'Enter figures in any order, as you say them: 4k7, 3.28, OL, 64F, 18…24. Leave out what you do not have. If a figure can be read in two ways, you are asked.',
  },
  {
    place: 'verdict',
    title: 'The verdict follows each figure',
    words:
      'It names what is at fault, how sure it is, and why: sensor, wiring, supply, module, or the place of the sensor. Below it is the suggested next test, with what each outcome would mean.',
  },
  {
    place: 'drawing',
    title: 'Where the probes go',
    words: 'The circuit shows where each figure was measured. ● is within range, ◆ is not.',
  },
  {
    place: 'order',
    title: 'The whole job, in order',
    words:
      'From the complaint to verifying the repair. You can take the steps in any order. Each test shows its set-up and its cautions.',
  },
  {
    place: 'kept',
    title: 'Everything is saved',
    words:
      'It is saved in this browser as you type, and nowhere else. Undo goes back step by step. Export makes a file. The tool advises: the maker’s data and local codes decide.',
  },
];
