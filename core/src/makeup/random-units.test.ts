import { describe, expect, test } from 'vitest';
import { outletsOn, type Outlet } from '../circuits/outlets';
import { groupProblems } from '../feed/unit';
import type { House } from '../house/schema';
import { protectionOf } from '../nec/protection/circuit-protection';
import { Conduction } from '../proof/conduction';
import { netlistOf, type Netlist, type Pin } from '../proof/netlist';
import { prove, proveUnit } from '../proof/prove';
import { randomUnit } from '../test/random-unit';
import { wireHouse, type UnitWiring } from './make-up';

/** Houses whose circuits all can be wired as drawn; the others say why, which other tests read. */
const wirable = Array.from({ length: 240 }, (_, n) => ({ seed: n + 1, house: randomUnit(n + 1) })).filter(
  ({ house }) =>
    groupProblems(house).length === 0 &&
    wireHouse(house).units.every((one) => one.problems.every(({ code }) => code === 'two-cables')),
);

/** By the copper alone: GFCI receptacles that, opened with every switch on, take both conductors of an outlet. */
function opensWith(net: Netlist, { device }: Outlet): readonly string[] | undefined {
  const on = new Map(net.switches.map((one) => [one.id, 1]));
  const parts = net.loads.filter(({ id }) => id.split('.')[0] === device.id);
  const closed = new Conduction(net).with(on);
  if (!parts.some((one) => closed.runs(one))) return undefined;
  const takes = (gfci: string) => {
    const open = new Conduction(net, gfci).with(on);
    return parts.every(
      ({ a, b }) =>
        !open.sourcesAt(a).some((one) => one.kind === 'hot') &&
        !open.sourcesAt(b).some((one) => one.kind === 'neutral'),
    );
  };
  return net.gfcis.filter(({ id }) => id !== device.id && takes(id)).map((one) => one.id);
}

/** What a run carries of one side, by the cables that carry it. */
function sidesOf({ runs }: UnitWiring): readonly { side: string; cables: number; conductors: number }[] {
  return runs.flatMap(({ cables }) => {
    const carried = cables.map((one) =>
      one.conductors.flatMap(({ signal }) => (signal && signal.kind !== 'ground' ? [signal] : [])),
    );
    return [...new Set(carried.flat().map((one) => one.side))].map((side) => ({
      side,
      cables: carried.filter((one) => one.some((signal) => signal.side === side)).length,
      conductors: carried.flat().filter((signal) => signal.side === side).length,
    }));
  });
}

describe('circuits at random, with GFCI receptacles, shared neutrals and every kind of control', () => {
  test('enough of them can be wired', () => expect(wirable.length).toBeGreaterThan(100));
  const each = (look: (house: House, units: readonly UnitWiring[]) => unknown) =>
    wirable.flatMap(({ seed, house }) => {
      const found = look(house, wireHouse(house).units);
      return Array.isArray(found) && found.length > 0 ? [{ seed, found }] : [];
    });

  test('what is wired is proved', () => {
    const flaws = each((house, units) =>
      units.flatMap((one) => {
        const proof = proveUnit(house, one, wireHouse(house).boxes);
        return [...proof.flaws, ...proof.groups.flatMap((group) => group.flaws)].map(({ message }) => message);
      }),
    );
    expect(flaws).toEqual([]);
  });

  test('what is said to hang on a GFCI receptacle loses both conductors with it, and nothing else does', () => {
    const differences = each((house, units) =>
      units.flatMap((one) => {
        const net = netlistOf(one, wireHouse(house).boxes);
        return one.unit.circuits.flatMap((circuit) => {
          const { hangsOn } = protectionOf(house, circuit.id);
          return outletsOn(house, circuit).flatMap((outlet) => {
            const opened = opensWith(net, outlet);
            const said = hangsOn(outlet).flatMap(({ device }) => (device.id === outlet.device.id ? [] : [device.id]));
            const isSame = opened === undefined || [...opened].sort().join(' ') === [...said].sort().join(' ');
            return isSame ? [] : [`${outlet.device.id}: said ${said.join(' ')}, opened by ${opened.join(' ')}`];
          });
        });
      }),
    );
    expect(differences).toEqual([]);
  });

  test('what comes back by one neutral keeps to one cable, unless it is more than a cable holds', () => {
    expect(each((_, units) => units.flatMap(sidesOf).filter((one) => one.cables > 1 && one.conductors < 4))).toEqual(
      [],
    );
  });

  test('a white that is no neutral is marked, and a neutral is white', () => {
    const wrong = each((_, units) =>
      units.flatMap(({ runs }) =>
        runs
          .flatMap((run) => run.cables.flatMap((cable) => cable.conductors))
          .filter(({ color, signal, remarked }) =>
            color === 'white'
              ? remarked !== (signal !== undefined && signal.kind !== 'neutral')
              : signal?.kind === 'neutral',
          )
          .map((one) => one.id),
      ),
    );
    expect(wrong).toEqual([]);
  });

  test('whatever comes loose, is open or interchanged is found, but for what works the same either way', () => {
    const missed = each((house, units) =>
      units.flatMap((one) => {
        const net = netlistOf(one, wireHouse(house).boxes);
        if (net.node.size > 60) return [];
        return mistakesOf(net).flatMap(([what, wrong]) => (prove(wrong).ok ? [what] : []));
      }),
    );
    expect(missed).toEqual([]);
  });
});

const terminalOf = (pin: Pin): string => pin.slice(pin.lastIndexOf('.') + 1);
const deviceOf = (pin: Pin): string => pin.slice(0, pin.lastIndexOf('.'));
/** Both brass screws of a three-way, both of one side of a four-way, and the two screws of a plain single-pole switch. */
const ALIKE: ReadonlySet<string> = new Set(['t1 t2', 'a1 a2', 'b1 b2']);
function isAlike(net: Netlist, a: Pin, b: Pin): boolean {
  const one = net.switches.find(({ id }) => id === deviceOf(a));
  const pair = [terminalOf(a), terminalOf(b)].sort().join(' ');
  const isPlain = one?.hardware === 'single-pole' && one.at.neutral === undefined;
  return one !== undefined && (ALIKE.has(pair) || (isPlain && pair === 'line load'));
}

/** Every terminal off, every conductor off at either end, and every two terminals of a device interchanged. */
function mistakesOf(net: Netlist): readonly (readonly [what: string, net: Netlist])[] {
  const count = new Map<number, number>();
  for (const node of net.node.values()) count.set(node, (count.get(node) ?? 0) + 1);
  const nodeOf = (pin: Pin) => net.node.get(pin)!;
  const isJoined = (pin: Pin) => count.get(nodeOf(pin))! > 1;
  const withNodes = (changes: readonly (readonly [Pin, number])[]): Netlist => ({
    ...net,
    node: new Map([...net.node, ...changes]),
  });
  const ends = new Set(net.wires.flatMap(({ a, b }) => [a, b]));
  const pins = [...net.node.keys()].filter((pin) => !pin.startsWith('panel/') && isJoined(pin));
  const terminals = pins.filter((pin) => !ends.has(pin));
  const loose = Math.max(...net.node.values()) + 1;
  return [
    ...pins.map((pin) => [`${pin} off`, withNodes([[pin, loose]])] as const),
    ...terminals.flatMap((a) =>
      terminals
        .filter((b) => a < b && deviceOf(a) === deviceOf(b) && nodeOf(a) !== nodeOf(b) && !isAlike(net, a, b))
        .map(
          (b) =>
            [
              `${a} and ${terminalOf(b)}`,
              withNodes([
                [a, nodeOf(b)],
                [b, nodeOf(a)],
              ]),
            ] as const,
        ),
    ),
  ];
}
