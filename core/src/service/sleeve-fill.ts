import { TRADE_SIZES, type House, type Sleeve, type SleeveContent } from '../house/schema';
import { ALLOWED_IN2, CONDUCTOR_IN2 } from './raceway-fill';
import { given, mustGet } from '../units/result';

/**
 * Widest side of cables, inches: a flat one counts as a round one of that width (Chapter 9, Note 9). Typical, *common practice*, from
 * memory, medium: the reel says what it is.
 */
const CABLE_IN: Readonly<Partial<Record<SleeveContent, number>>> = {
  'nm 14/2': 0.37,
  'nm 14/3': 0.35,
  'nm 12/2': 0.42,
  'nm 12/3': 0.39,
  'nm 10/2': 0.49,
  'nm 10/3': 0.46,
  'nm 8/3': 0.66,
  'nm 6/3': 0.75,
  data: 0.24,
  coax: 0.28,
  fiber: 0.16,
  speaker: 0.27,
  thermostat: 0.25,
  doorbell: 0.17,
  alarm: 0.17,
};
/** 40 % of the inside of electrical nonmetallic tubing, square inches, from 1/2 to 2: Chapter 9, Table 4. *From memory*, medium. */
const ENT_IN2 = [0.099, 0.181, 0.314, 0.564, 0.774, 1.282] as const;

/** Whether what lies in a sleeve carries power. */
export const isPower = (what: SleeveContent): boolean => what.startsWith('nm ') || what.startsWith('wire ');
const isWire = (what: SleeveContent): boolean => what.startsWith('wire ');
function areaOf(what: SleeveContent): number {
  if (isWire(what)) return CONDUCTOR_IN2[what.slice(5) as keyof typeof CONDUCTOR_IN2];
  return (Math.PI / 4) * mustGet(CABLE_IN, what) ** 2;
}

/** How many of Table 1's percent: one piece, two, or three and more. */
const percentFor = (pieces: number): number => (pieces === 1 ? 53 : pieces === 2 ? 31 : 40);

interface SleeveFill {
  readonly pieces: number;
  readonly takenIn2: number;
  /** The whole inside, square inches. */
  readonly insideIn2: number;
  readonly percent: number;
  /** What Table 1 of Chapter 9 allows for so many pieces, percent. */
  readonly most: number;
}

/** How full a sleeve is; undefined where its size is in no table, and for a piece of pipe, to which Chapter 9 does not apply (Note 2). */
export function sleeveFill({ kind, trade, holds }: Pick<Sleeve, 'kind' | 'trade' | 'holds'>): SleeveFill | undefined {
  if (kind === 'piece') return undefined;
  const at40 = (kind === 'ent' ? ENT_IN2 : ALLOWED_IN2[kind])[TRADE_SIZES.indexOf(trade)];
  if (at40 === undefined) return undefined;
  const insideIn2 = at40 / 0.4;
  const pieces = holds.reduce((sum, one) => sum + one.count, 0);
  const takenIn2 = holds.reduce((sum, one) => sum + one.count * areaOf(one.what), 0);
  return { pieces, takenIn2, insideIn2, percent: (100 * takenIn2) / insideIn2, most: percentFor(pieces) };
}

/** Whether it may hold what it holds. */
export const fits = (fill: SleeveFill): boolean => fill.pieces === 0 || fill.percent <= fill.most + 1e-9;

/** How many more of a kind a sleeve takes; undefined where its fill is not known. */
export function roomFor(sleeve: Pick<Sleeve, 'kind' | 'trade' | 'holds'>, what: SleeveContent): number | undefined {
  if (!sleeveFill(sleeve)) return undefined;
  let more = 0;
  // Two take less of a raceway than one or three may: where two do not fit three may.
  for (let n = 1; n <= 60; n++)
    if (fits(given(sleeveFill({ ...sleeve, holds: [...sleeve.holds, { what, count: n }] })))) more = n;
    else if (n > 3) break;
  return more;
}

/** The least trade size of its kind that holds what it holds. */
export const leastSleeve = (sleeve: Sleeve): Sleeve['trade'] | undefined =>
  TRADE_SIZES.find((trade) => {
    const fill = sleeveFill({ ...sleeve, trade });
    return fill !== undefined && fits(fill);
  });

/** "Garage, at the panel": where an end of a sleeve lies. */
export function placeOfEnd(house: House, { room, box, note }: Sleeve['from']): string {
  const name = room === null ? '' : (house.rooms[room]?.name ?? '');
  const tag = box === undefined ? '' : (house.boxes[box]?.tag ?? '');
  return [name, tag, note].filter(Boolean).join(', ') || 'not said';
}
