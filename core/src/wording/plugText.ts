import type { RightSensor } from '../check/job/recordSchemas.ts';
import type { PlugMap } from '../check/rightSensor/identifyPlugs.ts';

/** What the matrix of plugs and values says, line by line; odd lines need attention. */
export function plugText(record: RightSensor, map: PlugMap): { text: string; odd: boolean }[] {
  const plug = (id: string): string => record.plugs.find((p) => p.id === id)?.name || 'unnamed plug';
  const value = (id: string): string => record.values.find((v) => v.id === id)?.name || 'unnamed value';
  const lines: { text: string; odd: boolean }[] = [];
  if (map.wrongPlug) {
    const right = map.pairs.find((p) => p.valueId === record.wantedValueId);
    lines.push({
      text: `The readings so far were taken on the wrong plug: “${plug(record.measuredPlugId!)}”.${right ? ` “${value(right.valueId)}” comes from “${plug(right.plugId)}”.` : ''} Void them and measure there.`,
      odd: true,
    });
  }
  for (const c of map.conflicts) {
    lines.push(
      c.kind === 'two-values'
        ? {
            text: `“${plug(c.plugIds[0])}” moved two values (${c.valueIds.map(value).join(', ')}): they share its wire or its return.`,
            odd: true,
          }
        : {
            text: `“${value(c.valueIds[0])}” moved with two plugs (${c.plugIds.map(plug).join(', ')}): a shared reference or return, or one was noted wrong.`,
            odd: true,
          },
    );
  }
  for (const p of map.pairs)
    lines.push({
      text: `“${plug(p.plugId)}” is “${value(p.valueId)}”${p.how === 'left-over' ? ', as the one left over' : ''}.`,
      odd: false,
    });
  for (const id of map.dead)
    lines.push({
      text: `“${plug(id)}” changed nothing: it is already open or shorted, or belongs to another value.`,
      odd: true,
    });
  if (map.wrongPlug === false) lines.push({ text: 'The readings were taken on the right plug.', odd: false });
  return lines;
}
