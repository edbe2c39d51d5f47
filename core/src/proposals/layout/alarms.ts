import { distance, innerPoint, isInside, nearestOnSegment, type Point } from '../../geometry/geometry';
import { distanceToFeature } from '../../plan/points';
import { viewRoom, type RoomView } from '../../plan/room-view';
import { checkHouse, effectiveLimit, ruleNamed } from '../../nec/check-house';
import { hasAlarm } from '../../nec/requirements/alarm-places';
import { groupBy } from '../../units/group-by';
import { jambPoints } from './lights';
import type { Boxing } from './plan';
import { ceilingBoxes, ceilingPoints, nearestOf } from './spots';

/** Least distance of an alarm from other ceiling boxes, for a fan's blades and a luminaire's heat, inches. */
const FROM_OTHERS_IN = 36;
const FROM_WALLS_IN = 12;

/** A place on the ceiling near the middle, clear of bathroom doors, cooking, luminaires and walls. */
function alarmPoint(boxing: Boxing, view: RoomView): Point {
  const middle = innerPoint(view.room.corners);
  const others = ceilingBoxes(view);
  const fromBath = effectiveLimit(boxing.house, 'alarm-clearance', 'bathDoorIn');
  const fromCooking = effectiveLimit(boxing.house, 'alarm-clearance', 'silencedIn');
  const baths = view.ways
    .filter(({ behind }) => behind !== undefined && boxing.house.rooms[behind]!.kind === 'bathroom')
    .map((way) => jambPoints(view, way));
  const cooking = Object.values(boxing.house.features).filter(
    (one) =>
      (one.kind === 'range' || one.kind === 'cooktop') && boxing.house.rooms[one.room]!.level === view.room.level,
  );
  const short = (wanted: number, have: number) => Math.max(0, wanted - have);
  const cost = (at: Point) =>
    distance(at, middle) +
    50 * short(fromBath, Math.min(Infinity, ...baths.map(([a, b]) => distance(at, nearestOnSegment(at, a!, b!))))) +
    20 *
      short(
        fromCooking,
        Math.min(Infinity, ...cooking.map((one) => distanceToFeature(boxing.house.rooms[one.room]!, one, at))),
      ) +
    10 * short(FROM_OTHERS_IN, nearestOf(at, others));
  const points = ceilingPoints(view, 6, FROM_WALLS_IN, (at) => isInside(at, view.room.corners));
  return points.reduce((best, at) => (cost(at) < cost(best) ? at : best), points[0] ?? middle);
}

const ALARM_RULES = [ruleNamed('smoke-alarms'), ruleNamed('co-alarms')];

/** Rounds of asking the rules and answering them. */
const MOST_ROUNDS = 60;
/** In a house of so many rooms one alarm outside the bedrooms is placed a round, since it may serve others too. */
const ONE_BY_ONE_UP_TO = 40;

/** Alarms where the rules for smoke and carbon monoxide miss one: they are asked, and answered in the rooms they name. */
export function boxAlarms(boxing: Boxing): void {
  // Where some have no cable all signal by radio, so that each sets off the others.
  const joined = Object.values(boxing.house.rooms).some((room) => room.closed) ? { wireless: true } : {};
  const isSmall = Object.keys(boxing.house.rooms).length <= ONE_BY_ONE_UP_TO;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { findings } = checkHouse(boxing.house, { rules: ALARM_RULES });
    const missing = groupBy(
      findings.filter((one) => one.kind === 'fail' && one.where.room !== undefined),
      (one) => one.where.room!,
    );
    let isPlaced = false;
    for (const [room, said] of missing) {
      const view = viewRoom(boxing.house, room);
      const needsCo = said.some((one) => one.ruleId === 'co-alarms');
      const senses = !needsCo ? 'smoke' : hasAlarm(view, 'smoke') ? 'co' : 'smoke-co';
      const { message, section } = said[0]!;
      const reason = message.replace(/^No |\.$/g, '').replace(/ has no smoke alarm$/, ': a smoke alarm in the bedroom');
      const at = { kind: 'ceiling', ...alarmPoint(boxing, view) } as const;
      // No cable is fished for an alarm into a ceiling that stays closed: IRC R314.6 lets it have a battery.
      const power = view.room.closed ? { battery: true as const } : {};
      const device = boxing.device('alarm', { senses, sensor: 'photoelectric', ...power, ...joined });
      if (boxing.place(room, at, [device], { reason, section })) isPlaced = true;
      if (view.room.kind !== 'bedroom' && isSmall) break;
    }
    if (!isPlaced) return;
  }
}
