import { isShorter } from '../../geometry/intervals';
import type { Outlet } from '../../circuits/outlets';
import type { Feature } from '../../house/schema';
import { isOpenToSky, OUTDOOR_KINDS } from '../../place/outdoors';
import { boxHeightIn } from '../../place/receptacles';
import { boxPoint, distanceToFeature } from '../../plan/points';
import { givesGfci, protectionOf } from '../protection/circuit-protection';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { mustGet } from '../../units/result';

const hangs = ({ device }: Outlet): boolean => device.kind === 'luminaire' || device.kind === 'fan';

interface Near {
  readonly outlet: Outlet;
  /** Over the rim, and to the side of the inside wall, inches. */
  readonly overIn: number;
  readonly awayIn: number;
}

/** Lights and fans over a tub or so near beside it; what is beyond a wall is not reached from the water. */
function nearTub({ house, outlets }: Facts, tub: Feature, sideIn: number): readonly Near[] {
  const room = mustGet(house.rooms, tub.room);
  const { ceilingIn } = mustGet(house.levels, room.level);
  return (outlets.byRoom.get(room.id) ?? [])
    .filter(hangs)
    .map((outlet) => ({
      outlet,
      overIn: boxHeightIn(outlet.box, ceilingIn) - tub.heightIn,
      awayIn: distanceToFeature(room, tub, boxPoint(house, outlet.box)),
    }))
    .filter(({ awayIn }) => isShorter(awayIn, sideIn));
}

const isGuarded = ({ house, edition }: Facts, { device }: Outlet): boolean =>
  device.circuit !== null && givesGfci(protectionOf(house, device.circuit, edition).fitted);

export const hotTubLuminaires = defineRule({
  id: 'hot-tub-luminaires',
  meta: {
    summary: 'No luminaire or fan over a spa or hot tub, or within 5 ft of it, unless it is high up',
    stage: 'boxes',
    severity: 'violation',
    why: 'A person who stands on the rim reaches up with wet hands. Outdoors 12 ft over the water are wanted; indoors 7 1/2 ft are enough behind a GFCI.',
    editions: everyEdition({
      section: '680.22(B)',
      limits: { sideIn: 60, clearIn: 144, guardedIn: 90, besideIn: 120, besideOverIn: 60 },
      basis: fromMemory('medium'),
    }),
    messages: {
      outdoors: ({ tag, over, least }: Data, show) =>
        `${tag} is ${show(over)} over the rim of the hot tub, or beside it within 5 ft: ${show(least)} at least.`,
      unguarded: ({ tag, over, least }: Data, show) =>
        `${tag} is ${show(over)} over the rim of the hot tub or beside it within 5 ft: lower than ${show(least)} it needs a GFCI.`,
      beside: ({ tag, over, least }: Data, show) =>
        `${tag} is ${show(over)} over the rim of the hot tub and 5 to 10 ft beside it: lower than ${show(least)} it needs a GFCI.`,
      low: ({ tag, over, least }: Data, show) =>
        `${tag} is ${show(over)} over the rim of the hot tub or beside it within 5 ft. Lower than ${show(least)} only a GFCI-protected one will do that is recessed or on the surface, closed, without metal and made for damp places: look at it.`,
      fine: ({ room }: { room: string }) => `What hangs near the hot tub in ${room} is high enough.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.values(facts.house.features).some(({ kind }) => kind === 'hot-tub'),
  check: (facts, limits, report) =>
    Object.values(facts.house.features)
      .filter(({ kind }) => kind === 'hot-tub')
      .flatMap((tub) => {
        const room = mustGet(facts.house.rooms, tub.room);
        const isOut = OUTDOOR_KINDS.has(room.kind) || isOpenToSky(room);
        const section = isOut ? '680.22(B)(1)' : '680.43(B)';
        const found = nearTub(facts, tub, isOut ? limits.besideIn : limits.sideIn).flatMap(
          ({ outlet, overIn, awayIn }) => {
            const where = { room: room.id, box: outlet.box.id, feature: tub.id };
            const data = { tag: outlet.box.tag, over: Math.max(0, overIn) };
            if (!isShorter(awayIn, limits.sideIn))
              return isShorter(overIn, limits.besideOverIn) && !isGuarded(facts, outlet)
                ? [report.fail('beside', { ...data, least: limits.besideOverIn }, where, { section: '680.22(B)(4)' })]
                : [];
            if (!isShorter(overIn, limits.clearIn)) return [];
            if (isOut) return [report.fail('outdoors', { ...data, least: limits.clearIn }, where, { section })];
            if (isShorter(overIn, limits.guardedIn))
              return [report.cannotTell('low', { ...data, least: limits.guardedIn }, where, { section })];
            return isGuarded(facts, outlet)
              ? []
              : [report.fail('unguarded', { ...data, least: limits.clearIn }, where, { section })];
          },
        );
        return found.length > 0
          ? found
          : [report.pass('fine', { room: room.name }, { room: room.id, feature: tub.id }, { section })];
      }),
});

interface Data {
  readonly tag: string;
  readonly over: number;
  readonly least: number;
}
