import { describeOutlet, deviceIds, outletsOf, outletsProper } from '../requirements/circuit-facts';
import { isTappedCooking } from '../../circuits/cooking';
import { fanUnitOf } from '../../circuits/fan-unit';
import { newCircuitRemedy } from '../remedies';
import { viewRoom } from '../../plan/room-view';
import { defineRule, fromMemory, type Facts } from '../rule';
import type { Edition } from '../../house/schema';
import type { Load, LoadKind } from '../../house/schema-equipment';
import type { Outlet } from '../../circuits/outlets';
import { given, itemAt } from '../../units/result';

/** Why a load must be alone on its circuit, where the code or its instructions say so. */
function sectionFor(load: Load, edition: Edition): string | undefined {
  if (isCentralHeating(load)) return '422.12';
  if (/^ev-/.test(load.kind)) return edition === '2014' ? '210.17' : '625.40';
  if (load.kind === 'tub-pump') return '680.71';
  if (load.kind === 'range-hood' && load.cord) return BY_CORD;
  if (load.individual) return '110.3(B)';
  return undefined;
}

/** Heating plants other than fixed electric space heat, which falls to Article 424. */
const isCentralHeating = ({ kind }: Load): boolean => kind === 'furnace' || kind === 'boiler';

/**
 * Equipment that belongs to a furnace may share its circuit: 422.12 Exception. By its kind: a sump, well or grinder pump is no part of it,
 * whatever it is called.
 */
const ASSOCIATED: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'humidifier',
  'air-cleaner',
  'condensate-pump',
  'circulator',
]);

/** What shares a circuit with a load that must be alone. Of what has no kind nobody knows whether it belongs to a furnace. */
function sharers(load: Load, outlets: readonly Outlet[]): { readonly foreign: Outlet[]; readonly unknown: Outlet[] } {
  if (!isCentralHeating(load)) return { foreign: [...outlets], unknown: [] };
  const others = outlets.filter((one) => !one.load || !ASSOCIATED.has(one.load.kind));
  const isUnknown = (one: Outlet) => one.load?.kind === 'other';
  return { foreign: others.filter((one) => !isUnknown(one)), unknown: others.filter(isUnknown) };
}

/** A hood with a microwave stands beside the hood from 2020 on. *From memory*, medium. */
const BY_CORD = '422.16(B)(4)';
/** A plugged microwave whose receptacle is above a range or cooktop, so that it is a hood as well: *common practice*. */
function isOverRange(facts: Facts, { load, box, device, room }: Outlet): boolean {
  if (load?.kind !== 'microwave' || !load.cord || device.kind !== 'receptacle') return false;
  if (facts.edition === '2014' || facts.edition === '2017' || box.at.kind !== 'wall') return false;
  const { wall, alongIn, heightIn } = box.at;
  return viewRoom(facts.house, room.id).features.some(
    ({ kind, at, heightIn: topIn }) =>
      (kind === 'range' || kind === 'cooktop') &&
      at.kind === 'wall' &&
      at.wall === wall &&
      alongIn > at.alongIn &&
      alongIn < at.alongIn + at.widthIn &&
      heightIn > topIn,
  );
}

const entry = { section: '110.3(B)', limits: {}, basis: fromMemory('high') };

export const individualCircuit = defineRule({
  id: 'individual-circuit',
  meta: {
    summary: 'Equipment that requires an individual circuit has one',
    stage: 'circuits',
    severity: 'violation',
    why: 'The instructions of listed equipment bind. A furnace, a car charger and a cord-connected hood are named by the code itself.',
    editions: { '2014': entry, '2017': entry, '2020': entry, '2023': entry },
    messages: {
      shared: ({ load, circuit, others }: { load: string; circuit: string; others: string }) =>
        `${load} needs a circuit of its own and shares ${circuit} with ${others}.`,
      tapped: ({ load, circuit }: { load: string; circuit: string }) =>
        `${load} is tapped from ${circuit} with the other cooking equipment of its kitchen.`,
      unknown: ({ load, circuit, others }: { load: string; circuit: string; others: string }) =>
        `${load} shares ${circuit} with ${others}, of which no kind is said. Only what belongs to it may share: choose its kind of load.`,
      overRange: ({ load, circuit, others }: { load: string; circuit: string; others: string }) =>
        `${load} hangs over the range by a cord and shares ${circuit} with ${others}. With a hood built in, its receptacle needs a circuit of its own: read its instructions, or give it one.`,
      alone: ({ load, circuit }: { load: string; circuit: string }) => `${load} has ${circuit} to itself.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) =>
    outletsOf(facts, circuit).some(
      (outlet) => outlet.load && (sectionFor(outlet.load, facts.edition) ?? isOverRange(facts, outlet)),
    ),
  check: (facts, circuit, _limits, report) =>
    outletsOf(facts, circuit).flatMap((outlet) => {
      const { load } = outlet;
      const hangs = load !== undefined && isOverRange(facts, outlet);
      const section = load && (sectionFor(load, facts.edition) ?? (hangs ? BY_CORD : undefined));
      if (!load || !section) return [];
      const itself = [outlet, ...fanUnitOf(facts.house, outlet)];
      const { foreign: others, unknown } = sharers(
        load,
        outletsProper(outletsOf(facts, circuit)).filter((one) => !itself.includes(one)),
      );
      const where = { circuit: circuit.id, box: outlet.box.id };
      if (others.length > 0 && isTappedCooking(facts.house, circuit))
        return [
          report.pass('tapped', { load: load.name, circuit: circuit.name }, where, {
            section: facts.edition === '2023' ? '210.19(C)' : '210.19(A)(3) Exception 1',
          }),
        ];
      if (others.length === 0 && unknown.length > 0)
        return [
          report.cannotTell(
            'unknown',
            { load: load.name, circuit: circuit.name, others: unknown.map((one) => given(one.load).name).join(', ') },
            where,
            { section },
          ),
        ];
      if (others.length === 0)
        return [report.pass('alone', { load: load.name, circuit: circuit.name }, where, { section })];
      const named = `${describeOutlet(itemAt(others, 0))}${others.length > 1 ? ` and ${others.length - 1} more` : ''}`;
      if (hangs && section === BY_CORD)
        return [
          report.cannotTell('overRange', { load: load.name, circuit: circuit.name, others: named }, where, {
            section,
            basis: fromMemory('medium'),
          }),
        ];
      return [
        report.fail('shared', { load: load.name, circuit: circuit.name, others: named }, where, {
          section,
          remedies: [newCircuitRemedy(deviceIds([outlet]), 'it')],
        }),
      ];
    }),
});
