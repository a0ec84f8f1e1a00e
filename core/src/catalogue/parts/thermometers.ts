/** What is realistic for a thermometer at a machine. Limits in K. Common practice, no source. */
export const THERMOMETERS: readonly { name: string; limitK: number; mind: string }[] = [
  { name: 'Infra-red, dull surface', limitK: 2, mind: 'Close enough that the spot lies on the part; emissivity 0.95.' },
  { name: 'Infra-red, shiny metal', limitK: 15, mind: 'Reads the room instead: tape or paint on it first.' },
  { name: 'Thermocouple, taped on', limitK: 2, mind: 'Under tape and a bit of foam; wait a minute.' },
  { name: 'Thermocouple in the bath', limitK: 1, mind: 'Tip beside the sensor, stirred.' },
  { name: 'Glass', limitK: 1, mind: 'Immersed to its mark; never in a machine.' },
  { name: 'Digital, with a probe', limitK: 0.5, mind: 'Check it in ice once a year.' },
];
