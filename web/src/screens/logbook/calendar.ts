import { calendarWords as say } from '@mellow-probe/core/wording/screens/logbook';
import type { Due } from '@mellow-probe/core/history/register/dues';
import ical, { ICalCalendarMethod } from 'ical-generator';

/** What is due as a calendar file (RFC 5545): one event of a day each, with a day's warning; a stand-in stands on the day the list was made. */
export function calendarText(dues: readonly Due[], today: string, addressOf: (job: string) => string): string {
  const calendar = ical({ name: say.name, method: ICalCalendarMethod.PUBLISH });
  calendar.prodId({ company: say.mellowProbe, product: 'follow-ups', language: 'EN' });
  for (const { kind, line, id, text, on } of dues) {
    const day = kind === 'stand-in' ? today : on;
    calendar.createEvent({
      // The same each time, so that a calendar takes a second file as news of the same event.
      id: `${line.id}.${kind === 'stand-in' ? 'stand-in' : id}@mellow-probe`,
      start: day,
      allDay: true,
      stamp: new Date(`${today}T00:00:00Z`),
      summary: kind === 'stand-in' ? say.removeTemporary(line.title) : `${text}: ${line.title}`,
      description: [line.machine, line.circuit, text].filter(Boolean).join('\n'),
      url: addressOf(line.id),
    });
  }
  return calendar.toString();
}
