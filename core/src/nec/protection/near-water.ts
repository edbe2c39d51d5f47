import type { Box, Edition, House } from '../../house/schema';
import { Memory } from '../../cache/memory';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import type { Outlet } from '../../circuits/outlets';
import { isWithinCord, type Passing } from './cord-path';
import { required, type ProtectionDecision } from './decision';
import { mustGet } from '../../units/result';

/** GFCI by the nearness of water, 210.8(A)(7), (9) and their numbers of 2023. *From memory*, high. */
const NEAR_WATER_IN = 72;
export const SINKS: ReadonlySet<string> = new Set(['sink', 'basin']);
/** Spas and hot tubs: 680.43(A)(2) indoors, by way of 680.42 the distance of pools outdoors, 680.22(A)(4). *From memory*, high. */
const HOT_TUBS: ReadonlySet<string> = new Set(['hot-tub']);
const [NEAR_INDOOR_TUB_IN, NEAR_OUTDOOR_TUB_IN] = [120, 240];
const TUBS: ReadonlySet<string> = new Set(['tub', 'shower']);

export const SINK_ITEM = { '2014': '(7)', '2017': '(7)', '2020': '(7)', '2023': '(8)' } as const;
const TUB_ITEM = { '2014': '(9)', '2017': '(9)', '2020': '(9)', '2023': '(10)' } as const;

interface NearWater {
  readonly rooms: House['rooms'];
  readonly openings: House['openings'];
  readonly features: House['features'];
  readonly decisions: Map<Edition, ProtectionDecision | undefined>;
}

const nearWater = new Memory<Box, NearWater>();

/** Remembered by the box as long as no room, opening or feature of the house changes: paths are the costliest part of a check. */
export function decideNearWater(house: House, outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  const { rooms, openings, features } = house;
  let known = nearWater.get(outlet.box);
  if (!known || known.rooms !== rooms || known.openings !== openings || known.features !== features)
    nearWater.set(outlet.box, (known = { rooms, openings, features, decisions: new Map() }));
  if (!known.decisions.has(edition)) known.decisions.set(edition, measureNearWater(house, outlet.box, edition));
  return known.decisions.get(edition);
}

/**
 * What a cord may pass, by edition: since 2020 the words on doors and doorways are gone, so it goes through them; in 2017 the path
 * may pass no door, doorway or window; 2014 names no way of measuring. A side without a wall is no doorway. *From memory*, high.
 */
const PASSING: Readonly<Record<Edition, Passing>> = {
  '2014': 'open-sides',
  '2017': 'open-sides',
  '2020': 'doorways',
  '2023': 'doorways',
};

/** A door that hangs or slides, and a window, end the way of a cord to a pool or tub in every edition: 680.22(A). */
function decideNearHotTub(house: House, box: Box): ProtectionDecision | undefined {
  if (isWithinCord(house, box, HOT_TUBS, NEAR_INDOOR_TUB_IN, 'no-door'))
    return required('680.43(A)(2), 680.22(A)(4)', 'Within 10 ft of a hot tub.');
  const isOneOutdoors = Object.values(house.features).some(
    ({ kind, room }) => HOT_TUBS.has(kind) && OUTDOOR_KINDS.has(mustGet(house.rooms, room).kind),
  );
  return isOneOutdoors && isWithinCord(house, box, HOT_TUBS, NEAR_OUTDOOR_TUB_IN, 'no-door')
    ? required('680.22(A)(4)', 'Within 20 ft of a hot tub that stands outdoors.')
    : undefined;
}

function measureNearWater(house: House, box: Box, edition: Edition): ProtectionDecision | undefined {
  const isNear = (kinds: ReadonlySet<string>, passing = PASSING[edition]) =>
    isWithinCord(house, box, kinds, NEAR_WATER_IN, passing);
  if (isNear(SINKS))
    return required(
      `210.8(A)${SINK_ITEM[edition]}`,
      'Within 6 ft of a sink by the path of a cord.',
      // The door of a cabinet stops a cord in 2017 by some readings.
      edition === '2017' && box.inCabinet ? 'medium' : 'high',
    );
  if (isNear(TUBS))
    return required(`210.8(A)${TUB_ITEM[edition]}`, 'Within 6 ft of a tub or shower by the path of a cord.');
  const byHotTub = decideNearHotTub(house, box);
  if (byHotTub || edition !== '2014') return byHotTub;
  const item = isNear(SINKS, 'doorways') ? SINK_ITEM['2014'] : isNear(TUBS, 'doorways') ? TUB_ITEM['2014'] : undefined;
  return (
    item && {
      kind: 'cannot-tell',
      section: `210.8(A)${item}`,
      reason:
        'Water lies within 6 ft only through a doorway, and 2014 does not say whether the path may pass one: ask the authority, and protect if in doubt.',
    }
  );
}
