import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A resistive network: sources and resistors between named nodes; node '0' is chassis. */
export interface Network {
  sources: { from: string; volt: number }[];
  resistors: { from: string; to: string; ohm: number }[];
}

/** Operating points of several networks by ngspice in one run: V by node name for each. Nodes must be named with letters. */
export function ngspice(networks: readonly Network[], nodes: readonly string[]): Record<string, number>[] {
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-'));
  try {
    const lines = ['* networks', '.options gmin=1e-18 reltol=1e-12 vntol=1e-15 abstol=1e-18'];
    networks.forEach(({ sources, resistors }, n) => {
      const name = (node: string): string => (node === '0' ? '0' : `n${n}${node.toLowerCase()}`);
      sources.forEach((s, i) => lines.push(`v${n}x${i} ${name(s.from)} 0 dc ${s.volt}`));
      resistors.forEach((r, i) => lines.push(`r${n}x${i} ${name(r.from)} ${name(r.to)} ${r.ohm}`));
    });
    const prints = networks.map((_, n) => nodes.map((node) => `v(n${n}${node.toLowerCase()})`).join(' '));
    const out = path.join(folder, 'out.txt');
    lines.push(
      '.control',
      'set numdgt=15',
      'op',
      ...prints.map((p) => `print ${p} >> ${out}`),
      'quit',
      '.endc',
      '.end',
    );
    const deck = path.join(folder, 'deck.cir');
    writeFileSync(deck, `${lines.join('\n')}\n`);
    const run = spawnSync('ngspice', ['-b', deck], { encoding: 'utf8' });
    if (run.error) throw new Error(`ngspice: ${run.error.message}`);
    const values = new Map(
      [...readFileSync(out, 'utf8').matchAll(/^v\((\w+)\) = ([-+.\deE]+)/gm)].map(([, name, value]) => [
        name,
        Number(value),
      ]),
    );
    return networks.map((_, n) =>
      Object.fromEntries(
        nodes.map((node) => {
          const value = values.get(`n${n}${node.toLowerCase()}`);
          if (value === undefined)
            throw new Error(`ngspice: no value for ${node} of network ${n}\n${run.stdout}${run.stderr}`);
          return [node, value];
        }),
      ),
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}
