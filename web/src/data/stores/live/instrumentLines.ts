import type { Heard } from '@mellow-probe/core/intake/instruments/heard';
import type { MeterFunction } from '@mellow-probe/core/intake/instruments/benchMeter';
import { type Ref, ref } from 'vue';
import { type InstrumentLine, instrumentLine } from '../../../instruments/line.ts';
import { instrument, type InstrumentId, type Running } from '../../../instruments/list.ts';
import type { Transport } from '../../../instruments/transport.ts';

/** The screens look at the channels so often, ms. */
const SHOW_MS = 200;

/** One line as the screens see it. */
export interface LineState {
  id: InstrumentId;
  name: string;
  state: 'opening' | 'open' | 'gone';
  /** What it calls itself. */
  named: string;
  faults: number;
  lastFault: Extract<Heard, { kind: 'fault' }> | null;
  why: string;
}

/** What the lines need of the store around them. */
interface Around {
  nowS: () => number;
  everyS: Ref<number>;
  measures: Ref<MeterFunction>;
  /** A channel or a sample came. */
  heard: (id: InstrumentId, heard: Extract<Heard, { kind: 'channel' | 'sample' }>) => void;
  /** An instrument is no longer read. */
  left: (id: InstrumentId) => void;
  /** Called on and on while anything is read. */
  show: () => void;
}

/** The instruments that are being read, each on a line of its own. */
export function instrumentLines({ nowS, everyS, measures, heard, left, show }: Around) {
  const lines = ref<LineState[]>([]);
  const open = new Map<InstrumentId, { line: InstrumentLine; driver: Running }>();
  let timer: ReturnType<typeof setInterval> | null = null;

  function onHeard(id: InstrumentId, all: readonly Heard[]): void {
    const state = lines.value.find((l) => l.id === id);
    for (const h of all) {
      if (h.kind === 'channel' || h.kind === 'sample') heard(id, h);
      else if (state && h.kind !== 'set') noteInState(state, h);
      if (state && h.kind === 'fault' && h.fault === 'gone') {
        open.delete(id);
        left(id);
      }
    }
  }

  /** Opens an instrument on a line. A second one of the same kind takes the place of the first. */
  async function connect(id: InstrumentId, transport: Transport): Promise<void> {
    disconnect(id);
    const driver = instrument(id).make(everyS.value);
    driver.use?.(measures.value);
    const { name } = instrument(id);
    lines.value.push({ id, name, state: 'opening', named: '', faults: 0, lastFault: null, why: '' });
    const own = lines.value[lines.value.length - 1];
    const line = instrumentLine(driver, transport, nowS, (all) => onHeard(id, all));
    open.set(id, { line, driver });
    timer ??= setInterval(show, SHOW_MS);
    try {
      await line.open();
      own.state = 'open';
    } catch (error) {
      [own.state, own.why] = ['gone', error instanceof Error ? error.message : String(error)];
      open.delete(id);
      throw error;
    }
  }

  function disconnect(id: InstrumentId): void {
    open.get(id)?.line.close();
    open.delete(id);
    lines.value = lines.value.filter((l) => l.id !== id);
    left(id);
    if (open.size > 0 || !timer) return;
    clearInterval(timer);
    timer = null;
  }

  return { lines, connect, disconnect, driver: (id: InstrumentId): Running | undefined => open.get(id)?.driver };
}

function noteInState(state: LineState, heard: Extract<Heard, { kind: 'named' | 'fault' }>): void {
  if (heard.kind === 'named') {
    state.named = heard.name;
    return;
  }
  state.faults++;
  state.lastFault = heard;
  if (heard.fault === 'gone') [state.state, state.why] = ['gone', heard.text];
}
