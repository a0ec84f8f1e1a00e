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
      'Any figure, in any order, as you would say it: 4k7, 3.28, OL, 64F, 18…24. Leave out what you do not have. A figure that can be read in two ways is asked.',
  },
  {
    place: 'verdict',
    title: 'The verdict is there after each figure',
    words:
      'Sensor, wiring, supply, module, the place it sits in, or nothing wrong: with how surely, and why. Below it stands the next test that tells most a minute, and what each outcome would mean.',
  },
  {
    place: 'drawing',
    title: 'Where the probes go',
    words: 'The circuit with what was measured where, what is sound there (●) and what is off (◆).',
  },
  {
    place: 'order',
    title: 'The whole job, in order',
    words:
      'From the complaint to the proof after the repair. Go where you like: the order is a proposal. Each test says how it is set up, and its caution.',
  },
  {
    place: 'kept',
    title: 'Everything is kept',
    words:
      'In this browser, as you type, and nowhere else. Undo goes back step by step; Export gives a file to keep. The tool advises: the maker’s data and local codes decide.',
  },
];
