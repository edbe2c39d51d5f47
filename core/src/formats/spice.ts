import type { Netlist } from '../proof/netlist';
import { resistorsOf } from '../proof/solve';
import { given } from '../units/result';

const clean = (text: string) => text.replace(/[^\x20-\x7e]/g, '?');

/**
 * One position of a circuit as a SPICE deck: sources are stiff direct voltages of the amplitude's effective value, since all
 * parts are resistances. Node 0 is the neutral bar; every other node is `n` and its number. Ends with an operating point that
 * prints the volts across each load as `load_1`, `load_2` …, in the order of the netlist.
 */
export function toSpice(net: Netlist, positions: ReadonlyMap<string, number>, title = 'Winculum circuit'): string {
  const zero = new Set(net.sources.filter((one) => one.volts === 0).map((one) => given(net.node.get(one.point))));
  const name = (node: number) => (zero.has(node) ? '0' : `n${node}`);
  const lines = [`* ${clean(title)}`];
  net.sources.forEach((source, i) => {
    if (source.volts !== 0) lines.push(`V${i + 1} ${name(given(net.node.get(source.point)))} 0 DC ${source.volts}`);
  });
  const resistors = resistorsOf(net, positions);
  resistors.forEach((one, i) => lines.push(`R${i + 1} ${name(one.a)} ${name(one.b)} ${one.ohms} ; ${clean(one.name)}`));
  const nodes = new Set(resistors.flatMap((one) => [one.a, one.b]).filter((node) => !zero.has(node)));
  [...nodes].forEach((node, i) => lines.push(`RL${i + 1} ${name(node)} 0 1e9`));
  lines.push('.control', 'op');
  net.loads.forEach((load, i) => {
    const [a, b] = [load.a, load.b].map((pin) => given(net.node.get(pin)));
    const volts = (node: number) => (zero.has(node) || !nodes.has(node) ? '0' : `v(${name(node)})`);
    lines.push(`let load_${i + 1} = ${volts(given(a))} - ${volts(given(b))}`, `print load_${i + 1}`);
  });
  lines.push('quit', '.endc', '.end', '');
  return lines.join('\n');
}
