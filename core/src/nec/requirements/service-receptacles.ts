import { isLonger } from '../../geometry/intervals';
import { distance } from '../../geometry/geometry';
import { indexOutlets } from '../../circuits/outlets';
import type { Box, Feature, FeatureKind, House } from '../../house/schema';
import { boxPoint, featureOutline } from '../../plan/points';
import { receptaclesOf } from '../../place/receptacles';
import { mustGet } from '../../units/result';

/** Heating and cooling equipment that 210.63 asks a receptacle for. */
export const SERVICED_EQUIPMENT: ReadonlySet<FeatureKind> = new Set<FeatureKind>([
  'furnace',
  'air-handler',
  'condenser',
]);

/** A free 125 V receptacle that somebody gets at: not in a cabinet, not taken by an appliance. */
function canServe(house: House, box: Box): boolean {
  const { byDevice } = indexOutlets(house);
  return (
    box.inCabinet !== true &&
    receptaclesOf(box).some((one) => one.volts === 120 && one.ratingA <= 20 && !byDevice.get(one.id)?.load)
  );
}

/** A receptacle from which equipment can be serviced, and how far it is from it, inches. */
interface Serving {
  readonly box: Box;
  readonly farIn: number;
}

/** The receptacles on the level of a piece of equipment that can serve it: those within reach in its room first, then the nearest. */
export function serviceReceptacles(house: House, equipment: Feature, withinIn: number): readonly Serving[] {
  const room = mustGet(house.rooms, equipment.room);
  const outline = featureOutline(room, equipment);
  const isBeside = ({ box, farIn }: Serving) => box.room === room.id && !isLonger(farIn, withinIn);
  return Object.values(house.boxes)
    .filter((box) => mustGet(house.rooms, box.room).level === room.level && canServe(house, box))
    .map((box) => ({ box, farIn: Math.min(...outline.map((corner) => distance(corner, boxPoint(house, box)))) }))
    .sort((a, b) => Number(isBeside(b)) - Number(isBeside(a)) || a.farIn - b.farIn);
}
