import { wordFor } from '../units/count';
import type { Awg, Box, BoxType, Edition, House } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import { isLowerHalf, otherHalfOf } from '../house/yokes';
import { Memory } from '../cache/memory';
import { boxTypes, suitableType, typeOf } from '../place/box-catalogue';
import { groundOf } from './cables';
import { makeUpOf, wireHouse, type BoxMakeUp } from './make-up';

/** Space for a conductor, in³: NEC Table 314.16(B), from 2020 Table 314.16(B)(1), *from memory*, high. */
const ALLOWANCE_IN3: Readonly<Partial<Record<Awg, number>>> = { '14': 2, '12': 2.25, '10': 2.5, '8': 3, '6': 5 };

interface FillLine {
  /** How many allowances; a quarter where 2020 counts grounds beyond four so. */
  readonly count: number;
  readonly what: string;
  readonly in3: number;
  readonly section: string;
}

/** What a box has to hold and what it holds, cubic inches: NEC 314.16. */
export interface BoxFill {
  readonly box: Box;
  readonly type: BoxType;
  /** Volume marked, entered, or usual of the type; undefined for an open back. */
  readonly allowedIn3: number | undefined;
  /** What takes room, not yet in words: see {@link fillLines}. */
  readonly shares: readonly FillShare[];
  readonly largest: Awg;
  readonly usedIn3: number;
  readonly fits: boolean | undefined;
  /** The smallest box of the catalogue that would do, when this one does not. */
  readonly remedy: BoxType | undefined;
  /** Conductors larger than No. 6 are not counted by this table. */
  readonly outside: boolean;
}

const AWGS = ['14', '12', '10', '8', '6'] as const;
const larger = (a: Awg, b: Awg): Awg => (AWGS.indexOf(a as '14') >= AWGS.indexOf(b as '14') ? a : b);
const round = (value: number) => Math.round(value * 1000) / 1000;

/** Gangs that a yoke takes: a 30 or 50 A receptacle stands in two. *Common practice*. */
const gangsOf = (ratingA: number) => (ratingA >= 30 ? 2 : 1);

/** Devices on yokes with the wire of their own circuit, whatever else passes through the box. */
interface Yokes {
  readonly devices: readonly Device[];
  readonly awgs: readonly Awg[];
  /** How many have nothing wired to them yet. */
  readonly idle: number;
}

const isYoke = ({ kind }: Device): boolean => kind === 'switch' || kind === 'receptacle';

function yokesOf({ box, units }: BoxMakeUp): Yokes {
  const devices: Device[] = [];
  const awgs: Awg[] = [];
  for (const { plan, unit } of units)
    for (const { outlet } of plan.needsAt.get(box.id) ?? []) {
      if (!isYoke(outlet.device) || devices.includes(outlet.device)) continue;
      const { awg } = unit.circuits[0]!;
      // The halves of a split duplex sit on one yoke: it counts once, by the larger wire that comes to it.
      const other = otherHalfOf(box, outlet.device.id);
      const counted = other ? devices.indexOf(other) : -1;
      if (counted >= 0) {
        awgs[counted] = larger(awgs[counted]!, awg);
        continue;
      }
      devices.push(outlet.device);
      awgs.push(awg);
    }
  const isCounted = (one: Device): boolean => {
    const other = otherHalfOf(box, one.id);
    return devices.includes(one) || (other !== undefined && (devices.includes(other) || isLowerHalf(one)));
  };
  let idle = 0;
  for (const one of Object.values(box.devices)) if (isYoke(one) && !isCounted(one)) idle++;
  return { devices, awgs, idle };
}

/** An allowance before it is put into words. */
export interface FillShare {
  readonly count: number;
  readonly awg: Awg;
  readonly of: 'conductors' | 'yokes' | 'idle' | 'grounds' | 'clamps' | 'stud' | 'hickey';
  /** How many conductors, devices or grounds it stands for. */
  readonly items: number;
  readonly name?: string | undefined;
}
const in3Of = ({ count, awg }: FillShare): number => round(count * (ALLOWANCE_IN3[awg] ?? 0));

const SECTIONS: Readonly<Record<FillShare['of'], string>> = {
  conductors: '314.16(B)(1)',
  clamps: '314.16(B)(2)',
  stud: '314.16(B)(3)',
  hickey: '314.16(B)(3)',
  yokes: '314.16(B)(4)',
  idle: '314.16(B)(4)',
  grounds: '314.16(B)(5)',
};

function toLine(share: FillShare): FillLine {
  const { count, awg, of, items, name } = share;
  const words: Record<FillShare['of'], () => string> = {
    conductors: () => `${wordFor(items, 'conductor')} of ${awg}`,
    yokes: () => `${items === 1 ? name : `${items} devices`} on ${awg}`,
    idle: () => `${items === 1 ? 'device' : `${items} devices`} not wired yet`,
    grounds: () => (items === 1 ? 'ground' : `grounds, ${items} of them`),
    clamps: () => 'clamps inside',
    stud: () => 'fixture stud',
    hickey: () => 'hickey',
  };
  return { count, what: words[of](), in3: in3Of(share), section: SECTIONS[of] };
}

/** What a box has to hold without its clamps, and the largest wire that comes in. */
function sharesOf(makeUp: BoxMakeUp, edition: Edition): { readonly shares: FillShare[]; readonly largest: Awg } {
  const { cables } = makeUp;
  const shares: FillShare[] = [];
  let largest: Awg = '14';
  let ground: Awg = '14';
  for (const { run } of cables) {
    largest = larger(largest, run.awg);
    ground = larger(ground, groundOf(run.awg));
  }
  for (const awg of AWGS) {
    let items = 0;
    for (const { run, cable } of cables) if (run.awg === awg) items += cable.conductors.length - 1;
    if (items > 0) shares.push({ count: items, awg, of: 'conductors', items });
  }
  const { devices, awgs, idle } = yokesOf(makeUp);
  for (const awg of AWGS) {
    let gangs = 0;
    let items = 0;
    let name: string | undefined;
    for (let i = 0; i < devices.length; i++) {
      if (awgs[i] !== awg) continue;
      const device = devices[i]!;
      gangs += device.kind === 'receptacle' ? gangsOf(device.ratingA) : 1;
      items++;
      name = device.kind;
    }
    if (gangs > 0) shares.push({ count: 2 * gangs, awg, of: 'yokes', items, name });
  }
  // One of each kind counts as one of the largest conductor.
  for (const of of ['stud', 'hickey'] as const)
    if (makeUp.box[of]) shares.push({ count: 1, awg: largest, of, items: 1 });
  // Devices that nothing is wired to yet still take their room.
  if (idle > 0) shares.push({ count: 2 * idle, awg: largest, of: 'idle', items: idle });
  const grounds = cables.length;
  const late = edition === '2020' || edition === '2023';
  if (grounds > 0)
    shares.push({
      count: late && grounds > 4 ? 1 + (grounds - 4) / 4 : 1,
      awg: ground,
      of: 'grounds',
      items: grounds,
    });
  return { shares, largest };
}

/** The sum of 314.16(B) for a box as it is made up. Conductors count in where they enter; pigtails and connectors do not. */
export function boxFill(house: House, makeUp: BoxMakeUp, edition: Edition = house.job.edition): BoxFill {
  const { box, cables } = makeUp;
  const { shares, largest } = sharesOf(makeUp, edition);
  const { clamps } = makeUpOf(house);
  let usedIn3 = round(shares.reduce((sum, one) => sum + in3Of(one), 0));
  const clampIn3 = ALLOWANCE_IN3[largest] ?? 0;
  const byStandard = (one: BoxType) =>
    clamps === 'always' || (clamps === 'multi-gang' && one.gangs > 1 && one.shape === 'device');
  const hasClamps = (one: BoxType) => (box.clamps === undefined ? byStandard(one) : box.clamps === 'inside');
  const room = (one: BoxType) => one.volumeIn3 - (hasClamps(one) && cables.length > 0 ? clampIn3 : 0);
  const suits = typeOf(house, box);
  // Nobody has chosen a box yet: the smallest that holds it is proposed.
  const isFree = box.type === undefined && box.volumeIn3 === undefined;
  const bigger =
    isFree && suits.volumeIn3 > 0 && room(suits) + 1e-6 < usedIn3 ? smallestFor(house, box, usedIn3, room) : undefined;
  const type = bigger ?? suits;
  if (hasClamps(type) && cables.length > 0) {
    shares.push({ count: 1, awg: largest, of: 'clamps', items: 1 });
    usedIn3 = round(usedIn3 + clampIn3);
  }
  const allowedIn3 = box.volumeIn3 ?? (type.volumeIn3 > 0 ? type.volumeIn3 : undefined);
  const outside = cables.some(({ run }) => ALLOWANCE_IN3[run.awg] === undefined);
  const fits = allowedIn3 === undefined || outside ? undefined : usedIn3 <= allowedIn3 + 1e-6;
  return {
    box,
    type,
    allowedIn3,
    shares,
    largest,
    usedIn3,
    fits,
    remedy: fits === false ? smallestFor(house, box, usedIn3, (one) => one.volumeIn3) : undefined,
    outside,
  };
}

/** The sum of a box in words, line by line with its sections. */
export const fillLines = (fill: BoxFill): readonly FillLine[] => fill.shares.map(toLine);

/** What the box is called on its card: its type, with the volume that somebody read in the box itself. */
export const nameOfBox = ({ box, type }: Pick<BoxFill, 'box' | 'type'>): string =>
  box.volumeIn3 === undefined ? type.name : `${type.name.replace(/, [\d.]+ in³$/, '')}, ${box.volumeIn3} in³ marked`;

/** What is written into the box: allowances of its largest conductor, allowed and used. Empty for an open back. */
export function fillNote({ allowedIn3, usedIn3, largest }: BoxFill): string {
  if (allowedIn3 === undefined) return '';
  const unit = ALLOWANCE_IN3[largest] ?? 2;
  return `${Math.floor(allowedIn3 / unit + 1e-6)} × ${largest} allowed, ${Math.ceil(usedIn3 / unit - 1e-6)} used`;
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
  const isLess = (a: BoxType, b: BoxType) =>
    (a.gangs - b.gangs || Number(a.adjustable ?? false) - Number(b.adjustable ?? false) || a.volumeIn3 - b.volumeIn3) <
    0;
  let smallest: BoxType | undefined;
  for (const one of boxTypes(house))
    if (
      sameUse(one) &&
      one.for === suits.for &&
      one.gangs >= box.gangs &&
      (!suits.fanRated || one.fanRated) &&
      (one.masonry ?? false) === (suits.masonry ?? false) &&
      (suits.adjustable ? one.adjustable === true : true) &&
      room(one) + 1e-6 >= usedIn3 &&
      (!smallest || isLess(one, smallest))
    )
      smallest = one;
  return smallest;
}

const fillMemory = new Memory<
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
