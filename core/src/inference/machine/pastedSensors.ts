/** A name and a temperature as written in a line. */
export interface PastedSensor {
  name: string;
  text: string;
}

const LINE = /^\s*(.+?)\s*[\s:=;,\t|]\s*([~-]?\s?[−-]?\d+(?:[.,]\d+)?\s*(?:°\s?[CF]|[CF])?)\s*$/;

/**
 * Lines of names and temperatures, as they are copied from a display or a list: "Coolant 18.5", "oil: 19 °C", "IAT;17". Lines without both are left out.
 *
 * @example pastedSensors('Coolant 18,5') // [{ name: 'Coolant', text: '18,5' }]
 */
export const pastedSensors = (text: string): PastedSensor[] =>
  text.split(/\r\n|\r|\n/).flatMap((line) => {
    const found = LINE.exec(line);
    return found ? [{ name: found[1].replace(/[:=;,|]+$/, '').trim(), text: found[2].trim() }] : [];
  });
