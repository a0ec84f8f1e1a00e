// The made-up checks of the demo workshop. Figures are those a meter would show: divider, curve and fault worked out by hand, with a meter's last digits.
// Machines, places and people are invented.
import type { Job } from '../../core/src/check/job/jobSchema.ts';
import { blank, entryOf } from '../../core/src/base/units/entry.ts';
import { quarry } from './pumps.ts';
import { photo } from './photo.ts';
import { begun, celsius, decide, followUp, read } from './told.ts';

/** Sensor open; a stand-in runs until the part comes. */
async function ferry(): Promise<Job> {
  const job = begun(
    'ferry-generator',
    15,
    'engine-coolant-2k',
    'Ferry Plover · generator coolant',
    'Ferry Plover, harbour generator',
    'Gauge at the cold end since the last service; fan runs all day.',
  );
  job.tags = ['harbour', 'ferry fleet'];
  job.complaint.codes = [{ id: 'c1', code: 'P0118', state: 'present' }];
  job.moments[0].temperatureC = celsius(18);
  job.findings = ['corrosion'];
  read(job, ['displayed', '-40'], ['open-voltage', '5.02'], ['sensor-ohms', 'OL'], ['loaded-voltage', '5.01']);
  await photo(job, 'Plug of the sensor, green in both cavities', {
    body: '#3a3d40',
    rust: 13,
    wires: ['#b3541e', '#2f2f2f'],
  });
  decide(job, 'sensor');
  job.repair = {
    part: 'Coolant sensor',
    partNumber: '',
    cause: 'Water from the hatch ran along the loom into the plug.',
    done: 'Plug dried and renewed; sensor of the same curve borrowed from the spares box until the part comes.',
    doneAt: '2026-03-15T09:30:00.000Z',
    standIn: { what: 'spare of the same curve, no thread seal', fittedAt: '2026-03-15T09:25:00.000Z', removedAt: null },
  };
  followUp(job, 'Fit the right sensor, take the spare out', '2026-03-22');
  return job;
}

/** Reference low: the supply that all sensors share. */
function groomer(): Job {
  const job = begun(
    'snow-groomer',
    10,
    'engine-coolant-2k',
    'Snow groomer 4 · coolant',
    'Snow groomer 4, lower station',
    'Three gauges read cold since the alternator was changed.',
  );
  job.complaint.codes = [
    { id: 'c1', code: 'P0642', state: 'present' },
    { id: 'c2', code: 'P0118', state: 'sporadic' },
  ];
  job.moments[0].temperatureC = celsius(6);
  job.findings = ['several-codes'];
  read(
    job,
    ['open-voltage', '3.62'],
    ['neighbour-reference', '3.61'],
    ['sensor-ohms', '4.63k'],
    ['loaded-voltage', '2.35'],
  );
  decide(job, 'reference', 'All three circuits hang on the same 5 V; the new alternator’s cable lies on the loom.');
  return job;
}

/** Sensor drifted: shown by comparing with a new one. */
function coldRoom(): Job {
  const job = begun(
    'bakery-cold-room',
    9,
    'air-10k-33',
    'Bakery · proving room air',
    'Bakery at the mill, proving room',
    'Dough proves too fast; room feels warmer than the display says.',
  );
  job.moments[0].temperatureC = celsius(24);
  read(job, ['open-voltage', '3.29'], ['sensor-ohms', '12.6k'], ['loaded-voltage', '1.84'], ['displayed', '19']);
  job.comparison.pairs = (
    [
      ['this', 'heating', 0, '35.7k'],
      ['this', 'heating', 24, '12.6k'],
      ['this', 'heating', 60, '3.38k'],
      ['this', 'cooling', 24, '12.9k'],
      ['other', 'heating', 0, '29.3k'],
      ['other', 'heating', 24, '10.4k'],
      ['other', 'heating', 60, '2.76k'],
    ] as const
  ).map(([sensor, phase, c, ohm], i) => ({
    id: `pair-${i}`,
    sensor,
    phase,
    temperatureC: celsius(c),
    resistanceOhm: entryOf(ohm, 'ohms', 'C'),
  }));
  return job;
}

/** Short in the loom; the owner sold the machine, so it is closed without proof and laid away. */
function heatPump(): Job {
  const job = begun(
    'reading-room',
    3,
    'air-10k-steep',
    'Reading room · outdoor coil',
    'Reading room, heat pump behind the hedge',
    'Defrosts all the time.',
  );
  job.moments[0].temperatureC = celsius(11);
  job.findings = ['chafed'];
  read(job, ['displayed', '100'], ['open-voltage', '0.00'], ['sensor-ohms', '19.4k'], ['isolation-ground', '0.6']);
  decide(job, 'wiring');
  job.closed = {
    at: '2026-03-04T10:00:00.000Z',
    how: 'unproved',
    reason: 'Unit is replaced next week; loom taped away from the bracket until then.',
  };
  job.archivedAt = '2026-03-20T10:00:00.000Z';
  return job;
}

/** Everything at the plug is right and the module shows something else. */
function school(): Job {
  const job = begun(
    'school-boiler',
    16,
    'boiler-12k',
    'Village school · boiler flow',
    'Village school, boiler 1',
    'Flow shown 19 K too low; radiators boil.',
  );
  job.moments[0].temperatureC = celsius(41);
  read(
    job,
    ['displayed', '22'],
    ['open-voltage', '5.00'],
    ['sensor-ohms', '6.21k'],
    ['loaded-voltage', '1.91'],
    ['return-drop', '0.002'],
    ['panel-ohms', '6.22k'],
  );
  decide(job, 'module', 'Same volts at the module’s own terminals. The maker’s service decides about the board.');
  return job;
}

/** Sensor sits in the sun. */
function hall(): Job {
  const job = begun(
    'village-hall',
    17,
    'boiler-ni1000',
    'Village hall · outdoor',
    'Village hall, south gable',
    'Heating goes off at noon although it is cold.',
  );
  job.moments[0].temperatureC = celsius(8);
  job.findings = ['loose'];
  read(job, ['displayed', '21'], ['sensor-ohms', '1.119k'], ['loaded-voltage', '1.74'], ['open-voltage', '3.30']);
  return job;
}

/** Which of three exhaust sensors is it? */
function roller(): Job {
  const job = begun(
    'road-roller',
    18,
    'exhaust-pt200',
    'Road roller · exhaust, three look-alikes',
    'Road roller 12, works yard',
    'Regeneration breaks off; the middle exhaust value jumps.',
  );
  job.moments[0].temperatureC = celsius(14);
  job.rightSensor = {
    values: ['EGT 1', 'EGT 2', 'EGT 3'].map((name, i) => ({ id: `v${i + 1}`, name })),
    plugs: ['front, grey', 'middle, black', 'rear, black'].map((name, i) => ({ id: `p${i + 1}`, name })),
    trials: [{ id: 't1', plugId: 'p1', how: 'unplugged', movedId: 'v3' }],
    wantedValueId: 'v2',
    measuredPlugId: null,
  };
  return job;
}

/** Comes and goes when the loom is moved. */
async function dyeWorks(): Promise<Job> {
  const job = begun(
    'dye-works',
    19,
    'boiler-si-2k',
    'Dye works · tank 3',
    'Dye works, tank 3',
    'Drops out for a second, several times a shift.',
  );
  job.moments[0].temperatureC = celsius(22);
  job.findings = ['moves-when-wiggled'];
  read(
    job,
    ['displayed', '22'],
    ['open-voltage', '5.01'],
    ['sensor-ohms', '1.96k'],
    ['loaded-voltage', '2.47'],
    ['loaded-voltage', '4.98', 'wiggling', 'at the cable gland'],
  );
  await photo(job, 'Gland where the cable bends', { body: '#51616b', rust: 2, wires: ['#d9d4c8', '#7a3f8a'] });
  followUp(job, 'New gland with a bend guard', '2026-04-02');
  return job;
}

/** No thermometer, no table: one line of a specification. */
function greenhouse(): Job {
  const job = begun(
    'greenhouse',
    20,
    'air-10k-33',
    'Greenhouse · air, no papers',
    'Greenhouse by the canal',
    'Vents stay shut.',
  );
  job.circuit.curve = {
    source: 'band',
    slope: 'ntc',
    bands: [{ temperatureC: celsius(20), resistanceOhm: entryOf('10–15 k', 'ohm-band', 'C') }],
  };
  job.moments[0].temperatureC = entryOf('18…24', 'told-celsius', 'C');
  read(job, ['sensor-ohms', '12.1k'], ['open-voltage', '3.28']);
  return job;
}

/** Only just come in. */
function tractor(): Job {
  const job = begun(
    'beet-harvester',
    21,
    'engine-coolant-2k',
    'Beet harvester · coolant',
    'Beet harvester, field 9',
    'Hard starting in the cold; nothing looked at yet.',
  );
  job.complaint.symptoms = ['hard-start'];
  job.moments[0].temperatureC = blank();
  return job;
}

/** All of them. */
export async function demoCases(): Promise<Job[]> {
  return [
    await ferry(),
    groomer(),
    coldRoom(),
    heatPump(),
    school(),
    hall(),
    roller(),
    await dyeWorks(),
    greenhouse(),
    tractor(),
    ...quarry(),
  ];
}
