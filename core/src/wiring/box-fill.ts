import type { Awg, Box, BoxType, Edition, House } from '../house/schema';
import { boxTypes, suitableType, typeOf } from '../place/box-catalogue';
import { groundOf } from './cables';
import { makeUpOf, wireHouse, type BoxMakeUp } from './make-up';

/** Space for a conductor, in³: NEC Table 314.16(B), from 2020 Table 314.16(B)(1), *from memory*, high. */
export const ALLOWANCE_IN3: Readonly<Partial<Record<Awg, number>>> = { '14': 2, '12': 2.25, '10': 2.5, '8': 3, '6': 5 };

export interface FillLine {
  /** How many allowances; a quarter where 2020 counts grounds beyond four so. */
  readonly count: number;
  readonly what: string;
  readonly in3: number;
  readonly section: string;
}

export interface BoxFill {
  readonly box: Box;
  readonly type: BoxType;
  /** Volume marked, entered, or usual of the type; undefined for an open back. */
  readonly allowedIn3: number | undefined;
  readonly lines: readonly FillLine[];
  readonly usedIn3: number;
  readonly fits: boolean | undefined;
  /** The smallest box of the catalogue that would do, when this one does not. */
  readonly remedy: BoxType | undefined;
  /** Allowances of the largest conductor: what is written into the box. */
  readonly note: string;
  /** Conductors larger than No. 6 are not counted by this table. */
  readonly outside: boolean;
}

const AWGS = ['14', '12', '10', '8', '6'] as const;
const larger = (a: Awg, b: Awg): Awg => (AWGS.indexOf(a as '14') >= AWGS.indexOf(b as '14') ? a : b);
const round = (value: number) => Math.round(value * 1000) / 1000;

/** Gangs that a yoke takes: a 30 or 50 A receptacle stands in two. *Common practice*. */
const gangsOf = (ratingA: number) => (ratingA >= 30 ? 2 : 1);

/** The sum of 314.16(B) for a box as it is made up. Conductors count in where they enter; pigtails and connectors do not. */
export function boxFill(house: House, makeUp: BoxMakeUp, edition: Edition = house.job.edition): BoxFill {
  const { box, cables, units } = makeUp;
  const lines: FillLine[] = [];
  const add = (count: number, awg: Awg, what: string, section: string) =>
    lines.push({ count, what, in3: round(count * (ALLOWANCE_IN3[awg] ?? 0)), section });
  const bySize = new Map<Awg, number>();
  for (const { run, cable } of cables) bySize.set(run.awg, (bySize.get(run.awg) ?? 0) + cable.conductors.length - 1);
  const sizes = [...bySize.keys()];
  const largest = sizes.reduce((a, b) => larger(a, b), '14' as Awg);
  for (const awg of AWGS) {
    const count = bySize.get(awg);
    if (count) add(count, awg, `conductor${count === 1 ? '' : 's'} of ${awg}`, '314.16(B)(1)');
  }
  // A device counts by the wire of its own circuit, whatever else passes through the box.
  const wired = new Map<string, { gangs: number; awg: Awg; name: string }>();
  for (const { plan, unit } of units)
    for (const { outlet } of plan.needsAt.get(box.id) ?? []) {
      const { device } = outlet;
      if (device.kind !== 'receptacle' && device.kind !== 'switch') continue;
      const gangs = device.kind === 'receptacle' ? gangsOf(device.ratingA) : 1;
      wired.set(device.id, { gangs, awg: unit.circuits[0]!.awg, name: device.kind });
    }
  const devices = [...wired.values()];
  for (const awg of AWGS) {
    const yokes = devices.filter((one) => one.awg === awg);
    const gangs = yokes.reduce((sum, one) => sum + one.gangs, 0);
    if (gangs > 0)
      add(
        2 * gangs,
        awg,
        `${yokes.length === 1 ? yokes[0]!.name : `${yokes.length} devices`} on ${awg}`,
        '314.16(B)(4)',
      );
  }
  // Switches in the box that nothing is wired to yet still take their room.
  const idle = Object.values(box.devices).filter(
    (one) => (one.kind === 'switch' || one.kind === 'receptacle') && !wired.has(one.id),
  );
  if (idle.length > 0)
    add(
      2 * idle.length,
      largest,
      `${idle.length === 1 ? 'device' : `${idle.length} devices`} not wired yet`,
      '314.16(B)(4)',
    );
  const grounds = cables.length;
  if (grounds > 0) {
    const ground = cables.reduce((a, { run }) => larger(a, groundOf(run.awg)), '14' as Awg);
    const late = edition === '2020' || edition === '2023';
    const count = late && grounds > 4 ? 1 + (grounds - 4) / 4 : 1;
    add(count, ground, `grounds, ${grounds} of them`, '314.16(B)(5)');
  }
  const { clamps } = makeUpOf(house);
  let usedIn3 = round(lines.reduce((sum, one) => sum + one.in3, 0));
  const clampIn3 = ALLOWANCE_IN3[largest] ?? 0;
  const hasClamps = (one: BoxType) =>
    clamps === 'always' || (clamps === 'multi-gang' && one.gangs > 1 && one.shape === 'device');
  const room = (one: BoxType) => one.volumeIn3 - (hasClamps(one) && cables.length > 0 ? clampIn3 : 0);
  const suits = typeOf(house, box);
  // Nobody has chosen a box yet: the smallest that holds it is proposed.
  const isFree = box.type === undefined && box.volumeIn3 === undefined;
  const bigger =
    isFree && suits.volumeIn3 > 0 && room(suits) + 1e-6 < usedIn3 ? smallestFor(house, box, usedIn3, room) : undefined;
  const type = bigger ?? suits;
  if (hasClamps(type) && cables.length > 0) {
    add(1, largest, 'clamps inside', '314.16(B)(2)');
    usedIn3 = round(usedIn3 + clampIn3);
  }
  const allowedIn3 = box.volumeIn3 ?? (type.volumeIn3 > 0 ? type.volumeIn3 : undefined);
  const outside = sizes.some((awg) => ALLOWANCE_IN3[awg] === undefined);
  const fits = allowedIn3 === undefined || outside ? undefined : usedIn3 <= allowedIn3 + 1e-6;
  const unit = ALLOWANCE_IN3[largest] ?? 2;
  return {
    box,
    type,
    allowedIn3,
    lines,
    usedIn3,
    fits,
    remedy: fits === false ? smallestFor(house, box, usedIn3, (one) => one.volumeIn3) : undefined,
    note:
      allowedIn3 === undefined
        ? ''
        : `${Math.floor(allowedIn3 / unit + 1e-6)} × ${largest} allowed, ${Math.ceil(usedIn3 / unit - 1e-6)} used`,
    outside,
  };
}

/** The smallest box of the catalogue with room for the fill, of the same make as the one that suits; undefined when none has. */
export function smallestFor(
  house: House,
  box: Box,
  usedIn3: number,
  room: (one: BoxType) => number,
): BoxType | undefined {
  const suits = suitableType(house, box);
  const sameUse = (one: BoxType) =>
    one.shape === suits.shape ||
    (suits.shape === 'round' && one.shape === 'octagon') ||
    (suits.shape === 'octagon' && one.shape === 'round');
  return boxTypes(house)
    .filter(
      (one) =>
        sameUse(one) &&
        one.for === suits.for &&
        one.gangs >= box.gangs &&
        (!suits.fanRated || one.fanRated) &&
        (one.masonry ?? false) === (suits.masonry ?? false) &&
        (suits.adjustable ? one.adjustable === true : true) &&
        room(one) + 1e-6 >= usedIn3,
    )
    .sort(
      (a, b) =>
        a.gangs - b.gangs || Number(a.adjustable ?? false) - Number(b.adjustable ?? false) || a.volumeIn3 - b.volumeIn3,
    )[0];
}

const fillMemory = new WeakMap<
  BoxMakeUp,
  { standards: House['standards']; rooms: House['rooms']; fills: Map<Edition, BoxFill> }
>();

/** The fill of a made-up box, remembered by its make-up. */
export function fillOfMakeUp(house: House, makeUp: BoxMakeUp, edition: Edition = house.job.edition): BoxFill {
  let known = fillMemory.get(makeUp);
  if (!known || known.standards !== house.standards || known.rooms !== house.rooms)
    fillMemory.set(makeUp, (known = { standards: house.standards, rooms: house.rooms, fills: new Map() }));
  let fill = known.fills.get(edition);
  if (!fill) known.fills.set(edition, (fill = boxFill(house, makeUp, edition)));
  return fill;
}

/** The fill of a box as it is wired; undefined when no circuit comes to it. */
export function fillOf(house: House, box: Box): BoxFill | undefined {
  const makeUp = wireHouse(house).boxes.get(box.id);
  return makeUp && fillOfMakeUp(house, makeUp);
}

/** The box to buy: chosen, or the smallest that suits the place and holds what comes in. */
export const boxToBuy = (house: House, box: Box): BoxType => fillOf(house, box)?.type ?? typeOf(house, box);
