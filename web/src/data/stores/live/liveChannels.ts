import type { Channel } from '@mellow-probe/core/intake/instruments/heard';
import { type Sample, standStill, type StandStill } from '@mellow-probe/core/intake/instruments/standStill';
import { shallowReactive } from 'vue';
import type { InstrumentId } from '../../../instruments/list.ts';
import type { LiveClock } from './liveClock.ts';

/** So much of each channel is kept for its strip, s of the clock. */
const STRIP_S = 60;

/** One channel as the screens see it. */
export interface LiveChannel {
  channel: Channel;
  instrument: InstrumentId;
  recent: Sample[];
  still: StandStill;
}

/** The channels of the instruments that are read, with the last minute of each. */
export function liveChannels(clock: LiveClock) {
  const channels = shallowReactive(new Map<string, LiveChannel>());
  return {
    channels,
    add(instrument: InstrumentId, channel: Channel): void {
      if (channels.has(channel.id)) return;
      channels.set(channel.id, { channel, instrument, recent: [], still: { still: false, why: 'few', amount: 0 } });
    },
    /** Takes a sample; returns its channel, or undefined where nobody has announced it. */
    take(id: string, sample: Sample): Channel | undefined {
      const own = channels.get(id);
      own?.recent.push(sample);
      return own?.channel;
    },
    /** Drops what is older than the strip, and judges anew which values are steady. */
    look(): void {
      const now = clock.nowS();
      for (const own of channels.values()) {
        const first = own.recent.findIndex((s) => s.timeS > now - STRIP_S);
        if (first > 0) own.recent.splice(0, first);
        // An old value is none: only what still comes can be steady.
        const fresh = own.recent.filter((s) => s.timeS > now - 2 * clock.freshS());
        own.still = standStill(fresh, own.channel.quantity);
      }
    },
    forget(instrument: InstrumentId): void {
      for (const [key, own] of channels) if (own.instrument === instrument) channels.delete(key);
    },
  };
}
