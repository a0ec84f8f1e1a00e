/**
 * Temperatures in the answers of a vehicle: SAE J1979 service 01 (from memory; decoded alike by the Debian package python3-scapy) and SAE J1939-71
 * (from memory, no independent check here). °C.
 */
export interface Parameter {
  /** Two hexadecimal digits of the parameter of service 01. */
  pid: string;
  /** Data bytes of its answer. */
  bytes: number;
  /** The sensors in it: name, and °C from the data, null where this one is not there. */
  sensors: readonly { name: string; read: (data: readonly number[]) => number | null }[];
}

const whole = (pid: string, name: string): Parameter => ({
  pid,
  bytes: 1,
  sensors: [{ name, read: ([a]) => a - 40 }],
});
const tenths = (pid: string, name: string): Parameter => ({
  pid,
  bytes: 2,
  sensors: [{ name, read: ([a, b]) => (256 * a + b) / 10 - 40 }],
});
const exhaust = (pid: string, bank: number): Parameter => ({
  pid,
  bytes: 9,
  sensors: [0, 1, 2, 3].map((k) => ({
    name: `Exhaust gas, bank ${bank}, sensor ${k + 1}`,
    read: (d) => ((d[0] >> k) & 1 ? (256 * d[1 + 2 * k] + d[2 + 2 * k]) / 10 - 40 : null),
  })),
});

/** Every temperature of service 01 that is one byte or word a sensor. */
export const PARAMETERS: readonly Parameter[] = [
  whole('05', 'Coolant'),
  whole('0F', 'Intake air'),
  tenths('3C', 'Catalyst, bank 1, sensor 1'),
  tenths('3D', 'Catalyst, bank 2, sensor 1'),
  tenths('3E', 'Catalyst, bank 1, sensor 2'),
  tenths('3F', 'Catalyst, bank 2, sensor 2'),
  whole('46', 'Outside air'),
  whole('5C', 'Engine oil'),
  {
    pid: '67',
    bytes: 3,
    sensors: [0, 1].map((k) => ({
      name: `Coolant, sensor ${k + 1}`,
      read: (d) => ((d[0] >> k) & 1 ? d[1 + k] - 40 : null),
    })),
  },
  exhaust('78', 1),
  exhaust('79', 2),
];

/**
 * Which parameters a support mask (answer to 00, 20, 40 …) names: bit 7 of its first byte is the parameter after the one asked.
 *
 * @example supportedPids(0x00, [0x08, 0x02, 0x00, 0x01]) // ['05', '0F', '20']
 */
export function supportedPids(asked: number, mask: readonly number[]): string[] {
  return mask.flatMap((byte, k) =>
    [0, 1, 2, 3, 4, 5, 6, 7].filter((bit) => (byte >> (7 - bit)) & 1).map((bit) => hex(asked + 8 * k + bit + 1)),
  );
}

/** A byte as two hexadecimal digits. */
export const hex = (byte: number): string => byte.toString(16).toUpperCase().padStart(2, '0');

/** One temperature of a heavy-duty bus: group (PGN), place in its eight bytes, and its scale. */
export interface BusParameter {
  pgn: number;
  /** Number of the parameter (SPN). */
  spn: number;
  name: string;
  /** First byte from 0, and how many: one of 1 K a bit from −40 °C, two of 1/32 K from −273 °C. */
  at: number;
  bytes: 1 | 2;
}

export const BUS_PARAMETERS: readonly BusParameter[] = [
  { pgn: 65262, spn: 110, name: 'Coolant', at: 0, bytes: 1 },
  { pgn: 65262, spn: 174, name: 'Fuel', at: 1, bytes: 1 },
  { pgn: 65262, spn: 175, name: 'Engine oil', at: 2, bytes: 2 },
  { pgn: 65269, spn: 171, name: 'Outside air', at: 3, bytes: 2 },
  { pgn: 65269, spn: 172, name: 'Air inlet', at: 5, bytes: 1 },
  { pgn: 65270, spn: 105, name: 'Intake manifold', at: 2, bytes: 1 },
  { pgn: 65270, spn: 173, name: 'Exhaust gas', at: 5, bytes: 2 },
];

/** What a field of the bus says: °C, or that it is not available or in error (the top of its range is kept for that). */
export function busTemperatureC({ at, bytes }: BusParameter, data: readonly number[]): number | 'not-there' | 'error' {
  const raw = bytes === 1 ? data[at] : data[at] + 256 * data[at + 1];
  const top = bytes === 1 ? raw : data[at + 1];
  if (top === 0xff) return 'not-there';
  if (top === 0xfe) return 'error';
  // 0xFB … 0xFD are kept by the standard for other marks.
  if (top > 0xfa) return 'not-there';
  return bytes === 1 ? raw - 40 : raw / 32 - 273;
}

/** The group in a 29-bit identifier: with a destination byte where the group is one of those that have one (PDU1). */
export function pgnOf(identifier: number): number {
  const page = (identifier >>> 24) & 3;
  const format = (identifier >>> 16) & 0xff;
  const specific = (identifier >>> 8) & 0xff;
  return (page << 16) | (format << 8) | (format < 240 ? 0 : specific);
}
