import { servicePanel } from '../circuits/panel-tree';
import { nextStandardRating } from '../electrical/conductors';
import { addEntity } from '../edits/verbs';
import type { NewId } from '../house/new-box';
import type { Edited } from '../house/edit';
import type { Feeder, House } from '../house/schema';
import { airAround } from '../circuits/sizing';
import { freeSpace } from '../panel/arrange';
import { leastTrade } from '../service/raceway-fill';
import { leastFeeder } from '../service/feeder-size';
import { refuse, type Result } from '../units/result';
import { feederLoad } from './requirements/feeder-load';

/** A feeder of less is rarely worth its panel, *common practice*; and to another building the disconnect is 60 A at least, 225.39(D). */
const LEAST_A = 60;
/** Room for what comes later: *common practice*. */
const GROWTH = 1.25;

/** A kind of wiring that suits the way: in the ground a raceway with wet-rated copper, indoors service-entrance cable of aluminum. */
const usualWiring = (
  crosses: boolean,
): Pick<Feeder, 'wiring' | 'raceway' | 'coverIn'> & { metal: 'copper' | 'aluminum' } =>
  crosses
    ? { wiring: 'raceway', raceway: { kind: 'pvc-40', trade: '1-1/4' }, coverIn: 18, metal: 'copper' }
    : { wiring: 'service-entrance', metal: 'aluminum' };

/**
 * Feeds a panel from another, the one of the service where nothing is said: a breaker for its load and a quarter more, the least
 * conductors for it, and its spaces. A person changes what they want otherwise.
 */
export function feedPanel(house: House, panelId: string, newId: NewId, fromId?: string): Result<Edited> {
  const [to, from] = [
    house.panels[panelId],
    fromId ? house.panels[fromId] : servicePanel(withoutPanel(house, panelId)),
  ];
  if (!to) return refuse('missing', `panels.${panelId}`, 'This panel is no longer there.');
  if (!from)
    return refuse('no-panel', 'panels', 'There is no other panel to feed it from. Set one down first, under House.');
  const buildingOf = (roomId: string) => house.rooms[roomId]?.building;
  const { metal, ...usual } = usualWiring(buildingOf(to.room) !== buildingOf(from.room));
  const { amps, isWholeDwelling } = feederLoad(house, { to: panelId, ratingA: to.mainA });
  const ratingA = Math.min(nextStandardRating(Math.max(LEAST_A, amps * GROWTH)) ?? from.mainA, from.mainA);
  const least = leastFeeder({ ...usual, airC: airAround(house, {}), ratingA }, metal, amps, isWholeDwelling);
  if (!least)
    return refuse('too-large', `panels.${panelId}`, `No conductors of the tables carry ${ratingA} A to ${to.name}.`);
  const conductors = { poles: 2 as const, conductor: { size: least.size, metal }, ground: least.ground };
  const trade = usual.raceway && leastTrade(conductors, usual.raceway.kind);
  return addEntity(house, 'feeders', {
    id: newId('feeder'),
    from: from.id,
    to: to.id,
    ratingA,
    space: freeSpace(house, from, 2) ?? null,
    ...usual,
    ...(usual.raceway && trade ? { raceway: { ...usual.raceway, trade } } : {}),
    ...conductors,
  });
}

/** A panel that is to be fed is not the service\u2019s, however large its main is. */
const withoutPanel = ({ panels, feeders }: House, panelId: string): Pick<House, 'panels' | 'feeders'> => ({
  panels: Object.fromEntries(Object.entries(panels).filter(([id]) => id !== panelId)),
  feeders,
});
