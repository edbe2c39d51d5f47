import { cableBetween, spotOfBox, spotOfPanel, type Spot } from '../circuits/cable-run';
import { panelOf } from '../circuits/panel-tree';
import { measureCircuitLoad } from '../circuits/circuit-load';
import { indexOutlets, type Outlet } from '../circuits/outlets';
import { inTurn } from '../edits/circuit-verbs';
import { applyEdit, type Edited } from '../house/edit';
import type { BreakerKind, Circuit, House } from '../house/schema';
import type { Device, Load } from '../house/schema-equipment';
import { addEntity, assignToCircuit, placeBoxes } from '../edits/verbs';
import type { NewBox } from '../house/new-box';
import { given, itemAt, mustGet, refuse, type Result, succeed } from '../units/result';
import { checkHouse, type Finding } from './check-house';
import { protectionOf } from './protection/circuit-protection';
import { rules } from './rules/index';

/** What is to be fed: something new at a place, or outlets that stand already. */
export type TapQuestion =
  | { readonly kind: 'new'; readonly box: NewBox; readonly load?: Omit<Load, 'box'> }
  | { readonly kind: 'standing'; readonly devices: readonly string[] };

/** One reason for or against feeding something from a circuit. */
export interface TapReason {
  readonly text: string;
  readonly section: string;
  readonly why: string;
}

/** Whether a circuit may feed something, with all reasons. */
export interface TapAnswer {
  readonly circuit: Circuit;
  readonly allowed: boolean;
  /** What forbids it, the gravest first. */
  readonly objections: readonly TapReason[];
  /** Allowed, and will bite; what cannot be told; what is wrong with the circuit already. */
  readonly cautions: readonly TapReason[];
  /** Load after it, amperes and share of what the firm's standard allows. */
  readonly amps: number;
  readonly used: number;
  readonly leftA: number;
  /** Cable from the nearest box of the circuit (or the panel where it has none), feet. */
  readonly cableFt: number;
  readonly from: string;
  readonly breakerBefore: BreakerKind;
  readonly breakerAfter: BreakerKind;
  /** Protection that the place itself asks for. */
  readonly needs: readonly TapReason[];
}

const tapRules = rules.filter((rule) => rule.meta.stage === 'circuits' && rule.id !== 'leg-balance');
const named = (finding: Finding) => `${finding.key} ${finding.message}`;
const reason = (finding: Finding): TapReason => ({
  text: finding.message,
  section: finding.section,
  why: finding.why,
});

/** The house with the thing in place and on no circuit, and the devices that are to be fed. */
function inPlace(house: House, question: TapQuestion): Result<{ house: House; devices: readonly string[] }> {
  if (question.kind === 'standing') {
    const known = indexOutlets(house).byDevice;
    const missing = question.devices.find((id) => !known.has(id));
    if (missing) return refuse('missing', 'devices', 'What is asked about is no longer there. Pick it again.');
    const free = assignToCircuit(house, question.devices, null);
    return free.ok ? succeed({ house: free.value.house, devices: question.devices }) : free;
  }
  const placed = placeBoxes(house, [question.box]);
  if (!placed.ok) return placed;
  const devices = question.box.devices.map((device) => device.id);
  if (!question.load) return succeed({ house: placed.value.house, devices });
  const load = { ...question.load, box: question.box.id };
  const added = applyEdit(placed.value.house, [{ op: 'add', path: ['loads', load.id], value: load }]);
  return added.ok ? succeed({ house: added.value, devices }) : added;
}

function nearest(house: House, circuit: Circuit, spots: readonly Spot[], except: ReadonlySet<string>) {
  const boxes = [...new Set((indexOutlets(house).byCircuit.get(circuit.id) ?? []).map((one) => one.box))];
  const reach = boxes
    .filter((box) => !Object.keys(box.devices).some((id) => except.has(id)))
    .map((box) => {
      const from = spotOfBox(house, box);
      return { from: box.tag, cableIn: Math.min(...spots.map((spot) => cableBetween(from, spot))) };
    });
  const panel = panelOf(house, circuit);
  if (reach.length === 0 && panel) {
    const from = spotOfPanel(house, panel);
    return { from: panel.name, cableIn: Math.min(...spots.map((spot) => cableBetween(from, spot))) };
  }
  return reach.reduce((best, one) => (one.cableIn < best.cableIn ? one : best), { from: '', cableIn: Infinity });
}

/**
 * May it be taken from here? Every circuit answers: the thing is put on it in thought, the rules of the edition in force are
 * asked, and what they object to again forbids it. Allowed ones first, the nearest first among them.
 */
export function askTap(house: House, question: TapQuestion): Result<readonly TapAnswer[]> {
  const place = inPlace(house, question);
  if (!place.ok) return place;
  const { devices } = place.value;
  const base = place.value.house;
  const ids = new Set(devices);
  const before = new Set(checkHouse(base, { rules: tapRules }).findings.map(named));
  const outlets = devices.map((id) => given(indexOutlets(base).byDevice.get(id)));
  const spots = outlets.map((outlet) => spotOfBox(base, outlet.box));
  const answers = Object.values(base.circuits).map((circuit): TapAnswer => {
    const put = assignToCircuit(base, devices, circuit.id);
    if (!put.ok) throw new Error(itemAt(put.problems, 0).message);
    const then = put.value.house;
    const after = mustGet(then.circuits, circuit.id);
    const all = checkHouse(then, { rules: tapRules }).findings;
    const again = all.filter((one) => one.kind === 'fail' && !before.has(named(one)));
    // What cannot be told of the new state, and what is wrong with the circuit already, must not read as a plain yes.
    const open = all.filter((one) => one.kind === 'cannot-tell' && !before.has(named(one)));
    const already = all.filter(
      (one) =>
        one.kind === 'fail' &&
        one.severity === 'violation' &&
        one.where.circuit === circuit.id &&
        before.has(named(one)),
    );
    const load = measureCircuitLoad(then, after);
    const objections = again.filter((one) => one.severity === 'violation').map(reason);
    const protection = protectionOf(then, circuit.id);
    const needs = protection.outlets
      .filter((one) => ids.has(one.outlet.device.id))
      .flatMap(({ gfci, afci }) => [
        ...(gfci.kind === 'required' ? [{ text: `GFCI: ${gfci.reason}`, section: gfci.section, why: '' }] : []),
        ...(afci.kind === 'required' ? [{ text: `AFCI: ${afci.reason}`, section: afci.section, why: '' }] : []),
      ]);
    const way = nearest(base, after, spots, ids);
    return {
      circuit: after,
      allowed: objections.length === 0,
      objections,
      cautions: [
        ...already.map((one) => ({ ...reason(one), text: `Wrong already: ${one.message}` })),
        ...again.filter((one) => one.severity !== 'violation').map(reason),
        ...open.map((one) => ({ ...reason(one), text: `Open: ${one.message}` })),
      ],
      amps: load.amps,
      used: load.used,
      leftA: load.allowedA - load.amps,
      cableFt: way.cableIn / 12,
      from: way.from,
      breakerBefore: protectionOf(base, circuit.id).fitted,
      breakerAfter: protection.fitted,
      needs,
    };
  });
  return succeed(answers.sort((a, b) => Number(b.allowed) - Number(a.allowed) || a.cableFt - b.cableFt));
}

/** Does what was asked about, as one edit: the box placed, the load connected, all of it on the circuit. */
export function takeTap(house: House, question: TapQuestion, circuit: string): Result<Edited> {
  const label = `Take from ${house.circuits[circuit]?.name ?? 'circuit'}`;
  if (question.kind === 'standing')
    return inTurn(label, house, [(now) => assignToCircuit(now, question.devices, circuit)]);
  const { box, load } = question;
  const devices = box.devices.map((device) => device.id);
  return inTurn(label, house, [
    (now) => placeBoxes(now, [box]),
    ...(load ? [(now: House) => addEntity(now, 'loads', { ...load, box: box.id })] : []),
    (now) => assignToCircuit(now, devices, circuit),
  ]);
}

/** A box and load for something of the library beside a place, to be asked about and, if accepted, placed. */
export function tapOf(
  what: { readonly device: Device; readonly load?: Omit<Load, 'box' | 'device' | 'id'> },
  at: Pick<NewBox, 'room' | 'at'>,
  ids: { readonly box: string; readonly load: string },
): TapQuestion {
  const box: NewBox = { ...at, id: ids.box, origin: 'request', devices: [what.device] };
  return {
    kind: 'new',
    box,
    ...(what.load ? { load: { ...what.load, id: ids.load, device: what.device.id } } : {}),
  };
}

/** The outlets of boxes that the question is about. */
export const outletsAsked = (house: House, boxes: readonly string[]): Outlet[] =>
  indexOutlets(house).all.filter((outlet) => boxes.includes(outlet.box.id) && outlet.device.kind !== 'switch');
