import { describe, expect, test } from 'vitest';
import { outletsOn, type Outlet } from '../circuits/outlets';
import { groupProblems } from '../feed/unit';
import type { House } from '../house/schema';
import { protectionOf } from '../nec/protection/circuit-protection';
import { Conduction } from '../proof/conduction';
import { netlistOf, type Netlist } from '../proof/netlist';
import { proveUnit } from '../proof/prove';
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
});
