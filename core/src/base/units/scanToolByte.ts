/**
 * Temperature in the data bytes of a scan tool's answer, by parameter (SAE J1979, from memory; decoded alike by the Debian package
 * python3-scapy): coolant 05, intake air 0F, outside air 46, oil 5C are A − 40 °C; catalyst 3C…3F are (256·A + B)/10 − 40 °C.
 * @param pid parameter in hexadecimal digits, with or without the service ("05", "0105")
 * @param bytes 0…255 each
 * @returns °C, or null for a parameter that is no single temperature or for too few bytes
 * @example scanToolTemperatureC('05', [0x7b]) // 83
 */
export function scanToolTemperatureC(pid: string, bytes: readonly number[]): number | null {
  const id = pid
    .trim()
    .toUpperCase()
    .replace(/^0X/, '')
    .replace(/^01(?=..$)/, '');
  if (bytes.some((b) => !Number.isInteger(b) || b < 0 || b > 255)) return null;
  if (['05', '0F', '46', '5C'].includes(id)) return bytes.length >= 1 ? bytes[0] - 40 : null;
  if (['3C', '3D', '3E', '3F'].includes(id)) return bytes.length >= 2 ? (256 * bytes[0] + bytes[1]) / 10 - 40 : null;
  return null;
}
