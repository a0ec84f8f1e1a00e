import { standInAddress, type StandInChoice } from '@mellow-probe/core/training/simulation/standIns/standInAddress';
import { type Ref, ref } from 'vue';
import { newId } from '../../../browser/newId.ts';
import type { InstrumentId } from '../../../instruments/list.ts';
import { pageStandIns } from '../../../instruments/pageStandIns.ts';
import { socketTransport } from '../../../instruments/socketTransport.ts';
import type { Transport } from '../../../instruments/transport.ts';
import type { LineState } from './instrumentLines.ts';
import type { LiveClock } from './liveClock.ts';

/** What the simulated machine needs of the store around it. */
interface Around {
  clock: LiveClock;
  lines: Ref<LineState[]>;
  connect: (id: InstrumentId, transport: Transport) => Promise<void>;
  disconnect: (id: InstrumentId) => void;
}

/** A simulated machine behind the instruments: on the server, or in the page where the server does not answer. */
export function simulatedMachine({ clock, lines, connect, disconnect }: Around) {
  const standIn = ref<(StandInChoice & { where: 'server' | 'page' }) | null>(null);
  const machineSays = ref('');
  let machine: Transport | null = null;
  let page: ReturnType<typeof pageStandIns> | null = null;

  async function useStandIn(choice: Omit<StandInChoice, 'bench'>, ids: readonly InstrumentId[]): Promise<void> {
    leaveStandIn();
    const own = { ...choice, bench: newId() };
    clock.setSpeed(choice.speed);
    try {
      await start(own, 'server', socketTransport(standInAddress('machine', own)), ids);
    } catch {
      await startInPage(own, ids);
    }
  }

  async function startInPage(choice: StandInChoice, ids: readonly InstrumentId[]): Promise<void> {
    page = pageStandIns(choice);
    await start(choice, 'page', page.line('machine'), ids);
  }

  /** Rejects where the machine's own line cannot be opened; an instrument that cannot is told with its line. */
  async function start(
    choice: StandInChoice,
    where: 'server' | 'page',
    line: Transport,
    ids: readonly InstrumentId[],
  ): Promise<void> {
    await line.open({ text: (text) => void (machineSays.value = text.trim()), gone: () => void toPage() });
    machine = line;
    standIn.value = { ...choice, where };
    act('key on');
    for (const id of ids)
      await connect(id, page?.line(id) ?? socketTransport(standInAddress(id, choice))).catch(() => undefined);
  }

  /** The server went away: the same machine goes on in the page, from its start. */
  async function toPage(): Promise<void> {
    const now = standIn.value;
    if (!now || now.where === 'page') return;
    const { where: _, ...choice } = now;
    const ids = lines.value.map((l) => l.id);
    await startInPage(choice, ids);
  }

  function leaveStandIn(): void {
    if (!standIn.value) return;
    for (const l of [...lines.value]) disconnect(l.id);
    machine?.close();
    [machine, page, standIn.value] = [null, null, null];
    clock.setSpeed(1);
  }

  /** Does something to the simulated machine. */
  function act(line: string): void {
    machine?.send(`${line}\n`);
  }

  return { standIn, machineSays, useStandIn, leaveStandIn, act };
}
