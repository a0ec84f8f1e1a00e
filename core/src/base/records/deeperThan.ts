/** Is plain data nested deeper than this, or of more than `most` parts? Walks without calling itself, so that no depth can end the program. */
export function deeperThan(data: unknown, depth: number, most: number): boolean {
  let layer: unknown[] = [data];
  let parts = 0;
  for (let level = 0; layer.length > 0; level++) {
    if (level > depth) return true;
    const next: unknown[] = [];
    for (const value of layer) {
      if (typeof value !== 'object' || value === null) continue;
      for (const inner of Array.isArray(value) ? (value as unknown[]) : Object.values(value)) {
        if (++parts > most) return true;
        if (typeof inner === 'object' && inner !== null) next.push(inner);
      }
    }
    layer = next;
  }
  return false;
}
